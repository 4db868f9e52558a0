'use client';

import { useState } from 'react';
import { convertExposure, type Engine, ENGINES } from '@/core/light';
import { PlainChoice, PlainField, useNumbers } from '@/ui';

interface MachinePanelProps {
  readonly exposureS: number;
  readonly bottomExposureS?: number;
}

const ENGINE_WORDS: Readonly<Record<Engine, string>> = {
  colour: 'a colour panel',
  mono: 'a monochrome panel',
  projector: 'a projector',
  laser: 'a laser',
};
const CHOICES = ENGINES.map((value) => ({ value, label: ENGINE_WORDS[value] }));
const START = { from: '', to: '' };

/** The same resin on another machine: three exposures to print once, never one value. */
export function MachinePanel({ exposureS, bottomExposureS }: MachinePanelProps) {
  const [from, setFrom] = useState<Engine>('mono');
  const [to, setTo] = useState<Engine>('mono');
  const { field, valueOf } = useNumbers(START, { from: 'number', to: 'number' });
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
        Another machine
      </h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <PlainChoice
          name="engineFrom"
          label="Here it is cured by"
          choices={CHOICES}
          value={from}
          onChange={(event) => setFrom(event.target.value as Engine)}
        />
        <PlainField label="Its irradiance, if known" unit="mW/cm²" {...field('from')} />
        <PlainChoice
          name="engineTo"
          label="There by"
          choices={CHOICES}
          value={to}
          onChange={(event) => setTo(event.target.value as Engine)}
        />
        <PlainField label="Its irradiance, if known" unit="mW/cm²" {...field('to')} />
      </div>
      <p className="mt-3" role="status">
        Print three once:{' '}
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
          ? 'By the two irradiances; meters agree to a fifth.'
          : 'By what such machines differ.'}
      </p>
      <p className="mt-1 text-sm text-soft">
        Lift slower where it comes out overcured: more area sticks. A colder room needs more; how much nobody
        can say without strips there.
      </p>
    </section>
  );
}
