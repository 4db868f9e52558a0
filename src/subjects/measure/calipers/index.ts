import 'server-only';

export { createInstrument } from './create-instrument';
export { recordCheck, takeBackCheck } from './record-check';
export { sitAt, startSession } from './start-session';
export { type JawCheck, listChecksDue, viewChecks } from './view-checks';
export { lastSession, listInstruments, openSession } from './view-instruments';
