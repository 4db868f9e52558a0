import 'server-only';

export { blockForJob, foreseeBlock, type BlockGain } from './block-for-job';
export { createGauge } from './create-gauge';
export { recordRung } from './record-rung';
export { tryAllRungs } from './try-all-rungs';
export { glanceAtGauges } from './view-gauges';
export { asGapsNow } from './gaps-now';
export { type FoundRung, type LadderView, listRungs, rungsOfPrint, viewLadder } from './view-ladder';
