import 'server-only';

export { bringPart } from './bring-part';
export { judgeFinding } from './judge-finding';
export { keepCheck, type LayersFound } from './keep-check';
export { setPrintSetup } from './set-print-setup';
export { type Turn, type TurnEffect, turnPart } from './turn-part';
export { printAttempt } from './print-attempt';
export {
  countCrevices,
  isUnchecked,
  listFindings,
  listOpenLosses,
  listVerdicts,
  settledOfCheck,
  viewCheck,
} from './view-check';
