'use client';

import { formatMm, formatSigned } from '@/core/kit/wording';
import { stripOf } from '@/app/_components/strip-of';
import type { FeatureView } from '@/subjects/job/jobs';
import {
  describeKind,
  describeConverted,
  describeOtherState,
  describeSettling,
  describeVerdict,
} from '@/subjects/kit/shared';
import type { ReadingInput } from '@/subjects/measure/readings/shared';
import { RuleStrip, toneOf } from '@/ui';
import { countedReadings, READINGS_EACH } from './reading-order';

interface FeatureRowsProps {
  readonly features: readonly FeatureView[];
  readonly control?: { readonly id: number; readonly z?: number };
  readonly activeId: number;
  readonly waiting: readonly ReadingInput[];
  readonly onChoose: (featureId: number) => void;
  readonly onRetract: (readingId: number) => void;
}

export function FeatureRows({ features, control, activeId, waiting, onChoose, onRetract }: FeatureRowsProps) {
  return (
    <ul className="mt-4 border-t border-hair" aria-label="Features">
      {features.map((feature, i) => (
        <li
          key={feature.id}
          className={`border-b border-hair ${feature.id === activeId ? 'border-l-4 border-l-juniper bg-sheet' : 'border-l-4 border-l-transparent'}`}
        >
          <Row
            number={i + 1}
            feature={feature}
            waiting={waiting.filter(({ featureId }) => featureId === feature.id)}
            onChoose={() => onChoose(feature.id)}
            onRetract={onRetract}
            isActive={feature.id === activeId}
            control={feature.id === control?.id ? control : undefined}
          />
        </li>
      ))}
    </ul>
  );
}

interface RowProps {
  /** As in the picture. */
  readonly number: number;
  readonly feature: FeatureView;
  readonly waiting: readonly ReadingInput[];
  readonly isActive: boolean;
  /** It is the control feature; how far its readings lie from what was expected, in sd. */
  readonly control?: { readonly z?: number };
  readonly onChoose: () => void;
  readonly onRetract: (readingId: number) => void;
}

function Row({ number, feature, waiting, isActive, control, onChoose, onRetract }: RowProps) {
  const { name, kind, targetMm, size, verdict } = feature;
  const odd = feature.readings.find(({ suspicious }) => suspicious !== undefined);
  return (
    <div className="grid items-center gap-x-4 gap-y-1 px-3 py-1.5 sm:grid-cols-[minmax(0,9.5rem)_minmax(0,10rem)_minmax(10rem,1fr)_minmax(0,12rem)]">
      <button type="button" onClick={onChoose} aria-pressed={isActive} className="text-left max-sm:min-h-11">
        <span className="block font-semibold">
          <span className="num mr-1.5 font-normal text-soft" aria-hidden>
            {number}
          </span>
          {name}
        </span>
        <span className="block text-sm text-soft">
          {control !== undefined && 'control piece · '}
          {describeKind(kind)} · <span className="num">{formatMm(targetMm)}</span>
        </span>
      </button>
      <ReadingList feature={feature} waiting={waiting} />
      <RuleStrip {...stripOf(feature)} words={wordsOf(feature)} tone={toneOf(verdict)} showWords={false} />
      <div>
        {size === undefined ? (
          <span className="text-soft">not measured yet</span>
        ) : (
          <>
            <p className="num">
              <span className="text-lg font-semibold">{formatMm(size.sizeMm, 3)}</span> ±{' '}
              {formatMm(size.expandedU_mm, 3)}
            </p>
            {control === undefined ? <VerdictWords feature={feature} /> : <ControlWords z={control.z} />}
          </>
        )}
      </div>
      {odd?.suspicious !== undefined && (
        <p className="col-span-full text-sm">
          <strong className="text-plum">{formatMm(odd.readingMm)} looks wrong</strong>: it is{' '}
          {formatMm(Math.abs(odd.suspicious.z), 1)} standard deviations from the other readings{' '}
          {odd.suspicious.guessMm !== null &&
            `. With two digits swapped, ${formatMm(odd.suspicious.guessMm)} would fit`}{' '}
          . Measure again or{' '}
          <button type="button" className="underline" onClick={() => onRetract(odd.id)}>
            delete this reading
          </button>
          .
        </p>
      )}
    </div>
  );
}

function wordsOf(feature: FeatureView): string {
  const { name, size, verdict, otherState, converted, predicted, targetMm } = feature;
  if (size !== undefined && otherState !== undefined)
    return `${name}: ${formatMm(size.sizeMm, 3)} ± ${formatMm(size.expandedU_mm, 3)} mm, ${describeOtherState(otherState)}`;
  if (verdict !== undefined && converted !== undefined)
    return `${name}: ${describeVerdict(verdict)}, ${describeConverted(converted)} mm`;
  if (size !== undefined && verdict !== undefined)
    return `${name}: ${describeVerdict(verdict)}, ${formatMm(size.sizeMm, 3)} ± ${formatMm(size.expandedU_mm, 3)} mm`;
  return predicted === undefined
    ? `${name}: not measured yet`
    : `${name}: expected ${formatMm(predicted.meanMm, 3)}, target ${formatMm(targetMm)}; not measured yet`;
}

const TONE_TEXT = {
  in: 'text-juniper',
  under: 'text-plum',
  over: 'text-teal',
  unsure: '',
  none: '',
} as const;

function VerdictWords({ feature: { verdict, otherState, converted } }: { feature: FeatureView }) {
  if (otherState !== undefined) return <p className="text-sm">{describeOtherState(otherState)}</p>;
  if (verdict === undefined) return null;
  return (
    <>
      <p className={`font-medium ${TONE_TEXT[toneOf(verdict)]}`}>{describeVerdict(verdict)}</p>
      {converted !== undefined && <p className="text-sm text-soft">{describeConverted(converted)}</p>}
      {verdict.kind === 'cantTell' && (
        <p className="text-sm text-soft">
          {converted === undefined
            ? describeSettling(verdict.settling)
            : `measure ${converted.counts} more to reduce the uncertainty`}
        </p>
      )}
    </>
  );
}

/** Beyond so many standard deviations a control feature is far off. */
const FAR = 3;

function ControlWords({ z }: { z?: number }) {
  if (z === undefined) return null;
  const far = Math.abs(z) > FAR;
  return (
    <p className={far ? 'font-medium text-plum' : 'text-sm text-soft'}>
      {far ? 'far from the expected size' : 'as expected'}: <span className="num">{formatSigned(z, 1)}</span>{' '}
      sd
    </p>
  );
}

function ReadingList({
  feature: { readings },
  waiting,
}: {
  feature: FeatureView;
  waiting: readonly ReadingInput[];
}) {
  const missing = Math.max(0, READINGS_EACH - countedReadings(readings).length - waiting.length);
  return (
    <p className="num flex flex-wrap gap-x-2.5 gap-y-1">
      {readings.map(({ id, readingMm, suspicious, atPlate }) => (
        <span
          key={id}
          data-reading=""
          className={`border-b ${suspicious ? 'border-b-2 border-plum' : 'border-edge'}`}
        >
          {formatMm(readingMm)}
          {suspicious && <span className="sr-only"> looks wrong</span>}
          {atPlate && <span className="text-xs text-soft"> near plate</span>}
        </span>
      ))}
      {waiting.map(({ clientKey, readingMm }) => (
        <span key={clientKey} className="border-b border-dashed border-edge text-soft">
          {formatMm(readingMm)}
        </span>
      ))}
      {Array.from({ length: missing }, (_, i) => (
        <span key={i} className="w-11 border-b border-dotted border-edge" aria-hidden>
          {'\u00a0'}
        </span>
      ))}
    </p>
  );
}
