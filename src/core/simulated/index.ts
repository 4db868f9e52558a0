export { bendBar } from './bench-bar';
export { drawCaliper, readCaliper, type VirtualCaliper } from './caliper';
export { wordOfClearance } from './hand';
export { chanceToFree, drawBridging, printedGapOf, touchGapStep } from './joint';
export { depthOfLight, edgeGrowthOf, exposedBy, footOf, holds, stripThickness } from './light';
export { curedWall, lonelyEdgeGrowth, openSlot } from './optics';
export { lawfulSize, type PlacedFeature, printFeature } from './print';
export {
  circumstancesOf,
  drawStory,
  lookAtPiece,
  PLATE_OF_STORIES,
  printInTrouble,
  showsTest,
  type Story,
  type Trouble,
  TROUBLE_NAMES,
  type TroubleSet,
  type TroubledPrint,
} from './troubles';
export { drawPrinter, type Family, type VirtualPrinter } from './printer';
export { seedOfName } from './seed-of-name';
