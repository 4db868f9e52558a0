export {
  layerAtHeight,
  middleOfLayer,
  MOST_LAYERS,
  peaksOf,
  SWEEP_DEFAULTS,
  sweepLayers,
  type LayerPeaks,
  type LayerSweep,
  type SweepOptions,
} from './sweep';
