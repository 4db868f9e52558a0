'use client';

import { useState } from 'react';
import { type Bend, BENDS, needOfSection, type SectionNeed } from '@/core/resin';
import { describeBend } from '@/subjects/resin/shelf/shared';
import { Button, PlainChoice, PlainField, useNumbers } from '@/ui';

const FIELDS = [
  ['forceN', 'Load', 'N'],
  ['spanMm', 'Arm or span', 'mm'],
  ['widthMm', 'Width', 'mm'],
  ['thicknessMm', 'Thickness', 'mm'],
  ['mostDeflectionMm', 'Allowed deflection', 'mm'],
] as const;

/** Stress and least stiffness from the part's critical section. */
export function SectionHelper({
  loadN,
  onTake,
}: {
  loadN: number | null;
  onTake: (need: SectionNeed) => void;
}) {
  const [bend, setBend] = useState<Bend>('cantilever');
  const { valueOf, valuesOf, field } = useNumbers(
    {
      forceN: String(loadN ?? ''),
      spanMm: '',
      widthMm: '',
      thicknessMm: '',
      mostDeflectionMm: '',
    },
    { forceN: 'force' },
  );
  const typed = valuesOf('forceN', 'spanMm', 'widthMm', 'thicknessMm');
  const need =
    typed &&
    needOfSection({
      bar: { bend, spanMm: typed.spanMm, widthMm: typed.widthMm, thicknessMm: typed.thicknessMm },
      forceN: typed.forceN,
      mostDeflectionMm: valueOf('mostDeflectionMm'),
    });
  return (
    <details>
      <summary className="text-sm text-soft">Calculate from the critical section</summary>
      <div className="mt-1 grid grid-cols-2 items-end gap-2">
        <div className="col-span-2">
          <PlainChoice
            name="section-bend"
            label="Section shape"
            value={bend}
            onChange={(event) => setBend(event.target.value as Bend)}
            choices={BENDS.map((each) => ({ value: each, label: describeBend(each) }))}
          />
        </div>
        {FIELDS.map(([name, label, unit]) => (
          <PlainField key={name} label={label} unit={unit} {...field(name)} />
        ))}
        <Button disabled={need === undefined} onClick={() => need !== undefined && onTake(need)}>
          Apply
        </Button>
        <p role="status" className="col-span-2 text-sm">
          {need === undefined
            ? 'Enter load, arm, width and thickness.'
            : `${need.stressMPa.toFixed(2)} MPa${need.leastModulusMPa === undefined ? '' : `, modulus at least ${need.leastModulusMPa.toFixed(0)} MPa`}.`}
        </p>
      </div>
    </details>
  );
}
