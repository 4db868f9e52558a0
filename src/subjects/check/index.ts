import 'server-only';

export { judgeFinding } from './judge-finding';
export { keepCheck } from './keep-check';
export { setStance } from './set-stance';
export { turnPlaces } from './turn-part';
export { listVerdicts, settledOfCheck, viewCheck } from './view-check';
