'use client';

import { useRouter } from 'next/navigation';
import { useTap } from '@/app/_components/use-tap';
import type { WaitingJob } from '@/subjects/print/plate';
import { addForm, copiesForm, describePlaceIssue } from '@/subjects/print/plate/shared';
import { ActionForm, Button, Choice, Link, Problem, TextField } from '@/ui';
import { addJob, arrange, move, putAway, saveCopies } from '../../actions';
import { PlateDrawing, type ShownPiece } from './plate-drawing';

/** A thing on the plate as the desk lists it. */
export interface ShownItem {
  readonly attemptId: number;
  readonly jobId: number;
  readonly name: string;
  readonly attempt: number;
  readonly copies: number;
  readonly wanted: number;
  readonly sizeMm?: readonly [number, number, number];
  readonly wallMm?: number;
}

interface PlateDeskProps {
  readonly runId: number;
  readonly bed: { readonly widthMm: number; readonly depthMm: number; readonly isKnown: boolean };
  readonly items: readonly ShownItem[];
  readonly pieces: readonly ShownPiece[];
  readonly waiting: readonly WaitingJob[];
}

/** Taps on the plate: what is refused is said, and nothing is lost. */
function useMoves(runId: number) {
  const router = useRouter();
  const { problem, isBusy, tap } = useTap();
  return {
    problem,
    isBusy,
    arrange: () => tap((key) => arrange(key, runId)),
    move: (piece: ShownPiece, xMm: number, yMm: number, isTurned = piece.isTurned) =>
      tap((key) => move(key, runId, { pieceId: piece.id, xMm, yMm, isTurned })),
    putAway: () =>
      tap(
        (key) => putAway(key, runId),
        () => router.push('/'),
      ),
  };
}

/** The plate before its print: what lies on it in how many copies, and where. */
export function PlateDesk({ runId, bed, items, pieces, waiting }: PlateDeskProps) {
  const moves = useMoves(runId);
  const wrong = pieces.filter(({ issue }) => issue !== undefined).length;
  return (
    <section aria-labelledby="plate-title">
      <h2 id="plate-title" className="text-lg">
        Parts on the plate
      </h2>
      <PlateDrawing bed={bed} pieces={pieces} onMove={moves.move} />
      <p className="mt-1 text-sm text-soft">
        Top view, {bed.widthMm} × {bed.depthMm} mm
        {bed.isKnown ? '' : ', assumed: enter the plate size on the printer page'}. Drag a piece, or select
        it, press Enter and use the arrow keys.
      </p>
      {wrong > 0 && (
        <p className="mt-1 border-l-4 border-plum py-1 pl-3">
          {wrong === 1 ? 'One piece is' : `${wrong} pieces are`} off the plate or too close to another.
          Arrange the plate, or move {wrong === 1 ? 'it' : 'them'}; pieces without room need a separate plate.
        </p>
      )}
      {moves.problem !== '' && <Problem>{moves.problem}</Problem>}
      <ul className="mt-2 border-t border-hair">
        {items.map((item) => (
          <li
            key={item.attemptId}
            className="flex flex-wrap items-end gap-x-4 gap-y-1 border-b border-hair py-2"
          >
            <span className="min-w-40 flex-1">
              <Link href={`/jobs/${item.jobId}/run`} className="font-semibold hover:underline">
                {item.name}
              </Link>{' '}
              <span className="text-soft">
                attempt {item.attempt}
                {item.wanted > 1 && `, ${item.wanted} wanted`}
                {item.sizeMm !== undefined && (
                  <span className="num text-sm">
                    {' '}
                    {item.sizeMm.map((mm) => mm.toFixed(1)).join(' × ')} mm
                  </span>
                )}
              </span>
            </span>
            <ActionForm
              key={`${item.copies} ${item.wallMm}`}
              form={copiesForm}
              action={saveCopies.bind(null, runId, item.attemptId)}
              label={`Copies of ${item.name}`}
              className="flex items-end gap-2"
            >
              <div className="w-24">
                <TextField name="copies" defaultValue={item.copies} inputMode="numeric" />
              </div>
              <div className="w-44">
                <TextField name="wallMm" defaultValue={item.wallMm ?? ''} placeholder="solid" />
              </div>
              <Button type="submit">Apply</Button>
            </ActionForm>
          </li>
        ))}
      </ul>
      <Places pieces={pieces} onMove={moves.move} />
      <div className="mt-3 flex flex-wrap gap-3">
        <Button onClick={moves.arrange} disabled={moves.isBusy}>
          Arrange automatically
        </Button>
        <Button onClick={moves.putAway} disabled={moves.isBusy}>
          Clear plate
        </Button>
      </div>
      {waiting.length > 0 && (
        <ActionForm
          key={waiting.map(({ jobId }) => jobId).join()}
          form={addForm}
          action={addJob.bind(null, runId)}
          label="Add another job"
          className="mt-4 flex flex-wrap items-end gap-3 border-t border-hair pt-3"
        >
          <div className="min-w-56">
            <Choice
              name="jobId"
              label="Job"
              choices={waiting.map(({ jobId, name, attempt, isPrinted }) => ({
                value: String(jobId),
                label: `${name}, attempt ${attempt}${isPrinted ? ', printed before' : ''}`,
              }))}
            />
          </div>
          <div className="w-24">
            <TextField name="copies" defaultValue={1} inputMode="numeric" />
          </div>
          <Button type="submit">Add to plate</Button>
        </ActionForm>
      )}
    </section>
  );
}

/** The same places as numbers. */
function Places({
  pieces,
  onMove,
}: {
  pieces: readonly ShownPiece[];
  onMove: (piece: ShownPiece, xMm: number, yMm: number, isTurned?: boolean) => void;
}) {
  return (
    <details className="mt-2">
      <summary className="text-sm underline">Positions as numbers</summary>
      <table className="mt-1 text-sm">
        <thead>
          <tr className="text-left text-soft">
            <th className="pr-3 font-normal">Piece</th>
            <th className="pr-3 font-normal">Right, mm</th>
            <th className="pr-3 font-normal">Back, mm</th>
            <th className="font-normal">Rotation</th>
          </tr>
        </thead>
        <tbody>
          {pieces.map((piece) => (
            <tr key={piece.id} className="border-t border-hair">
              <td className="pr-3">
                {piece.label}
                {piece.issue !== undefined && (
                  <span className="text-plum"> {describePlaceIssue(piece.issue)}</span>
                )}
              </td>
              {(['xMm', 'yMm'] as const).map((side) => (
                <td key={side} className="pr-3">
                  <input
                    key={piece[side]}
                    aria-label={`${side === 'xMm' ? 'Right of' : 'Behind'} the centre, ${piece.label}`}
                    defaultValue={Math.round(piece[side] * 10) / 10}
                    inputMode="decimal"
                    className="num w-20 rounded-[4px] border border-edge bg-sheet px-2 py-1"
                    onBlur={(event) => {
                      const mm = Number(event.target.value.replace(',', '.'));
                      if (!Number.isFinite(mm) || Math.abs(mm - piece[side]) < 0.05) return;
                      onMove(piece, side === 'xMm' ? mm : piece.xMm, side === 'yMm' ? mm : piece.yMm);
                    }}
                  />
                </td>
              ))}
              <td>
                <input
                  type="checkbox"
                  className="size-4"
                  aria-label={`Rotated by 90°, ${piece.label}`}
                  checked={piece.isTurned}
                  onChange={(event) => onMove(piece, piece.xMm, piece.yMm, event.target.checked)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
