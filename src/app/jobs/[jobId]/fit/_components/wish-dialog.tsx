'use client';

import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { type Material, MATERIAL_FACTS, MATERIALS, RUINS, type Wish, WISHES } from '@/core/fit/mating';
import { MATE_ORIGINS, ORIGIN_WORDS } from '@/core/job/need';
import { describeMaterial, describeRuin, describeWish, type FormAnswer } from '@/subjects/kit/shared';
import { ActionForm, Button, Caution, Choice, Dialog, PlainChoice, TextField, Tick } from '@/ui';
import { saveWish, takeWishOff } from '../actions';
import type { FitRow } from './fit-types';
import { listStandardMates, wishForm } from '@/subjects/fit/mating/shared';

/** A size as somebody would type it. */
function shown(mm: number | undefined): string {
  return mm === undefined ? '' : String(Number(mm.toFixed(4)));
}

interface WishDialogProps {
  readonly jobId: number;
  readonly row: FitRow;
  /** Called with the message after the fit was saved. */
  readonly onClose: (said?: string) => void;
}

/** Names the mate and what should happen on it. */
export function WishDialog({ jobId, row, onClose }: WishDialogProps) {
  const { name, mate } = row;
  const [body, setBody] = useState({
    name: mate?.name ?? '',
    size: shown(mate?.sizeMm ?? undefined),
    u: shown(mate?.uMm ?? undefined),
  });
  const [wish, setWish] = useState<Wish>(row.wish ?? 'push');
  const [material, setMaterial] = useState<Material>(mate?.material ?? 'other');
  const standards = listStandardMates(row.sense, row.shape);
  const action = async (before: FormAnswer, data: FormData) => {
    const state = await saveWish(jobId, row.id, before, data);
    if (state.ok) onClose(state.message);
    return state;
  };
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={`Fit of ${name}`}>
      <ActionForm
        form={wishForm}
        action={action}
        label={`Fit of ${name}`}
        className="grid gap-3 sm:grid-cols-2"
      >
        <Choice
          name="wish"
          value={wish}
          onChange={(event) => setWish(event.target.value as Wish)}
          hint={describeWish(wish).means}
          choices={WISHES.map((each) => ({ value: each, label: describeWish(each).name }))}
        />
        <Choice
          name="ruin"
          defaultValue={row.ruin}
          choices={RUINS.map((each) => ({ value: each, label: describeRuin(each) }))}
        />
        {row.offers.length > 0 && <Offers row={row} />}
        <TextField
          name="mateName"
          value={body.name}
          onChange={(event) => setBody({ ...body, name: event.target.value })}
        />
        <Choice
          name="material"
          value={material}
          onChange={(event) => setMaterial(event.target.value as Material)}
          choices={MATERIALS.map((each) => ({ value: each, label: describeMaterial(each) }))}
        />
        <TextField
          name="mateMm"
          value={body.size}
          onChange={(event) => setBody({ ...body, size: event.target.value })}
        />
        <TextField
          name="mateU_mm"
          value={body.u}
          onChange={(event) => setBody({ ...body, u: event.target.value })}
        />
        {standards.length > 0 && (
          <div className="sm:col-span-2">
            <PlainChoice
              name="standard"
              label="or a standard bought part"
              defaultValue=""
              hint="Uses the middle of the standard’s tolerance, with that spread. Magnets and terminals have no standard: measure yours."
              onChange={(event) => {
                const chosen = standards.find(({ label }) => label === event.target.value);
                if (chosen === undefined) return;
                setBody({ name: chosen.name, size: shown(chosen.sizeMm), u: shown(chosen.u_mm) });
                setMaterial('steel');
              }}
              choices={[
                { value: '', label: 'measured, or not in this list' },
                ...standards.map(({ label }) => ({ value: label, label })),
              ]}
            />
          </div>
        )}
        <Choice
          name="origin"
          defaultValue={mate?.origin ?? 'bought'}
          choices={MATE_ORIGINS.map((each) => ({ value: each, label: ORIGIN_WORDS[each] }))}
        />
        <Tick name="irreplaceable" defaultChecked={mate?.irreplaceable} className="self-end pb-2" />
        <OwnClearance row={row} />
        {MATERIAL_FACTS[material].brittle && (
          <div className="sm:col-span-2">
            <Caution>
              This mate breaks without bending first ({describeMaterial(material)}). Cover eyes and hands and
              never force a trial fit. If it cannot be replaced, set “too tight breaks an irreplaceable part”.
            </Caution>
          </div>
        )}
        <div className="flex gap-3 sm:col-span-2">
          <Button type="submit" weight="main">
            Save fit
          </Button>
          {row.wish !== null && (
            <Button
              onClick={() => {
                void takeWishOff(newKey(), jobId, row.id);
                onClose();
              }}
            >
              Enter limits by hand
            </Button>
          )}
        </div>
      </ActionForm>
    </Dialog>
  );
}

/** Expected result of each fit at this interface, from present data. */
function Offers({ row: { offers, band } }: { row: FitRow }) {
  return (
    <p className="text-sm text-soft sm:col-span-2">
      Chance of a right fit:{' '}
      {offers
        .map(({ wish, right, held }) => `${describeWish(wish).name} ${formatChance(right)}${held ? '' : '*'}`)
        .join(' · ')}
      {offers.some(({ held }) => !held) && ' (* narrower than the scatter of this process)'}
      {band !== undefined && (
        <>
          . Clearance now: <span className="num">{formatSigned(band.lowMm, 3)}</span> to{' '}
          <span className="num">{formatMm(band.highMm, 3)}</span>
        </>
      )}
    </p>
  );
}

/** What stands in place of the class, where something does. */
function OwnClearance({ row }: { row: FitRow }) {
  return (
    <details className="sm:col-span-2" open={row.ownBand || row.isoFit !== null || row.coatMm > 0}>
      <summary className="font-semibold">Custom clearance, ISO fit, coating</summary>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <TextField
          name="lowMm"
          placeholder="by the class"
          defaultValue={row.ownBand && row.isoFit === null ? row.band?.lowMm : ''}
        />
        <TextField
          name="highMm"
          placeholder="by the class"
          defaultValue={row.ownBand && row.isoFit === null ? row.band?.highMm : ''}
        />
        <TextField name="isoFit" placeholder="H7/g6" defaultValue={row.isoFit ?? ''} />
        <TextField name="coatMm" placeholder="0" defaultValue={row.coatMm === 0 ? '' : row.coatMm} />
      </div>
    </details>
  );
}
