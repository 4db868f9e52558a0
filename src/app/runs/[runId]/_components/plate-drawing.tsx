'use client';

import { DndContext, type DragEndEvent, useDraggable } from '@dnd-kit/core';
import { useRef, useState } from 'react';
import type { PlaceIssue } from '@/core/print';
import { describePlaceIssue } from '@/subjects/print/plate/shared';
import { useDragSensors } from '@/ui';

/** A piece as the plate shows it, mm. */
export interface ShownPiece {
  readonly id: number;
  readonly label: string;
  /** Which of the things on the plate it is, for its tone. */
  readonly thing: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly isTurned: boolean;
  readonly issue?: PlaceIssue;
  /** Recorded as failed. */
  readonly isFailed?: boolean;
}

interface PlateDrawingProps {
  readonly bed: { readonly widthMm: number; readonly depthMm: number };
  readonly pieces: readonly ShownPiece[];
  /** Undefined: what lies there stays. */
  readonly onMove?: (piece: ShownPiece, xMm: number, yMm: number) => void;
}

/** One step of the arrow keys, mm. */
const STEP_MM = 1;

const round = (mm: number) => Math.round(mm * 10) / 10;

/** The plate from above, at true proportion: what lies where. Pieces are dragged, or moved with the arrow keys after Enter. */
export function PlateDrawing({ bed, pieces, onMove }: PlateDrawingProps) {
  const frame = useRef<HTMLDivElement>(null);
  const mmPerPx = () => bed.widthMm / (frame.current?.clientWidth ?? bed.widthMm);
  const sensors = useDragSensors((code) => {
    const step = STEP_MM / mmPerPx();
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    return moves[code];
  });
  const drop = ({ active, delta }: DragEndEvent) => {
    const piece = pieces.find(({ id }) => id === active.id);
    if (piece === undefined || (delta.x === 0 && delta.y === 0)) return;
    onMove?.(piece, round(piece.xMm + delta.x * mmPerPx()), round(piece.yMm - delta.y * mmPerPx()));
  };
  const grid = `${(10 / bed.widthMm) * 100}% ${(10 / bed.depthMm) * 100}%`;
  return (
    <DndContext id="plate" sensors={sensors} onDragEnd={drop}>
      <div
        ref={frame}
        role="group"
        aria-label={`Top view of the plate, ${round(bed.widthMm)} by ${round(bed.depthMm)} mm`}
        className="relative w-full overflow-clip border-2 border-edge bg-sheet bg-[linear-gradient(var(--color-hair)_1px,transparent_1px),linear-gradient(90deg,var(--color-hair)_1px,transparent_1px)]"
        style={{ aspectRatio: `${bed.widthMm} / ${bed.depthMm}`, backgroundSize: grid }}
      >
        {pieces.map((piece) => (
          <Piece key={piece.id} piece={piece} bed={bed} isFixed={onMove === undefined} />
        ))}
        <span aria-hidden className="absolute bottom-0 right-1 text-xs text-soft">
          front
        </span>
      </div>
    </DndContext>
  );
}

const TONES = ['bg-band', 'bg-wash', 'bg-ground'];

function Piece({
  piece,
  bed,
  isFixed,
}: {
  piece: ShownPiece;
  bed: PlateDrawingProps['bed'];
  isFixed: boolean;
}) {
  const { id, label, thing, isTurned, issue, isFailed = false, xMm, yMm } = piece;
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id,
    disabled: isFixed,
  });
  const [focused, setFocused] = useState(false);
  const [widthMm, depthMm] = isTurned ? [piece.depthMm, piece.widthMm] : [piece.widthMm, piece.depthMm];
  const percent = (mm: number, of: number) => `${(100 * mm) / of}%`;
  const says = `${label}, ${round(xMm)} right of and ${round(yMm)} behind the centre${issue === undefined ? '' : `, ${describePlaceIssue(issue)}`}${isFailed ? ', failed' : ''}`;
  return (
    <div
      ref={setNodeRef}
      {...(isFixed ? {} : { ...attributes, ...listeners })}
      aria-label={says}
      role={isFixed ? 'img' : 'button'}
      title={says}
      onFocus={() => setFocused(true)}
      onBlur={() => setFocused(false)}
      className={`absolute grid touch-none place-items-center overflow-hidden border text-center text-xs leading-tight ${TONES[thing % TONES.length]} ${
        issue !== undefined
          ? 'border-2 border-dashed border-plum text-plum'
          : isFailed
            ? 'border-2 border-plum text-plum'
            : 'border-ink'
      } ${isFixed ? '' : 'cursor-grab'} ${isDragging || focused ? 'z-10 outline-2 outline-juniper' : ''}`}
      style={{
        width: percent(widthMm, bed.widthMm),
        height: percent(depthMm, bed.depthMm),
        left: percent(bed.widthMm / 2 + xMm - widthMm / 2, bed.widthMm),
        top: percent(bed.depthMm / 2 - yMm - depthMm / 2, bed.depthMm),
        transform: transform === null ? undefined : `translate(${transform.x}px, ${transform.y}px)`,
      }}
    >
      <span aria-hidden className="px-0.5">
        {label}
        {isFailed && <strong className="block">failed</strong>}
      </span>
    </div>
  );
}
