import 'server-only';

export { correctionFrom, listAnchored } from './view-correction';
export { assessSizes, type DrawPlan, nextReadingOf, planDraw, usedParameters } from './view-draw-plan';
