'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import { formatChance, formatMm } from '@/core/kit/wording';
import type { DrawnFit, SnapChoices } from '@/core/fit/mating';
import { describeFitWord } from '@/subjects/kit/shared';
import type { WordBounds } from '@/subjects/measure/readings';
import { CopyButton, RuleStrip, useShortcuts } from '@/ui';

export interface DrawRow {
  readonly id: number;
  readonly name: string;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly lastDrawnMm?: number;
  readonly next: DrawnFit;
  readonly chanceUnchanged?: number;
  /** It meets a body: too tight and too loose are reported separately. */
  readonly hasMate: boolean;
  readonly isHeight: boolean;
  /** What the hand said of drawn sizes so far. */
  readonly bounds?: WordBounds;
  /** Sizes on the printer's grid next to the wanted one, with their chances. */
  readonly snap?: SnapChoices & { readonly dividing: readonly number[] };
}

const DIGITS = 3;

const MOST_KEYS = 9;

/** The numbers to type into a modeller, each with where its print should land and its chance. */
export function DrawTable({ rows }: { rows: readonly DrawRow[] }) {
  const table = rows.map(({ name, next }) => `${name}\t${formatMm(next.drawMm, DIGITS)}`).join('\n');
  const copy = (text: string) => () => void navigator.clipboard.writeText(text);
  useShortcuts([
    { key: 'y', does: 'Copy the whole table', run: copy(table) },
    ...rows.slice(0, MOST_KEYS).map(({ name, next }, i) => ({
      key: String(i + 1),
      does: `Copy the new drawn size of ${name}`,
      run: copy(formatMm(next.drawMm, DIGITS)),
    })),
  ]);
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">New drawn sizes</caption>
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th className="py-1 pr-3 font-normal">Feature</th>
          <th className="hidden py-1 pr-3 font-normal sm:table-cell">target</th>
          <th className="hidden py-1 pr-3 font-normal md:table-cell">last drawn</th>
          <th className="py-1 pr-3 font-normal">
            <CopyButton text={table} label="Copy the table">
              new drawn size <kbd>y</kbd>
            </CopyButton>
          </th>
          <th className="hidden py-1 pr-3 font-normal sm:table-cell">expected size</th>
          <th className="py-1 text-right font-normal">chance within</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <DrawLine key={row.id} row={row} />
        ))}
      </tbody>
    </table>
  );
}

/** Whole pixels or layers beside the wanted size; layer heights that would divide it. */
function SnapWords({ snap: { below, above, wantedMm, dividing }, grid }: SnapWordsProps) {
  return (
    <span className="block text-center text-sm text-soft">
      nearest whole {grid}:{' '}
      {[below, above].map(({ drawMm, inTolerance }, i) => (
        <span key={drawMm} className="num whitespace-nowrap">
          {i > 0 && ' or '}
          {formatMm(drawMm, DIGITS)} ({formatChance(inTolerance)})
        </span>
      ))}
      {dividing.length > 0 && (
        <span className="whitespace-nowrap">
          {'; '}
          <span className="num">{formatMm(wantedMm, DIGITS)}</span> in whole layers of{' '}
          <span className="num">
            {dividing
              .slice(0, 2)
              .map((mm) => formatMm(mm, 3))
              .join(' or ')}
          </span>
        </span>
      )}
    </span>
  );
}

interface SnapWordsProps {
  readonly snap: NonNullable<DrawRow['snap']>;
  readonly grid: 'pixels' | 'layers';
}

function describeBounds({ tight, loose }: WordBounds): string {
  const at = (said: WordBounds['tight']) =>
    said === undefined ? [] : [`${describeFitWord(said.word)} at ${formatMm(said.drawnMm, DIGITS)}`];
  return [...at(tight), ...at(loose)].join(', ');
}

function DrawLine({
  row: {
    name,
    targetMm,
    lowerDeviationMm,
    upperDeviationMm,
    lastDrawnMm,
    next,
    chanceUnchanged,
    hasMate,
    isHeight,
    bounds,
    snap,
  },
}: {
  row: DrawRow;
}) {
  const drawn = formatMm(next.drawMm, DIGITS);
  return (
    <tr className="border-b border-hair align-middle">
      <th scope="row" className="py-1 pr-3 text-left font-semibold">
        {name}
        {bounds !== undefined && (
          <span className="block text-sm font-normal text-soft">{describeBounds(bounds)}</span>
        )}
        {next.reachesBeyond && (
          <span className="block text-sm font-normal text-soft">
            more than 1.5 × the longest size measured
          </span>
        )}
      </th>
      <td className="num hidden py-1 pr-3 sm:table-cell">{formatMm(targetMm)}</td>
      <td className="num hidden py-1 pr-3 md:table-cell">
        {lastDrawnMm === undefined ? '–' : formatMm(lastDrawnMm, DIGITS)}
      </td>
      <td className="py-1 pr-3">
        <CopyButton text={drawn} label={`Copy the new drawn size of ${name}`}>
          <span className="num text-xl font-semibold text-juniper">{drawn}</span>
        </CopyButton>
      </td>
      <td className="hidden w-2/5 py-1 pr-3 sm:table-cell">
        <RuleStrip
          lowerDeviationMm={lowerDeviationMm}
          upperDeviationMm={upperDeviationMm}
          resolutionMm={0.01}
          predictedMm={next.predictedMm - targetMm}
          predictedHalfMm={halfWidth95(next.sdMm)}
          words={`${name}: expected ${formatMm(next.predictedMm, DIGITS)} ± ${formatMm(halfWidth95(next.sdMm), DIGITS)} mm`}
          tone="none"
          showWords={false}
        />
        {snap !== undefined && <SnapWords snap={snap} grid={isHeight ? 'layers' : 'pixels'} />}
      </td>
      <td className="num py-1 text-right">
        {formatChance(next.inTolerance)}
        {hasMate && (
          <span className="block text-sm whitespace-nowrap">
            <span className="text-plum">
              <span className="font-sans">tight</span> {formatChance(next.tight)}
            </span>{' '}
            <span className="text-teal">
              <span className="font-sans">loose</span> {formatChance(next.loose)}
            </span>
          </span>
        )}
        {chanceUnchanged !== undefined && (
          <span className="block text-sm text-soft">{formatChance(chanceUnchanged)} unchanged</span>
        )}
      </td>
    </tr>
  );
}
