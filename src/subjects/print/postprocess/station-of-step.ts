import type { CardStep } from '@/core/resin';

/** The stations that steps go through. */
const STATIONS = { wash: 'wash', cure: 'lamp' } as const;

/** The station that a step goes through; undefined: it is done by hand, or by waiting. */
export function stationOfStep(step: CardStep['step']): 'wash' | 'lamp' | undefined {
  return step === 'wash' || step === 'cure' ? STATIONS[step] : undefined;
}
