'use client';

import { type MouseEvent, useState } from 'react';
import { loopPath, useSilhouettes } from '@/app/_components/use-silhouettes';
import { Button, Problem } from '@/ui';

/** Where a part comes from, and how far supports lift it, mm. */
export interface ViewedPart {
  readonly source: string;
  readonly liftMm: number;
}

interface PartViewProps {
  readonly part: ViewedPart;
  /** Tapped: from the part's middle, and above the plate, mm. */
  readonly onTap: (at: { readonly xMm: number; readonly heightMm: number }) => void;
}

const MARGIN_MM = 1;

/** The part from the front, as it stood: a tap tells place and height at once. */
export function PartView({ part, onTap }: PartViewProps) {
  const { views, problem, stop, show } = useSilhouettes(part.source);
  const [mark, setMark] = useState<readonly [number, number]>();
  const front = views?.find(({ view }) => view === 'front');
  if (front === undefined)
    return (
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => void show()} disabled={stop !== undefined}>
          Mark the place on the part
        </Button>
        {stop !== undefined && (
          <>
            <progress aria-label="Reading the part" />
            <Button onClick={stop}>Stop</Button>
          </>
        )}
        {problem !== undefined && <Problem>{problem}</Problem>}
      </div>
    );
  const { min, max, sections } = front;
  const [width, height] = [max[0] - min[0] + 2 * MARGIN_MM, max[1] - min[1] + 2 * MARGIN_MM];
  const sizeMm = Math.max(width, height);
  const tapped = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = min[0] - MARGIN_MM + ((event.clientX - box.left) / box.width) * width;
    const z = max[1] + MARGIN_MM - ((event.clientY - box.top) / box.height) * height;
    const inside = [Math.min(max[0], Math.max(min[0], x)), Math.min(max[1], Math.max(min[1], z))] as const;
    setMark(inside);
    onTap({ xMm: inside[0] - (min[0] + max[0]) / 2, heightMm: inside[1] - min[1] + part.liftMm });
  };
  return (
    <figure>
      {/* By the keyboard the height is typed below: the drawing only adds a quick way to it. */}
      <svg
        viewBox={`${min[0] - MARGIN_MM} ${-max[1] - MARGIN_MM} ${width} ${height}`}
        role="img"
        aria-label="Front view of the part with the plate below. Tap where it failed"
        className="max-h-80 w-full cursor-crosshair border-2 border-edge bg-sheet"
        style={{ aspectRatio: `${width} / ${height}`, maxWidth: `${(20 * width) / height}rem` }}
        onClick={tapped}
      >
        {sections.map((loops, i) => (
          <path key={i} d={loops.map(loopPath).join('')} fillRule="evenodd" className="fill-band" />
        ))}
        {mark !== undefined && (
          <circle
            cx={mark[0]}
            cy={-mark[1]}
            r={sizeMm / 70}
            className="fill-plum stroke-sheet"
            strokeWidth={sizeMm / 280}
          />
        )}
      </svg>
      <figcaption className="text-sm text-soft">
        Front view, plate below. A tap fills in the height.
      </figcaption>
    </figure>
  );
}
