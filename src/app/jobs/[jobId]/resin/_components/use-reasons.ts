import { useCallback, useState } from 'react';
import { explainResin } from '../actions';
import type { ResinReasons } from '@/subjects/resin/choice';
import type { ResinRow } from './resin-row';

interface Reasons {
  /** Those a row brought, or that were asked for. */
  readonly of: (row: ResinRow) => ResinReasons | undefined;
  /** Asks the server for the reasons that a row did not bring. */
  readonly want: (row: ResinRow) => void;
}

/** Why each resin stands where it does; a long shelf brings the reasons of its first rows only. */
export function useReasons(jobId: number): Reasons {
  const [asked, setAsked] = useState<ReadonlyMap<number, ResinReasons>>(new Map());
  const of = useCallback((row: ResinRow) => row.reasons ?? asked.get(row.id), [asked]);
  const want = useCallback(
    (row: ResinRow) => {
      if (of(row) !== undefined) return;
      void explainResin(jobId, row.id).then((found) => {
        if (found !== undefined) setAsked((before) => new Map(before).set(row.id, found));
      });
    },
    [jobId, of],
  );
  return { of, want };
}
