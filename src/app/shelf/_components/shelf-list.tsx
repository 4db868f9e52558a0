'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import type { ShelfLine } from '@/subjects/resin/shelf';
import { describeFamily, formatProperty } from '@/subjects/resin/shelf/shared';
import { Link, PlainField } from '@/ui';

const ROW_PX = 58;

/** A short shelf stands there whole; a long one scrolls in its own frame. */
const WHOLE = 14;

function matches({ name, family }: ShelfLine, text: string): boolean {
  return `${name} ${describeFamily(family)}`.toLowerCase().includes(text.toLowerCase().trim());
}

/** The resins, one row each; only visible rows are drawn, however many there are. */
export function ShelfList({ lines }: { lines: readonly ShelfLine[] }) {
  const [text, setText] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const shown = useMemo(() => lines.filter((line) => matches(line, text)), [lines, text]);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is redrawn whole at each scroll; nothing of it is memoised
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  const height = Math.min(shown.length, WHOLE) * ROW_PX;
  return (
    <section aria-label="Resins" className="mt-4">
      {lines.length > 8 && (
        <div className="mb-2 max-w-xs">
          <PlainField
            name="look"
            label={`Search ${lines.length} resins`}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </div>
      )}
      {shown.length === 0 && <p className="text-soft">No resin has this name or family.</p>}
      <div
        ref={frame}
        className="overflow-y-auto border-t border-ink"
        style={{ height: height + 1 }}
        // A frame that scrolls must be reachable by keyboard.
        tabIndex={shown.length > WHOLE ? 0 : undefined}
        role="list"
        aria-label="Resins"
      >
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => (
            <div
              key={shown[index].id}
              role="listitem"
              aria-setsize={shown.length}
              aria-posinset={index + 1}
              className="absolute inset-x-0 border-b border-hair"
              style={{ height: ROW_PX, transform: `translateY(${start}px)` }}
            >
              <Line line={shown[index]} />
            </div>
          ))}
        </div>
      </div>
    </section>
  );
}

function Line({ line }: { line: ShelfLine }) {
  const { id, name, family, heatC, modulusMPa, elongation, proofs, leftMl, inVatOf } = line;
  const stock = [
    leftMl === undefined ? '' : `${Math.round(leftMl)} ml left`,
    inVatOf.length === 0 ? '' : `in the vat of ${inVatOf.join(', ')}`,
    proofs === 0 ? '' : `${proofs} ${proofs === 1 ? 'test' : 'tests'}`,
  ].filter((part) => part !== '');
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 sm:grid-cols-[minmax(0,1fr)_6rem_7rem_6rem]">
      <div className="min-w-0">
        <p className="truncate">
          <Link href={`/shelf/${id}`} className="text-lg font-semibold hover:underline">
            {name}
          </Link>{' '}
          <span className="text-sm text-soft">{describeFamily(family)}</span>
        </p>
        <p className="truncate text-sm text-soft">{stock.join(' · ')}</p>
      </div>
      <Figure
        label="softens"
        text={heatC === undefined ? undefined : formatProperty('deflectionLow_C', heatC)}
      />
      <Figure
        label="modulus"
        hidden
        text={modulusMPa === undefined ? undefined : formatProperty('flexuralModulus_MPa', modulusMPa)}
      />
      <Figure
        label="breaks at"
        hidden
        text={elongation === undefined ? undefined : formatProperty('elongation', elongation)}
      />
    </div>
  );
}

function Figure({ label, text, hidden = false }: { label: string; text?: string; hidden?: boolean }) {
  return (
    <p className={`text-right leading-tight ${hidden ? 'hidden sm:block' : ''}`}>
      <span className={text === undefined ? 'text-soft' : 'num'}>{text ?? 'unknown'}</span>
      <span className="block text-sm text-soft">{label}</span>
    </p>
  );
}
