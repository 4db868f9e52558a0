'use client';

import { formatMm } from '@/core/kit/wording';
import type { Doubt } from '@/core/measure';
import { describeDoubt } from '@/subjects/kit/shared';
import type { ReadingInput } from '@/subjects/measure/readings/shared';
import { Button } from '@/ui';

export interface AskedReading {
  readonly entry: ReadingInput;
  readonly doubt: Doubt;
}

interface DoubtPanelProps {
  readonly asked: AskedReading;
  readonly featureName: string;
  /** The reading to keep, or undefined to type it again. */
  readonly onSettle: (readingMm: number | undefined) => void;
}

/** A reading that does not look right is asked about before it is kept. */
export function DoubtPanel({ asked: { entry, doubt }, featureName, onSettle }: DoubtPanelProps) {
  const guessMm = 'guessMm' in doubt ? doubt.guessMm : undefined;
  return (
    <div
      role="alertdialog"
      aria-label={`Check this reading: ${featureName}`}
      className="mt-2 border-l-4 border-plum bg-ground px-3 py-2"
    >
      <p>
        <strong>{featureName}:</strong> {describeDoubt(doubt, entry.readingMm)}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {guessMm !== undefined && (
          <Button weight="main" onClick={() => onSettle(guessMm)}>
            Change to {formatMm(guessMm)} mm
          </Button>
        )}
        <Button onClick={() => onSettle(undefined)} autoFocus>
          Measure again
        </Button>
        {doubt.code !== 'notPositive' && (
          <Button onClick={() => onSettle(entry.readingMm)}>
            Keep {formatMm(entry.readingMm, 3)} as entered
          </Button>
        )}
      </div>
    </div>
  );
}
