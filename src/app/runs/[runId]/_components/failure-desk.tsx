'use client';

import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { useTap } from '@/app/_components/use-tap';
import { FAILURE_KINDS, FAILURE_WORDS, type FailureKind } from '@/core/log';
import { describeLayer, type Layered, readLayer } from '@/subjects/log/shared';
import { Button, PlainField, Problem } from '@/ui';
import { dropFailure, lookSimulated, tapFailure, tapWell } from '../../log-actions';
import { PlateDrawing, type ShownPiece } from './plate-drawing';
import { PartView, type ViewedPart } from './part-view';
import { type PartPlace, TappedPlate } from './tapped-plate';

interface FailureDeskProps {
  readonly runId: number;
  readonly bed: { readonly widthMm: number; readonly depthMm: number };
  readonly pieces: readonly ShownPiece[];
  readonly layered?: Layered;
  /** Parts by what lies on the plate, see `thing` of a piece; those without a file are left out. */
  readonly parts: Readonly<Record<number, ViewedPart>>;
  readonly failures: readonly { readonly id: number; readonly text: string; readonly pieceId?: number }[];
  readonly isWell: boolean;
  /** Of a simulated printer: it can look by itself. */
  readonly isSimulated: boolean;
  /** A piece that somebody came here to note. */
  readonly startWith?: number;
}

/** What came off the plate: all well at a tap, or what failed, where, and at which height. */
export function FailureDesk({
  runId,
  bed,
  pieces,
  layered,
  parts,
  failures,
  isWell,
  isSimulated,
  startWith,
}: FailureDeskProps) {
  const { problem, isBusy, tap } = useTap();
  const [isNoting, setIsNoting] = useState(startWith !== undefined);
  const isWhole = failures.some(({ pieceId }) => pieceId === undefined);
  const failed = new Set(
    isWhole ? pieces.map(({ id }) => id) : failures.flatMap(({ pieceId }) => pieceId ?? []),
  );
  return (
    <section aria-labelledby="failed-title">
      <h2 id="failed-title" className="text-lg">
        Print result
      </h2>
      {failures.length > 0 && (
        <ul className="border-t border-hair">
          {failures.map(({ id, text }) => (
            <li key={id} className="flex justify-between gap-3 border-b border-hair py-1">
              <span>{text}</span>
              <button
                type="button"
                className="text-sm underline"
                disabled={isBusy}
                onClick={() => tap((key) => dropFailure(key, runId, id))}
              >
                Undo<span className="sr-only">: {text}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {isWell && failures.length === 0 && <p className="text-juniper">All parts printed well.</p>}
      {!isNoting && (
        <p className="mt-2 flex flex-wrap gap-3">
          {failures.length === 0 && !isWell && (
            <Button weight="large" disabled={isBusy} onClick={() => tap((key) => tapWell(key, runId))}>
              All parts OK
            </Button>
          )}
          <Button
            weight={failures.length === 0 && !isWell ? 'large' : 'plain'}
            onClick={() => setIsNoting(true)}
          >
            {failures.length > 0 ? 'Report another failure' : 'Report a failure'}
          </Button>
          {isSimulated && failures.length === 0 && !isWell && (
            <Button disabled={isBusy} onClick={() => tap((key) => lookSimulated(key, runId))}>
              Inspect print (simulated)
            </Button>
          )}
        </p>
      )}
      {!isNoting && (
        <div className="mt-3">
          <PlateDrawing
            bed={bed}
            pieces={pieces.map((each) => ({ ...each, isFailed: failed.has(each.id) }))}
          />
        </div>
      )}
      {isNoting && (
        <NoteFailure
          bed={bed}
          pieces={pieces}
          failed={failed}
          layered={layered}
          parts={parts}
          startWith={startWith}
          isBusy={isBusy}
          onNote={(noted) =>
            tap(
              (key) => tapFailure(key, runId, noted),
              () => setIsNoting(false),
            )
          }
        />
      )}
      {problem !== '' && <Problem>{problem}</Problem>}
    </section>
  );
}

interface NoteFailureProps extends Pick<
  FailureDeskProps,
  'bed' | 'pieces' | 'layered' | 'parts' | 'startWith'
> {
  readonly failed: ReadonlySet<number>;
  readonly isBusy: boolean;
  readonly onNote: (noted: object) => void;
}

/** Big enough for gloves: the pieces, the kind, the layer where it is known. */
function NoteFailure({ bed, pieces, failed, layered, parts, startWith, isBusy, onNote }: NoteFailureProps) {
  const [chosen, setChosen] = useState<readonly number[]>(startWith === undefined ? [] : [startWith]);
  const [place, setPlace] = useState<PartPlace>();
  const [kind, setKind] = useState<FailureKind>();
  const [height, setHeight] = useState('');
  const [clientKey] = useState(() => newKey());
  const read = layered && height !== '' ? readLayer(height, layered) : undefined;
  const [only] = pieces.filter(({ id }) => chosen.length === 1 && id === chosen[0]);
  const part = only && layered && parts[only.thing];
  const toggle = (id: number, at?: PartPlace) => {
    const isOn = chosen.includes(id);
    setChosen(isOn ? chosen.filter((each) => each !== id) : [...chosen, id]);
    setPlace(isOn ? undefined : at);
  };
  const note = () =>
    onNote({
      clientKey,
      pieceIds: chosen,
      kind,
      layer: read?.layer,
      partMm: chosen.length === 1 ? place : undefined,
    });
  return (
    <div className="mt-2 space-y-3">
      <TappedPlate bed={bed} pieces={pieces} failed={failed} chosen={chosen} place={place} onTap={toggle} />
      <p className="text-sm text-soft">
        Tap each failed piece where it failed. If you tap none, the whole plate counts as failed.
      </p>
      <div role="radiogroup" aria-label="Failure type" className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {FAILURE_KINDS.map((each) => (
          <button
            key={each}
            type="button"
            role="radio"
            aria-checked={kind === each}
            onClick={() => setKind(each)}
            className={`min-h-12 rounded-[5px] border px-2 py-1 text-left leading-tight ${kind === each ? 'border-2 border-juniper bg-band' : 'border-edge bg-sheet'}`}
          >
            {FAILURE_WORDS[each]}
          </button>
        ))}
      </div>
      {part !== undefined && (
        <PartView
          key={part.source}
          part={part}
          onTap={({ xMm, heightMm }) => {
            setPlace((before) => [xMm, before?.[1] ?? 0]);
            const mostMm = layered!.layers * layered!.layerMm;
            setHeight(`${Math.min(mostMm, Math.max(0.01, heightMm)).toFixed(2)} mm`);
          }}
        />
      )}
      {layered !== undefined && (
        <PlainField
          name="height"
          id="failure-height"
          label="Layer, height or time after the start, if known"
          placeholder="212, 10.6 mm or 2:10"
          value={height}
          onChange={(event) => setHeight(event.target.value)}
        />
      )}
      {height !== '' && (
        <p role="status" className="text-sm">
          {read === undefined
            ? `This plate has no such layer, height or time. It has ${layered?.layers} layers.`
            : `This is ${describeLayer(read)}.`}
        </p>
      )}
      <Button
        weight="large"
        disabled={isBusy || kind === undefined || (height !== '' && read === undefined)}
        onClick={note}
      >
        Save failure
      </Button>
    </div>
  );
}
