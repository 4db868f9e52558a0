'use client';

import { type ReactNode, useState, useSyncExternalStore } from 'react';
import { loopPath, useSilhouettes } from '@/app/_components/use-silhouettes';
import type { View } from '@/core/part/mesh';
import { extentOfProfile, type Profile } from '@/core/fit/solids';
import { Button, Problem } from '@/ui';

interface TrueSizeProps {
  readonly loops: Profile['loops'];
  readonly circles: readonly (Profile['circles'][number] & { readonly isHole: boolean })[];
}

const STORE = 'mellow-screen-scale';
/** Long side of a bank card, ISO/IEC 7810 ID-1, mm. */
const CARD_MM = 85.6;

function subscribe(onChange: () => void) {
  window.addEventListener('storage', onChange);
  window.addEventListener(STORE, onChange);
  return () => {
    window.removeEventListener('storage', onChange);
    window.removeEventListener(STORE, onChange);
  };
}

/** How many of the screen's own millimetres make a real one; kept in the browser. */
function useScreenScale(): readonly [number, (scale: number) => void] {
  const scale = useSyncExternalStore(
    subscribe,
    () => Number(localStorage.getItem(STORE) ?? '1'),
    () => 1,
  );
  const keep = (value: number) => {
    localStorage.setItem(STORE, String(value));
    window.dispatchEvent(new Event(STORE));
  };
  return [Number.isFinite(scale) && scale > 0 ? scale : 1, keep];
}

interface Sheet {
  readonly left: number;
  readonly low: number;
  readonly width: number;
  readonly height: number;
}

/** The part's outline at its true size on this screen, to hold the old one against. */
export function TrueSize({ loops, circles }: TrueSizeProps) {
  const extent = extentOfProfile({ loops, circles });
  const [left, low] = [extent.left - 1, extent.low - 1];
  const sheet = { left, low, width: extent.right + 1 - left, height: extent.high + 1 - low };
  return (
    <AtTrueSize sheets={[{ ...sheet, label: 'Outline' }]}>
      {() => (
        <>
          {loops.map((loop) => (
            <path key={String(loop[0])} d={`M${loop.map(([x, y]) => `${x} ${-y}`).join('L')}Z`} />
          ))}
          {circles.map(({ centre, diameterMm, isHole }) => (
            <circle
              key={`${centre.join()} ${diameterMm}`}
              cx={centre[0]}
              cy={-centre[1]}
              r={diameterMm / 2}
              className={isHole ? 'fill-sheet' : undefined}
            />
          ))}
        </>
      )}
    </AtTrueSize>
  );
}

const VIEW_WORDS: Readonly<Record<View, string>> = {
  top: 'Top view',
  front: 'Front view',
  side: 'Right view',
};

/** The same for an imported file: read on request, seen from three sides. */
export function TrueSizeOfFile({ source, version }: { source: string; version: number }) {
  const { views, problem, stop, show } = useSilhouettes(
    `${source}${source.includes('?') ? '&' : '?'}v=${version}`,
  );
  if (views === undefined)
    return (
      <section aria-labelledby="true-size-title">
        <h2 id="true-size-title" className="mb-1 text-lg">
          Actual size
        </h2>
        <div className="flex items-center gap-3">
          <Button onClick={() => void show()} disabled={stop !== undefined}>
            Show outlines at actual size
          </Button>
          {stop !== undefined && (
            <>
              <progress aria-label="Reading the part" />
              <Button onClick={stop}>Stop</Button>
            </>
          )}
        </div>
        {problem !== undefined && <Problem>{problem}</Problem>}
      </section>
    );
  const sheets = views.map(({ view, min, max }) => ({
    label: VIEW_WORDS[view],
    left: min[0] - 1,
    low: min[1] - 1,
    width: max[0] - min[0] + 2,
    height: max[1] - min[1] + 2,
  }));
  return (
    <AtTrueSize sheets={sheets}>
      {(at) =>
        views[at].sections.map((loops, i) => (
          <path key={i} d={loops.map(loopPath).join('')} fillRule="evenodd" stroke="none" />
        ))
      }
    </AtTrueSize>
  );
}

interface AtTrueSizeProps {
  readonly sheets: readonly (Sheet & { readonly label: string })[];
  /** What is drawn on each of them. */
  readonly children: (sheet: number) => ReactNode;
}

/** Drawings at true size, with the way to set the screen's own scale. */
function AtTrueSize({ sheets, children }: AtTrueSizeProps) {
  const [scale, keep] = useScreenScale();
  const [tuning, setTuning] = useState(false);
  return (
    <section aria-labelledby="true-size-title">
      <h2 id="true-size-title" className="mb-1 text-lg">
        Actual size
      </h2>
      {sheets.map(({ label, left, low, width, height }, i) => (
        <figure key={label} className="mb-2">
          <div
            className="overflow-auto bg-sheet p-2"
            tabIndex={0}
            role="region"
            aria-label={`${label}, may scroll`}
          >
            <svg
              style={{ width: `${width * scale}mm`, height: `${height * scale}mm` }}
              viewBox={`${left} ${-(low + height)} ${width} ${height}`}
              role="img"
              aria-label={`${label} at actual size, ${(width - 2).toFixed(0)} by ${(height - 2).toFixed(0)} mm`}
            >
              <g className="fill-part stroke-ink" strokeWidth={0.15}>
                {children(i)}
              </g>
            </svg>
          </div>
          {sheets.length > 1 && <figcaption className="text-sm text-soft">{label}</figcaption>}
        </figure>
      ))}
      <button
        type="button"
        className="mt-1 min-h-6 text-sm text-soft underline"
        onClick={() => setTuning(!tuning)}
      >
        {tuning ? 'Done' : 'Wrong size on this screen? Calibrate with a bank card'}
      </button>
      {tuning && (
        <div className="mt-2">
          <div
            className="h-6 border border-ink bg-band"
            style={{ width: `${CARD_MM * scale}mm` }}
            aria-hidden
          />
          <label className="mt-1 block text-sm">
            Move the slider until the bar is as long as the card ({CARD_MM} mm):
            <input
              type="range"
              min={0.6}
              max={1.8}
              step={0.002}
              value={scale}
              onChange={(event) => keep(Number(event.target.value))}
              className="w-full"
            />
          </label>
        </div>
      )}
    </section>
  );
}
