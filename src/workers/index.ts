export type { CorrectedPart, LoadedPart } from './mesh-api';
export { MeshStopped, MeshWorker } from './mesh-client';
export { GaugeWorker } from './gauge-client';
export type { AskedGauge, BuiltGauge } from './gauge-api';
export { CheckWorker } from './check-client';
export type { CheckAsk, CheckFound, ListedFeature, MendedPart, OpenedPart, TurnedPart } from './check-api';
