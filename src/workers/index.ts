export {
  type CheckAsk,
  type CheckFound,
  type ListedFeature,
  type RepairedPart,
  type OpenedPart,
} from './check-api';
export { CheckWorker } from './check-client';
export { type AskedGauge } from './gauge-api';
export { GaugeWorker } from './gauge-client';
export { type CorrectedPart, type LoadedPart, type ResinTestLine } from './mesh-api';
export { MeshWorker } from './mesh-client';
export { Stopped } from './stoppable-worker';
export { type AskedDay, type PlannedDay } from './day-api';
export { DayWorker } from './day-client';
