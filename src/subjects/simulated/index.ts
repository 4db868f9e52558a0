import 'server-only';

export { standInBend } from './bend-bar';
export { closeJaws } from './close-jaws';
export { standInSize } from './printer';
export { touchStandInRung } from './touch-rung';
