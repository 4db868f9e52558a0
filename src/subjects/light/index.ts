import 'server-only';

export { cureSimulatedStrips, keepStrip, STRIP_RATIOS, takeBackStrip } from './keep-strip';
export { type LightView, type StripView, type TrimView, viewLight } from './view-light';
