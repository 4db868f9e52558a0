import 'server-only';

export { beginStep, endStep, takeBackStep } from './tap-step';
export {
  type Chain,
  type ChainLink,
  listBeside,
  listTimers,
  type RunningTimer,
  stateBySteps,
  stateForSitting,
  viewChain,
} from './view-chain';
