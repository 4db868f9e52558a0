export { GAUGE_CHOICES, gaugeSpecOf, type GaugeChoice, type GaugeParameters } from './ask';
export { BLOCK_OF_24, BLOCK_OF_6, BLOCK_SIZES, FEW_SIZES, type BlockSize } from './blocks';
export { chooseBlock, MINUTES_PER_SIZE } from './choose-block';
export {
  ASSUMED_FIRST_LAYERS_S,
  ASSUMED_LAYER_S,
  buildGauge,
  findGaugeIssue,
  GAUGE_KINDS,
  gaugeAnchors,
  gaugeEffort,
  gaugeFeatures,
  stepsFrom,
  type GaugeEffort,
  type GaugeIssue,
  type GaugeKind,
  type GaugeSpec,
} from './gauge';
export { notchesFor, type BlockFeature } from './piece';
