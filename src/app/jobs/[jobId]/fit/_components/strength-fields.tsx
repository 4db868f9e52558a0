'use client';

import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { BRITTLE_BELOW } from '@/core/fit/mating';
import type { StrainAsked } from '@/subjects/resin/choice';
import type { StrengthValue } from '@/subjects/fit/mating';
import { ActionForm, Button, TextField } from '@/ui';
import { askOfResin, saveStrength } from '../actions';
import type { DeskResin } from './fit-types';
import { strengthForm } from '@/subjects/fit/mating/shared';

/** Shown by a calculator while one of its fields is not a number. */
export const NUMBERS_WANTED =
  'each field needs a number. You can add a unit of the same kind, such as 0.25 in.';

/** What is taken for a resin that nobody described: between stiff and tough. */
const ASSUMED = { modulusMPa: 2000, strengthMPa: 45, breakStrain: 0.12 } as const;

export interface KnownStrength {
  readonly modulusMPa: number;
  readonly strengthMPa: number;
  readonly breakStrain: number;
  /** Something of it is assumed. */
  readonly assumed: boolean;
  /** One of the values comes from a test. */
  readonly proven: boolean;
}

export function strengthOf(resin: DeskResin | undefined): KnownStrength {
  const { modulusMPa, strengthMPa, breakStrain } = resin ?? {};
  const known = [modulusMPa, strengthMPa, breakStrain];
  return {
    modulusMPa: modulusMPa?.value ?? ASSUMED.modulusMPa,
    strengthMPa: strengthMPa?.value ?? ASSUMED.strengthMPa,
    breakStrain: breakStrain?.value ?? ASSUMED.breakStrain,
    assumed: known.some((value) => value === undefined),
    proven: known.some((value) => value?.source === 'proof'),
  };
}

/** A datasheet value; a tested value cannot be overwritten here. */
function stated(known: StrengthValue | undefined, times = 1): number | '' {
  return known === undefined || known.source === 'proof' ? '' : Number((known.value * times).toFixed(3));
}

/** The resin's limits from its datasheet, stored with the resin. */
export function StrengthFields({ resin }: { resin?: DeskResin }) {
  const known = strengthOf(resin);
  const brittle = known.breakStrain < BRITTLE_BELOW;
  return (
    <div>
      <p className={known.assumed ? 'text-honey' : ''}>
        {resin?.name ?? 'No resin chosen'}: modulus <span className="num">{known.modulusMPa}</span> MPa,
        strength <span className="num">{known.strengthMPa}</span> MPa, breaks at{' '}
        <span className="num">{Number((known.breakStrain * 100).toFixed(2))}</span> %{brittle && ', brittle'}
        {known.assumed && ': partly assumed, because the datasheet values are not entered'}
        {known.proven && ', partly tested at the bench'}.
      </p>
      {resin !== undefined && (
        <details className="mt-1">
          <summary className="text-sm text-soft">From its datasheet</summary>
          <ActionForm
            form={strengthForm}
            action={saveStrength.bind(null, resin.id)}
            label={`Strength of ${resin.name}`}
            className="mt-2 grid items-end gap-3 sm:grid-cols-4"
          >
            <TextField name="modulusMPa" defaultValue={stated(resin.modulusMPa)} />
            <TextField name="strengthMPa" defaultValue={stated(resin.strengthMPa)} />
            <TextField name="breakPercent" defaultValue={stated(resin.breakStrain, 100)} />
            <Button type="submit">Save to the resin</Button>
          </ActionForm>
        </details>
      )}
    </div>
  );
}

/** A use of a limit as a bar up to 100 % and a little beyond. */
export function UseBar({ share, label }: { share: number; label: string }) {
  const tone = share > 1 ? 'bg-plum' : share > 0.8 ? 'bg-honey' : 'bg-juniper';
  return (
    <div className="grid grid-cols-[minmax(0,11rem)_minmax(0,1fr)_4rem] items-center gap-3 py-0.5 text-sm">
      <span>{label}</span>
      <span className="h-2.5 border border-edge" aria-hidden>
        <span className={`block h-full ${tone}`} style={{ width: `${Math.min(100, share * 100)}%` }} />
      </span>
      <span className="num text-right">{Number.isFinite(share) ? `${Math.round(share * 100)} %` : '–'}</span>
    </div>
  );
}

/** Hands a strain to the choice of the resin, where it becomes the elongation that is asked for. */
export function AskOfResin({ jobId, asked }: { jobId: number; asked: StrainAsked }) {
  const [said, setSaid] = useState('');
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <Button onClick={() => void askOfResin(newKey(), jobId, asked).then(setSaid)}>
        Add to resin requirements
      </Button>
      <span role="status" className="text-sm text-soft">
        {said}
      </span>
    </p>
  );
}
