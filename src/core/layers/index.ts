export { countLayers, layerAtHeight, middleOfLayer, MOST_LAYERS, type LayerPlan } from './layer-plan';
export {
  peaksOf,
  SWEEP_DEFAULTS,
  sweepLayers,
  type LayerPeaks,
  type LayerSweep,
  type SweepOptions,
} from './sweep';
export type { Cup, Hollows, Pocket } from './hollows';
export type { Island } from './islands';
export {
  READING_DEFAULTS,
  readLayers,
  roughReading,
  type LayerReading,
  type ReadingOptions,
} from './read-layers';
export { NEAR_MM, type ThinSpot } from './thinnest';
