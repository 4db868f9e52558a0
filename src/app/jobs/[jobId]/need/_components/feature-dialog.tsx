'use client';

import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { type Axis, type Base, type FeatureKind, sameKind, type Sense, type Shape } from '@/core/measure';
import { ActionForm, Button, Choice, Dialog, TextField } from '@/ui';
import { newFeature, putFeatureAway, saveFeature } from '../actions';
import { KindDrawing } from './kind-drawing';
import { featureForm } from '@/subjects/job/jobs/shared';
import { type FormAnswer } from '@/subjects/kit/shared';

/** A stored feature with what stands around it. */
export interface FeatureRow {
  readonly feature: {
    readonly id: number;
    readonly name: string;
    readonly sense: Sense;
    readonly shape: Shape;
    readonly axis: Axis;
    readonly angleRad: number | null;
    readonly base: Base | null;
    readonly targetMm: number;
    readonly lowerDeviationMm: number;
    readonly upperDeviationMm: number;
  };
  /** Prints that were made of it. */
  readonly prints: number;
  readonly drawnMm?: number;
  readonly mate?: { readonly name: string; readonly sizeMm: number | null; readonly uMm: number | null };
}

interface FeatureDialogProps {
  readonly jobId: number;
  readonly revision: number;
  readonly row: FeatureRow | undefined;
  readonly onClose: () => void;
}

const SENSES = [
  { value: 'outside', label: 'Outside (material between the jaws)' },
  { value: 'inside', label: 'Inside (air between the jaws)' },
  { value: 'pitch', label: 'Pitch (two faces on the same side, or centre to centre)' },
];
const SHAPES = [
  { value: 'flat', label: 'Flat faces' },
  { value: 'round', label: 'round' },
];
const AXES = [
  { value: 'X', label: 'X, across the plate' },
  { value: 'Y', label: 'Y, along the plate' },
  { value: 'Z', label: 'Z, the build direction' },
  { value: 'XY', label: 'At an angle in the plate' },
];
const HOLDS_FOR = [
  { value: 'all', label: 'was typed wrong: it holds for what is printed too' },
  { value: 'next', label: 'holds from the next print on: the part is turned' },
];
const BASES = [
  { value: 'plate', label: 'stands on the plate' },
  { value: 'supported', label: 'on supports or overhanging' },
];

/** Enters or changes one feature, its kind explained by a drawing that changes with the choice. */
export function FeatureDialog({ jobId, revision, row, onClose }: FeatureDialogProps) {
  const action = async (before: FormAnswer, data: FormData) => {
    if (row !== undefined) return saveFeature(jobId, row.feature.id, before, data);
    const added = await newFeature(jobId, before, data);
    if (added.ok) onClose();
    return added;
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={row === undefined ? 'Feature' : `Change ${row.feature.name}`}
    >
      <ActionForm form={featureForm} action={action} label="Feature" className="grid gap-3">
        <input type="hidden" name="revision" value={revision} />
        <TextField name="name" defaultValue={row?.feature.name} placeholder="sleeve bore" autoFocus />
        <KindFields row={row} />
        <SizeFields row={row} />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" weight="main">
            {row === undefined ? 'Add feature' : 'Save feature'}
          </Button>
          {row !== undefined && (
            <Button onClick={() => void putFeatureAway(newKey(), jobId, row.feature.id).then(onClose)}>
              Remove the feature
            </Button>
          )}
        </div>
      </ActionForm>
    </Dialog>
  );
}

function KindFields({ row }: { row: FeatureRow | undefined }) {
  const [sense, setSense] = useState<Sense>(row?.feature.sense ?? 'outside');
  const [shape, setShape] = useState<Shape>(row?.feature.shape ?? 'flat');
  const [axis, setAxis] = useState<Axis>(row?.feature.axis ?? 'X');
  const [base, setBase] = useState<Base>(row?.feature.base ?? 'plate');
  const slanted = shape === 'flat' && axis === 'XY';
  const hasBase = shape === 'flat' && axis === 'Z' && sense === 'outside';
  const kind: FeatureKind = {
    sense,
    shape,
    axis: shape === 'round' ? 'XY' : axis,
    base: hasBase ? base : undefined,
    angleRad: slanted ? (row?.feature.angleRad ?? undefined) : undefined,
  };
  const angleRad = row?.feature.angleRad ?? null;
  const degrees = angleRad === null ? '' : String(Math.round((angleRad * 180e3) / Math.PI) / 1e3);
  return (
    <div className="grid items-start gap-3 sm:grid-cols-[1fr_11rem]">
      <div className="grid gap-3">
        <Choice
          name="sense"
          choices={SENSES}
          value={sense}
          onChange={(event) => setSense(event.target.value as Sense)}
        />
        <Choice
          name="shape"
          choices={SHAPES}
          value={shape}
          onChange={(event) => setShape(event.target.value as Shape)}
        />
        {shape === 'flat' ? (
          <Choice
            name="axis"
            choices={AXES}
            value={axis}
            onChange={(event) => setAxis(event.target.value as Axis)}
          />
        ) : (
          <input type="hidden" name="axis" value="XY" />
        )}
        {slanted && <TextField name="angleDeg" defaultValue={degrees} />}
        {hasBase && (
          <Choice
            name="base"
            choices={BASES}
            value={base}
            onChange={(event) => setBase(event.target.value as Base)}
          />
        )}
      </div>
      <KindDrawing kind={kind} />
      {row !== undefined && row.prints > 0 && !sameKind(kind, kindOf(row)) && (
        <Choice name="holdsFor" choices={HOLDS_FOR} />
      )}
    </div>
  );
}

function kindOf({ feature: { sense, shape, axis, angleRad, base } }: FeatureRow): FeatureKind {
  return { sense, shape, axis, angleRad: angleRad ?? undefined, base: base ?? undefined };
}

/** A computed size as somebody would type it. */
function shown(mm: number | null | undefined, blank: string): string {
  return mm === undefined || mm === null ? blank : String(Number(mm.toFixed(4)));
}

function SizeFields({ row }: { row: FeatureRow | undefined }) {
  const { feature, mate, drawnMm } = row ?? {};
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="targetMm" defaultValue={shown(feature?.targetMm, '')} />
        <TextField name="lowerDeviationMm" defaultValue={shown(feature?.lowerDeviationMm, '-0.08')} />
        <TextField name="upperDeviationMm" defaultValue={shown(feature?.upperDeviationMm, '+0.08')} />
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="mateName" defaultValue={mate?.name} placeholder="steel sleeve" />
        <TextField name="mateMm" defaultValue={shown(mate?.sizeMm, '')} />
        <TextField name="mateU_mm" defaultValue={shown(mate?.uMm, '')} />
      </div>
      {drawnMm !== undefined && <TextField name="drawnMm" defaultValue={drawnMm} />}
    </>
  );
}
