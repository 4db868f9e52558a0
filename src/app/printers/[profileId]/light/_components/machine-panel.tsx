'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import { useState } from 'react';
import { convertExposure, type Engine, ENGINES } from '@/core/exposure';
import type { LightRelatedProfile } from '@/subjects/exposure';
import { deriveForm } from '@/subjects/exposure/shared';
import { ActionForm, Button, Link, PlainChoice, PlainField, TextField, useNumbers } from '@/ui';
import { deriveForMachine } from '../actions';

interface MachinePanelProps {
  readonly profileId: number;
  readonly resin: string;
  /** Other printers of this workshop. */
  readonly printers: readonly string[];
  readonly relatives: readonly LightRelatedProfile[];
  readonly exposureS: number;
  readonly bottomExposureS?: number;
}

const ENGINE_WORDS: Readonly<Record<Engine, string>> = {
  colour: 'colour LCD',
  mono: 'monochrome LCD',
  projector: 'a projector',
  laser: 'a laser',
};
const CHOICES = ENGINES.map((value) => ({ value, label: ENGINE_WORDS[value] }));
const START = { from: '', to: '' };

/** The same resin on another printer: three exposures to print once, never one value. */
export function MachinePanel({
  profileId,
  resin,
  printers,
  relatives,
  exposureS,
  bottomExposureS,
}: MachinePanelProps) {
  const [from, setFrom] = useState<Engine>('mono');
  const [to, setTo] = useState<Engine>('mono');
  const { field, texts, valueOf } = useNumbers(START, { from: 'number', to: 'number' });
  const known = (name: 'from' | 'to') => {
    const value = valueOf(name);
    return value !== undefined && value > 0 ? value : undefined;
  };
  const { low, middle, high, bottom, by } = convertExposure(
    { exposureS, bottomExposureS },
    { engine: from, irradiance: known('from') },
    { engine: to, irradiance: known('to') },
  );
  return (
    <section aria-labelledby="machine-title">
      <h2 id="machine-title" className="text-lg">
        Exposure for another printer
      </h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <PlainChoice
          name="engineFrom"
          label="Light source of this printer"
          choices={CHOICES}
          value={from}
          onChange={(event) => setFrom(event.target.value as Engine)}
        />
        <PlainField label="Irradiance, if known" unit="mW/cm²" {...field('from')} />
        <PlainChoice
          name="engineTo"
          label="Light source of the other printer"
          choices={CHOICES}
          value={to}
          onChange={(event) => setTo(event.target.value as Engine)}
        />
        <PlainField label="Irradiance, if known" unit="mW/cm²" {...field('to')} />
      </div>
      <p className="mt-3" role="status">
        Print these three once:{' '}
        <strong className="num">
          {low.toFixed(2)}, {middle.toFixed(2)} and {high.toFixed(2)} s
        </strong>
        {bottom !== undefined && (
          <>
            , bottom layers{' '}
            <span className="num">
              {bottom.low.toFixed(1)}, {bottom.middle.toFixed(1)} and {bottom.high.toFixed(1)} s
            </span>
          </>
        )}
        .{' '}
        {by === 'irradiance'
          ? 'From the two irradiances; meters agree within 20 %.'
          : 'From the typical difference between such printers.'}
      </p>
      <ActionForm
        form={deriveForm}
        action={deriveForMachine.bind(null, profileId)}
        label="Profile on the other printer"
        className="mt-3 flex flex-wrap items-end gap-3"
      >
        <input type="hidden" name="engineFrom" value={from} />
        <input type="hidden" name="engineTo" value={to} />
        <input type="hidden" name="from" value={texts.from} />
        <input type="hidden" name="to" value={texts.to} />
        <TextField name="printerName" list="other-printers" />
        <datalist id="other-printers">
          {printers.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <Button type="submit">Create profile with this bracket</Button>
      </ActionForm>
      {relatives.length > 0 && <RelatedProfiles resin={resin} relatives={relatives} />}
      <p className="mt-1 text-sm text-soft">
        Lift more slowly if the print is overcured: a larger area sticks. A colder room needs more exposure;
        without strips from there, the amount is unknown.
      </p>
    </section>
  );
}

interface RelatedProfilesProps {
  readonly resin: string;
  readonly relatives: readonly LightRelatedProfile[];
}

/** What the same resin does on other printers: the signature borrows from these, the exposure does not. */
function RelatedProfiles({ resin, relatives }: RelatedProfilesProps) {
  return (
    <>
      <h3 className="mt-4">{resin} on other printers</h3>
      <ul className="border-t border-hair">
        {relatives.map(({ id, printer, name, exposureS, edge, readings }) => (
          <li key={id} className="border-b border-hair py-1">
            <Link href={`/printers/${id}/light`} className="underline">
              {printer}, {name}
            </Link>
            : {exposureS === undefined ? 'exposure unknown' : `${exposureS} s`},{' '}
            {readings === 0 ? (
              'not measured yet'
            ) : (
              <>
                edge growth{' '}
                <span className="num">
                  {edge.mean.toFixed(3)} ± {halfWidth95(edge.sd).toFixed(3)} mm
                </span>{' '}
                from {readings} readings
              </>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-soft">
        Shrinkage and edge growth are shared between similar printers. Exposure times are not: each printer
        has its own.
      </p>
    </>
  );
}
