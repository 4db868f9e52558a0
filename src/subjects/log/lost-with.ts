import type { RunPlan } from '@/core/print';
import type { HouseRules } from '@/subjects/workshop/settings';
import { handsCostOf, printCostOf } from '@/subjects/print/plate';

/** Returns the loss if a print like this fails, labour included. */
export function lostWith(plan: RunPlan, pieces: number, house: Pick<HouseRules, 'schools' | 'run'>): number {
  const finish = { middleS: plan.plannedS, earlyS: plan.plannedS, lateS: plan.plannedS };
  return printCostOf(house, { ...plan, finish }) + handsCostOf(house, pieces);
}
