'use client';

import { formatMm } from '@/core/kit/wording';
import { useEffect, useMemo, useState } from 'react';
import { adviseFastening, type DrawnFit, type FasteningSize, NUTS } from '@/core/fit/mating';
import type { FeatureKind } from '@/core/measure';
import {
  describeFastening,
  describeFasteningReason,
  describeFasteningSize,
} from '@/subjects/fit/mating/shared';
import { Caution, PlainChoice, PlainField, useNumbers } from '@/ui';
import { askDrawn } from '../actions';
import type { DeskResin } from './fit-types';
import { StrengthFields, strengthOf } from './strength-fields';

const KINDS: Readonly<Record<FasteningSize['what'], FeatureKind>> = {
  hole: { sense: 'inside', shape: 'round', axis: 'XY' },
  insertHole: { sense: 'inside', shape: 'round', axis: 'XY' },
  tapHole: { sense: 'inside', shape: 'round', axis: 'XY' },
  acrossFlats: { sense: 'inside', shape: 'flat', axis: 'X' },
  nutDepth: { sense: 'pitch', shape: 'flat', axis: 'Z' },
  bossOuter: { sense: 'outside', shape: 'round', axis: 'XY' },
  engagement: { sense: 'pitch', shape: 'flat', axis: 'Z' },
};

const LIMIT_MM = 0.1;

type Undone = 'never' | 'sometimes' | 'often';

/** Ways to hold a screw in cured resin, best first, each with what to draw on this printer. */
export function FasteningPanel({ jobId, resin }: { jobId: number; resin?: DeskResin }) {
  const [thread, setThread] = useState('M3');
  const [undone, setUndone] = useState<Undone>('sometimes');
  const [bothSides, setBothSides] = useState(true);
  const { valueOf, field } = useNumbers({ insertOuterMm: '' });
  const { breakStrain } = strengthOf(resin);
  const insert = valueOf('insertOuterMm');
  const ways = useMemo(
    () =>
      adviseFastening({
        nut: NUTS.find((nut) => nut.thread === thread)!,
        breakStrain,
        undone,
        bothSides,
        insertOuterMm: insert !== undefined && insert > 0 ? insert : undefined,
      }),
    [thread, breakStrain, undone, bothSides, insert],
  );
  const [drawn, setDrawn] = useState<ReadonlyMap<string, DrawnFit>>(new Map());
  useEffect(() => {
    const sizes = ways.flatMap((way) => way.sizes);
    let current = true;
    const wanted = sizes.map(({ what, mm }) => ({ kind: KINDS[what], targetMm: mm, halfMm: LIMIT_MM }));
    void askDrawn(jobId, wanted).then((answers) => {
      if (current && answers !== undefined)
        setDrawn(new Map(sizes.map(({ what, mm }, i) => [`${what}/${mm}`, answers[i]])));
    });
    return () => {
      current = false;
    };
  }, [jobId, ways]);
  return (
    <div className="space-y-3">
      <StrengthFields resin={resin} />
      <div className="grid gap-3 sm:grid-cols-4">
        <PlainChoice
          name="thread"
          label="Thread"
          value={thread}
          onChange={(event) => setThread(event.target.value)}
          choices={NUTS.map((nut) => ({ value: nut.thread, label: nut.thread }))}
        />
        <PlainChoice
          name="undone"
          label="Disassembly"
          value={undone}
          onChange={(event) => setUndone(event.target.value as Undone)}
          choices={[
            { value: 'never', label: 'never' },
            { value: 'sometimes', label: 'sometimes' },
            { value: 'often', label: 'often' },
          ]}
        />
        <PlainField label="Measured outside diameter of the insert" unit="mm" {...field('insertOuterMm')} />
        <label className="flex items-center gap-2 self-end pb-2">
          <input
            type="checkbox"
            className="size-4"
            checked={bothSides}
            onChange={(event) => setBothSides(event.target.checked)}
          />
          both sides are accessible
        </label>
      </div>
      <ol>
        {ways.map(({ way, rank, reasons, sizes }) => (
          <li key={way} className="border-b border-hair py-2">
            <p className={rank === 0 ? 'text-soft' : ''}>
              <span className="font-semibold">{describeFastening(way)}</span>
              {rank === 0 && ': not suitable'}
            </p>
            <p className="text-sm text-soft">{reasons.map(describeFasteningReason).join(' ')}</p>
            {rank > 0 && (
              <p className="flex flex-wrap gap-x-5 text-sm">
                {sizes.map(({ what, mm }) => {
                  const answer = drawn.get(`${what}/${mm}`);
                  return (
                    <span key={what}>
                      {describeFasteningSize(what)} <span className="num">{formatMm(mm)}</span>
                      {answer !== undefined && (
                        <>
                          , draw{' '}
                          <span className="num font-semibold text-juniper">{formatMm(answer.drawMm)}</span>
                        </>
                      )}
                    </span>
                  );
                })}
              </p>
            )}
          </li>
        ))}
      </ol>
      <Caution>
        A tap can snap, and an over-tightened screw splits the boss: wear eye protection, tap by hand, and
        tighten only until it holds. A hot iron on resin gives off fumes and spits: do not try it.
      </Caution>
    </div>
  );
}
