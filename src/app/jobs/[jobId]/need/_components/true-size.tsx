'use client';

import { useState, useSyncExternalStore } from 'react';
import { extentOfProfile, type Profile } from '@/core/solids';

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

/** The part's outline at its true size on this screen, to hold the old one against. */
export function TrueSize({ loops, circles }: TrueSizeProps) {
  const [scale, keep] = useScreenScale();
  const [tuning, setTuning] = useState(false);
  const extent = extentOfProfile({ loops, circles });
  const [left, low] = [extent.left - 1, extent.low - 1];
  const [width, height] = [extent.right + 1 - left, extent.high + 1 - low];
  return (
    <section aria-labelledby="true-size-title">
      <h2 id="true-size-title" className="mb-1 text-lg">
        At its true size
      </h2>
      <div className="overflow-auto bg-sheet p-2">
        <svg
          style={{ width: `${width * scale}mm`, height: `${height * scale}mm` }}
          viewBox={`${left} ${-(low + height)} ${width} ${height}`}
          role="img"
          aria-label={`Outline at true size, ${width.toFixed(0)} by ${height.toFixed(0)} mm`}
        >
          <g className="fill-part stroke-ink" strokeWidth={0.15}>
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
          </g>
        </svg>
      </div>
      <button
        type="button"
        className="mt-1 min-h-6 text-sm text-soft underline"
        onClick={() => setTuning(!tuning)}
      >
        {tuning ? 'Done' : 'Not true on this screen? Set it with a bank card'}
      </button>
      {tuning && (
        <div className="mt-2">
          <div
            className="h-6 border border-ink bg-band"
            style={{ width: `${CARD_MM * scale}mm` }}
            aria-hidden
          />
          <label className="mt-1 block text-sm">
            Move until the bar is as long as the card ({CARD_MM} mm):
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
