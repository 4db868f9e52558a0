export { GAUGE_CHOICES, type GaugeChoice, gaugeOf, type GaugeParameters, gaugeSpecOf } from './gauge-choices';
export { BLOCK_OF_24, blockHeightMm, BLOCK_OF_6, BLOCK_SIZES, type BlockSize, FEW_SIZES } from './blocks';
export { blockReadings, chooseBlock, sizesFor } from './choose-block';
export {
  buildGauge,
  findGaugeIssue,
  gaugeAnchors,
  type GaugeEffort,
  gaugeEffort,
  gaugeFeatures,
  type GaugeIssue,
  type GaugeSpec,
  stepsFrom,
} from './gauge';
export { type BlockFeature, notchesFor } from './piece';
export { postField, stripMesh } from './strip';
export { BRACKET_SLOT_MM, BRACKET_WALL_MM, buildBracketGauge } from './bracket-gauge';
