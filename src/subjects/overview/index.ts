import 'server-only';

export { findByWords, listFindables } from './find';
export { frameJob, type JobFrame } from './view-frame';
export { type AttemptChange, type AttemptStory, tellStory } from './view-story';
export { glanceAtArchive, glanceAtJobs, type JobGlance, type NextStep } from './view-today';
