import 'server-only';

export { cureSimulatedStrips, keepStrip, STRIP_RATIOS, takeBackStrip } from './keep-strip';
export { keepGauge, printSimulatedGauges, takeBackGauge } from './keep-gauge';
export { type BracketView, type GaugeView, viewBracket } from './view-bracket';
export { type LightView, type StripView, type TrimView, viewLight } from './view-light';
