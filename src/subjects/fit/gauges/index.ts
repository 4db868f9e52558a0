import 'server-only';

export { blockForJob, foreseeBlock, type BlockGain } from './block-for-job';
export { createGauge } from './create-gauge';
export { recordGapStep } from './record-gap-step';
export { tryAllGapSteps } from './try-all-gap-steps';
export { glanceAtGauges } from './view-gauges';
export { asGapsNow } from './gaps-now';
export {
  type FoundGapStep,
  type GapTestView,
  listGapSteps,
  gapStepsOfPrint,
  viewGapTest,
} from './view-gap-test';
