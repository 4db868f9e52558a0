'use client';

import type { MouseEvent } from 'react';
import type { ShownPiece } from './plate-drawing';

/** Where somebody tapped on a piece, from its centre in its file, mm. */
export type PartPlace = readonly [x: number, y: number];

interface TappedPlateProps {
  readonly bed: { readonly widthMm: number; readonly depthMm: number };
  readonly pieces: readonly ShownPiece[];
  /** Recorded before. */
  readonly failed: ReadonlySet<number>;
  readonly chosen: readonly number[];
  readonly place?: PartPlace;
  readonly onTap: (id: number, at?: PartPlace) => void;
}

/** The plate from above; each piece is a button, and the place of the tap is that of the failure on it. */
export function TappedPlate({ bed, pieces, failed, chosen, place, onTap }: TappedPlateProps) {
  return (
    <div
      role="group"
      aria-label="Top view of the plate: tap what failed"
      className="relative w-full overflow-clip border-2 border-edge bg-sheet"
      style={{ aspectRatio: `${bed.widthMm} / ${bed.depthMm}` }}
    >
      {pieces.map((piece) => (
        <TappedPiece
          key={piece.id}
          piece={piece}
          bed={bed}
          isFailed={failed.has(piece.id)}
          isChosen={chosen.includes(piece.id)}
          place={chosen.length === 1 && chosen[0] === piece.id ? place : undefined}
          onTap={onTap}
        />
      ))}
    </div>
  );
}

interface TappedPieceProps extends Pick<TappedPlateProps, 'bed' | 'place' | 'onTap'> {
  readonly piece: ShownPiece;
  readonly isFailed: boolean;
  readonly isChosen: boolean;
}

/** A piece rotated by 90° has its own X along the plate's Y. */
const fromPlate = (x: number, y: number, isTurned: boolean): PartPlace => (isTurned ? [y, -x] : [x, y]);
const toPlate = ([x, y]: PartPlace, isTurned: boolean): PartPlace => (isTurned ? [-y, x] : [x, y]);

function TappedPiece({ piece, bed, isFailed, isChosen, place, onTap }: TappedPieceProps) {
  const { id, label, isTurned, xMm, yMm } = piece;
  const [widthMm, depthMm] = isTurned ? [piece.depthMm, piece.widthMm] : [piece.widthMm, piece.depthMm];
  const percent = (mm: number, of: number) => `${(100 * mm) / of}%`;
  const tapped = (event: MouseEvent<HTMLButtonElement>) => {
    // From the keyboard there is no place on it.
    if (event.detail === 0) return onTap(id);
    const box = event.currentTarget.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width - 0.5) * widthMm;
    const y = (0.5 - (event.clientY - box.top) / box.height) * depthMm;
    onTap(id, fromPlate(x, y, isTurned));
  };
  const [markX, markY] = place === undefined ? [0, 0] : toPlate(place, isTurned);
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={tapped}
      className={`absolute grid place-items-center overflow-hidden border text-xs leading-tight ${isChosen ? 'border-2 border-plum bg-wash' : isFailed ? 'border-dashed border-plum bg-ground' : 'border-ink bg-band'}`}
      style={{
        width: percent(widthMm, bed.widthMm),
        height: percent(depthMm, bed.depthMm),
        left: percent(bed.widthMm / 2 + xMm - widthMm / 2, bed.widthMm),
        top: percent(bed.depthMm / 2 - yMm - depthMm / 2, bed.depthMm),
      }}
    >
      <span className="px-0.5">
        {label}
        {isFailed && <span className="sr-only">, marked as failed</span>}
      </span>
      {place !== undefined && (
        <span
          aria-hidden
          className="absolute size-3 -translate-1/2 rounded-full border-2 border-sheet bg-plum"
          style={{ left: percent(widthMm / 2 + markX, widthMm), top: percent(depthMm / 2 - markY, depthMm) }}
        />
      )}
    </button>
  );
}
