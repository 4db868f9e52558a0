import 'server-only';

export { drawAttempt } from './draw-attempt';
export { correctionFrom, listAnchored } from './view-correction';
export { assessSizes, type DrawPlan, nextReadingOf, planDraw, usedParameters } from './view-draw-plan';
