import type { LogView } from '@/subjects/log';

const LENGTH = 120;
const DOT = 1.6;
const ROW = 3.6;
const LEAST = 3;

/** Failures along the height of their plates, the bottom at the left: dots of one height are stacked. */
export function HeightStrip({ heights }: { heights: LogView['heights'] }) {
  if (heights.length < LEAST) return null;
  const tallest = Math.max(...heights.map(({ ofMm }) => ofMm));
  const stacked = new Map<number, number>();
  const dots = heights.map(({ runId, mm }) => {
    const column = Math.round((mm / tallest) * (LENGTH / (2 * DOT)));
    const row = stacked.get(column) ?? 0;
    stacked.set(column, row + 1);
    return { key: `${runId} ${mm}`, x: (mm / tallest) * LENGTH, row };
  });
  const rows = Math.max(...stacked.values());
  return (
    <figure className="mt-2">
      <svg
        viewBox={`-3 ${-rows * ROW - 1} ${LENGTH + 6} ${rows * ROW + 3}`}
        role="img"
        aria-label={`${heights.length} failures by height. Left: the plate. Right: ${tallest.toFixed(1)} mm`}
        className="w-full"
      >
        <line x1={0} x2={LENGTH} y1={0} y2={0} className="stroke-edge" strokeWidth={0.6} />
        {dots.map(({ key, x, row }) => (
          <circle key={`${key} ${row}`} cx={x} cy={-DOT - 0.4 - row * ROW} r={DOT} className="fill-plum" />
        ))}
      </svg>
      <figcaption className="flex justify-between text-sm text-soft">
        <span>at the plate</span>
        <span>Failures by height</span>
        <span className="num">{tallest.toFixed(1)} mm</span>
      </figcaption>
    </figure>
  );
}
