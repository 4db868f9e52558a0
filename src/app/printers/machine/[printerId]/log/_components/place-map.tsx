import type { PlacedFailure } from '@/subjects/log';

interface PlaceMapProps {
  readonly plateMm?: readonly [number, number, number];
  readonly places: readonly PlacedFailure[];
}

const ASSUMED_MM = [120, 68] as const;

/** The plate with every piece of many prints: whole ones as small rings, failed ones filled. */
export function PlaceMap({ plateMm, places }: PlaceMapProps) {
  const [widthMm, depthMm] = plateMm ?? ASSUMED_MM;
  const failed = places.filter((each) => each.failed).length;
  return (
    <svg
      viewBox={`${-widthMm / 2} ${-depthMm / 2} ${widthMm} ${depthMm}`}
      role="img"
      aria-label={`Top view of the plate: ${places.length} pieces printed, ${failed} failed`}
      className="mt-2 w-full border-2 border-edge bg-sheet"
    >
      {places.map(({ runId, xMm, yMm, failed: isFailed }, i) => (
        <circle
          key={`${runId} ${i}`}
          cx={xMm}
          cy={-yMm}
          r={isFailed ? 2.2 : 1.4}
          className={isFailed ? 'fill-plum' : 'fill-none stroke-edge'}
          strokeWidth={0.4}
        />
      ))}
    </svg>
  );
}
