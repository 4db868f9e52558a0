import 'server-only';

export { findByWords } from './find';
export { frameJob, type JobFrame } from './view-frame';
export { type AttemptChange, type AttemptStory, tellStory } from './view-story';
export { glanceAtArchive, glanceAtJobs, glanceSteps, type JobGlance, type NextStep } from './view-today';
