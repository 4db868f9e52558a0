import 'server-only';

export { drawAttempt } from './draw-attempt';
export { type LeversView, viewLevers } from './view-levers';
export { trimForJob } from './trim-for-job';
export { correctionFrom, listAnchored } from './view-correction';
export { assessSizes, type DrawPlan, nextReadingOf, planDraw, usedParameters } from './view-draw-plan';
