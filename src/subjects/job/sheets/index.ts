import 'server-only';

export { chooseSheet } from './choose-sheet';
export { recordBody } from './record-body';
export { takeBackBody } from './take-back-body';
export { takeOverSheet } from './take-over-sheet';
export { type BodyReadingView, viewSheet } from './view-sheet';
