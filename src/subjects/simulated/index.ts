import 'server-only';

export { simulatedBend } from './bend-bar';
export { closeJaws } from './close-jaws';
export { simulatedSize } from './printer';
export { touchSimulatedRung } from './touch-rung';
