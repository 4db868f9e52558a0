export { type HollowWorth, hollowOf, shellAreas } from './hollow-of';
export { countLayers, middleOfLayer, MOST_LAYERS } from './layer-plan';
export {
  type LayerReading,
  READING_DEFAULTS,
  type ReadingOptions,
  readLayers,
  roughReading,
} from './read-layers';
export { peaksOf, sweepLayers } from './sweep';
export type { ThinSpot } from './thinnest';
