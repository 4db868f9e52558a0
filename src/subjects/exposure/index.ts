import 'server-only';

export { cureSimulatedStrips, keepStrip, STRIP_RATIOS, takeBackStrip } from './keep-strip';
export { deriveProfile } from './derive-profile';
export { keepGauge, printSimulatedGauges, takeBackGauge } from './keep-gauge';
export { type BracketView, type GaugeView, viewBracket } from './view-bracket';
export { type BottomView, viewBottom } from './view-bottom';
export {
  type LightRelatedProfile,
  type LightView,
  type StripView,
  type ExposureChangeView,
  viewLight,
} from './view-light';
