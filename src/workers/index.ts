export type { CorrectedPart, LoadedPart } from './mesh-api';
export { MeshStopped, MeshWorker } from './mesh-client';
