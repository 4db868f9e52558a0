import { swapNeighbouringDigits } from '@/core/measure';
import type { Signature, SignatureOptions } from './estimate';
import { LeaveOneOut, type LeftOut } from './leave-one-out';
import { instrumentNamed, type Observation } from './observations';
import type { SignatureReading } from './reading';

/** A reading that neither its repeats nor the law would expect. Asked about, never dropped. */
interface SuspiciousReading {
  readonly reading: SignatureReading;
  /** Signed distance from what everything else predicts, in standard deviations. */
  readonly z: number;
  /** The reading with two neighbouring digits exchanged, where that would be unremarkable. */
  readonly guessMm?: number;
}

const FAR = 4;
const FAR_FOR_A_SWAP = 2.5;

/** The display's digits exchanged so that the reading would be unremarkable, as the display would show it. */
function guessSwap(
  reading: SignatureReading,
  { meanMm, sdMm }: LeftOut,
  resolutionMm: number,
): number | undefined {
  const shown = reading.shownMm ?? reading.readingMm;
  const correction = reading.readingMm - shown;
  const decimals = Math.max(0, Math.ceil(-Math.log10(resolutionMm) - 1e-9));
  return swapNeighbouringDigits(shown, decimals).find(
    (value) => Math.abs(value + correction - meanMm) < sdMm,
  );
}

function judge(
  reading: SignatureReading,
  expectations: readonly LeftOut[],
  resolutionMm: number,
): SuspiciousReading | undefined {
  const judged = expectations.map((left) => ({ left, z: (reading.readingMm - left.meanMm) / left.sdMm }));
  const worst = judged.reduce((a, b) => (Math.abs(b.z) > Math.abs(a.z) ? b : a));
  for (const { z, left } of judged) {
    const guessMm = Math.abs(z) > FAR_FOR_A_SWAP ? guessSwap(reading, left, resolutionMm) : undefined;
    if (guessMm !== undefined) return { reading, z, guessMm };
  }
  return Math.abs(worst.z) > FAR ? { reading, z: worst.z } : undefined;
}

interface LeaveOneOutReport {
  readonly suspicious: readonly SuspiciousReading[];
  /** Predictions of each observation's size from the law and the other prints, without its own readings, mm. */
  readonly expected: readonly {
    readonly observation: Observation;
    readonly meanMm: number;
    readonly sdMm: number;
  }[];
}

/**
 * Leaves out every reading against its own repeats, and every observation against the law, at the full grid.
 * Suspicious: |z| > 4, or |z| > 2.5 where exchanging neighbouring digits brings it within one standard deviation.
 */
export function leaveOneOut(signature: Signature, options: SignatureOptions): LeaveOneOutReport {
  const loo = new LeaveOneOut(signature, options.instruments);
  const suspicious: SuspiciousReading[] = [];
  const expected: { observation: Observation; meanMm: number; sdMm: number }[] = [];
  signature.observations.forEach((observation, at) => {
    const law = loo.without(at);
    expected.push({ observation, ...law });
    const seen = new Map<number, LeftOut>();
    for (const reading of observation.readings) {
      const alone = observation.readings.length === 1;
      const own = alone ? law : (seen.get(reading.readingMm) ?? loo.without(at, reading));
      seen.set(reading.readingMm, own);
      const { resolutionMm } = instrumentNamed(options.instruments, observation.instrument);
      const doubt = judge(reading, [own, law], resolutionMm);
      if (doubt !== undefined) suspicious.push(doubt);
    }
  });
  return { suspicious, expected };
}
