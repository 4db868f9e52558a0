'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import { allowedSnapStrain, shortestHook, snapHook } from '@/core/fit/mating';
import { PlainChoice, PlainField, Problem, useNumbers } from '@/ui';
import type { DeskResin } from './fit-types';
import { AskOfResin, NUMBERS_WANTED, StrengthFields, strengthOf, UseBar } from './strength-fields';

const STARTS = {
  lengthMm: '12',
  thicknessMm: '1.6',
  widthMm: '4',
  deflectionMm: '0.7',
  friction: '0.3',
  leadDeg: '30',
};

type Hook = Readonly<Record<keyof typeof STARTS, number>>;

function isHook({ lengthMm, thicknessMm, widthMm, deflectionMm, leadDeg }: Hook): boolean {
  return (
    [lengthMm, thicknessMm, widthMm].every((mm) => mm > 0) &&
    deflectionMm >= 0 &&
    leadDeg >= 0 &&
    leadDeg < 90
  );
}

/** A cantilever hook: strain and push beside what the resin allows, and how long it would have to be. */
export function SnapPanel({ jobId, resin }: { jobId: number; resin?: DeskResin }) {
  const [use, setUse] = useState<'once' | 'repeated'>('once');
  const { valuesOf, field } = useNumbers(STARTS, { friction: 'number', leadDeg: 'angle' });
  const strength = strengthOf(resin);
  const allowed = allowedSnapStrain(strength.breakStrain, use);
  const typed = valuesOf('lengthMm', 'thicknessMm', 'widthMm', 'deflectionMm', 'friction', 'leadDeg');
  const hook = typed !== undefined && isHook(typed) ? typed : undefined;
  const result =
    hook &&
    snapHook({
      ...hook,
      modulusMPa: strength.modulusMPa,
      leadRad: (hook.leadDeg * Math.PI) / 180,
    });
  return (
    <div className="space-y-3">
      <StrengthFields resin={resin} />
      <div className="grid gap-3 sm:grid-cols-4">
        <PlainField label="Hook length" unit="mm" {...field('lengthMm')} />
        <PlainField label="Thickness" unit="mm" {...field('thicknessMm')} />
        <PlainField label="Width" unit="mm" {...field('widthMm')} />
        <PlainField label="Deflection of the tip" unit="mm" {...field('deflectionMm')} />
        <PlainField label="Friction" {...field('friction')} />
        <PlainField label="Lead-in angle" unit="°" {...field('leadDeg')} />
        <PlainChoice
          name="snap-use"
          label="Use"
          value={use}
          onChange={(event) => setUse(event.target.value as 'once' | 'repeated')}
          choices={[
            { value: 'once', label: 'once: half of elongation at break' },
            { value: 'repeated', label: 'repeatedly: a third' },
          ]}
        />
      </div>
      {typed === undefined && <Problem>{NUMBERS_WANTED}</Problem>}
      {typed !== undefined && hook === undefined && (
        <Problem>length, thickness and width must be above zero, and the angle between 0 and 90°.</Problem>
      )}
      {hook !== undefined && result !== undefined && (
        <div className="bg-sheet px-3 py-2">
          <p className="font-semibold">
            {result.strain <= allowed ? 'bends within the limit of the resin' : 'would break or stay bent'}
          </p>
          <UseBar
            label={`of ${(allowed * 100).toFixed(1)} % strain allowed`}
            share={result.strain / allowed}
          />
          <p className="text-sm">
            strain <span className="num">{(result.strain * 100).toFixed(2)} %</span>, deflected by{' '}
            <span className="num">{result.deflectN.toFixed(2)} N</span>,{' '}
            {result.insertN === Infinity ? (
              'but the angle locks: make it flatter'
            ) : (
              <>
                pushed in with <span className="num">{result.insertN.toFixed(2)} N</span>
              </>
            )}
            . Shortest hook of this thickness:{' '}
            <span className="num">
              {formatMm(shortestHook(hook.thicknessMm, hook.deflectionMm, allowed), 1)} mm
            </span>
            .
          </p>
          <p className="mt-1 text-sm text-soft">
            Round the root by at least half the thickness. Put the layers along the hook, never across it: a
            hook printed upright breaks between layers at a fraction of this load.
          </p>
          {result.strain > 0 && (
            <AskOfResin jobId={jobId} asked={{ kind: 'snap', strain: result.strain, use }} />
          )}
        </div>
      )}
    </div>
  );
}
