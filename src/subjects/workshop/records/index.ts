import 'server-only';

export { answerOnce } from './answer-once';
export { keepFile } from './keep-file';
export { keepMesh } from './keep-mesh';
export { bumpRevision, type DecisionStep, recordDecision } from './note-decisions';
export { findMesh, openMesh, readMesh } from './view-mesh';
