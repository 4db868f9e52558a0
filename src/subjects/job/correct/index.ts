import 'server-only';

export { drawAttempt } from './draw-attempt';
export { type CorrectionMethodsView, viewCorrectionMethods } from './view-correction-methods';
export { changeExposureForJob } from './exposure-change-for-job';
export { correctionFrom, listAnchored } from './view-correction';
export { assessSizes, type DrawPlan, nextReadingOf, planDraw, usedParameters } from './view-draw-plan';
