export { bendBar, type TrueBar } from './bench-bar';
export { drawCaliper, readCaliper, type VirtualCaliper } from './caliper';
export { curedWall, curvedEdgeSize, lonelyEdgeGrowth, openSlot, type Light } from './optics';
export { drawPrinter, type Family, type VirtualPrinter } from './printer';
export { lawfulSize, printFeature, type PlacedFeature } from './print';
export { chanceToFree, drawBridging, printedGapOf, touchRung, type Bridging } from './joint';
export { wordOfClearance } from './hand';
