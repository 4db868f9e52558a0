import 'server-only';

export { createInstrument } from './create-instrument';
export { startSession } from './start-session';
export { lastSession, listInstruments, openSession } from './view-instruments';
