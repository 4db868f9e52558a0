import { bench } from '@/subjects/workshop/settings';
import { closeJaws } from '@/subjects/simulated';
import { answering, refusal } from '../answers';

const NAMES = ['feature', 'print', 'closing', 'instrument'] as const;

/** What the simulated caliper shows when its jaws close on a feature of a simulated print. */
export const GET = answering((request: Request) => {
  const { searchParams } = new URL(request.url);
  const [feature, print, closing, instrument] = NAMES.map((name) => Number(searchParams.get(name)));
  if (![feature, print, closing, instrument].every((value) => Number.isInteger(value) && value > 0)) {
    return refusal(`${NAMES.join(', ')}: enter whole numbers above zero.`, 400);
  }
  return Response.json(
    closeJaws(bench().db, {
      featureId: feature,
      printId: print,
      closing,
      instrumentId: instrument,
      isLow: searchParams.has('low'),
    }),
  );
});
