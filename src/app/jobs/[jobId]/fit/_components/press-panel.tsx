'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import {
  allowedPressStrain,
  assumedGripAfterYear,
  judgePress,
  type Material,
  MATERIAL_FACTS,
  MATERIALS,
} from '@/core/fit/mating';
import { describePress } from '@/subjects/fit/mating/shared';
import { describeMaterial } from '@/subjects/kit/shared';
import { Caution, PlainChoice, PlainField, Problem, useNumbers } from '@/ui';
import type { DeskResin, PressStart } from './fit-types';
import { NUMBERS_WANTED, AskOfResin, StrengthFields, strengthOf, UseBar } from './strength-fields';

type Field = 'interfaceMm' | 'outerMm' | 'boreMm' | 'lowMm' | 'highMm' | 'lengthMm' | 'friction';

function startsOf(start: PressStart | undefined): Record<Field, string> {
  const interfaceMm = start?.interfaceMm ?? 8;
  const { low, high } = start?.interference ?? { low: 0.02, high: 0.08 };
  return {
    interfaceMm: formatMm(interfaceMm),
    outerMm: formatMm(interfaceMm * 1.75, 1),
    boreMm: '0',
    lowMm: low.toFixed(3),
    highMm: high.toFixed(3),
    lengthMm: '8',
    friction: '0.3',
  };
}

function isPress({ interfaceMm, outerMm, boreMm, lengthMm }: Record<Field, number>): boolean {
  return boreMm >= 0 && boreMm < interfaceMm && interfaceMm < outerMm && lengthMm > 0;
}

interface PressPanelProps {
  readonly jobId: number;
  readonly resin?: DeskResin;
  readonly starts: readonly PressStart[];
}

/** A press fit: what the largest interference does to the hub, beside what the resin stands. */
export function PressPanel({ jobId, resin, starts }: PressPanelProps) {
  const [material, setMaterial] = useState<Material>(starts[0]?.material ?? 'steel');
  const [hubIsResin, setHubIsResin] = useState(starts[0] === undefined || starts[0].sense === 'inside');
  const { valuesOf, field, setTexts } = useNumbers(startsOf(starts[0]), { friction: 'number' });
  const strength = strengthOf(resin);
  const other = MATERIAL_FACTS[material];
  const mine = { modulusMPa: strength.modulusMPa, poisson: MATERIAL_FACTS.resin.poisson };
  const [hub, shaft] = hubIsResin ? [mine, other] : [other, mine];
  const typed = valuesOf('interfaceMm', 'outerMm', 'boreMm', 'lengthMm', 'friction', 'lowMm', 'highMm');
  const verdict =
    typed !== undefined && isPress(typed)
      ? judgePress(
          {
            interfaceMm: typed.interfaceMm,
            outerMm: typed.outerMm,
            boreMm: typed.boreMm,
            hubModulusMPa: hub.modulusMPa,
            hubPoisson: hub.poisson,
            shaftModulusMPa: shaft.modulusMPa,
            shaftPoisson: shaft.poisson,
            lengthMm: typed.lengthMm,
            friction: typed.friction,
          },
          { low: typed.lowMm, high: typed.highMm },
          strength,
        )
      : undefined;
  return (
    <div className="space-y-3">
      <StrengthFields resin={resin} />
      {starts.length > 0 && (
        <div
          className="flex flex-wrap gap-2 text-sm"
          role="group"
          aria-label="Start from a feature of this job"
        >
          {starts.map((start) => (
            <button
              key={start.name}
              type="button"
              className="rounded-[5px] min-h-7 border border-hair px-2 py-0.5 hover:border-edge"
              onClick={() => {
                setTexts(startsOf(start));
                setMaterial(start.material);
                setHubIsResin(start.sense === 'inside');
              }}
            >
              from {start.name}
            </button>
          ))}
        </div>
      )}
      <div className="grid gap-3 sm:grid-cols-4">
        <PlainField label="Interface diameter" unit="mm" {...field('interfaceMm')} />
        <PlainField label="Hub outside diameter" unit="mm" {...field('outerMm')} />
        <PlainField label="Shaft bore, 0 if solid" unit="mm" {...field('boreMm')} />
        <PlainField label="Length" unit="mm" {...field('lengthMm')} />
        <PlainField label="Minimum interference" unit="mm" {...field('lowMm')} />
        <PlainField label="Maximum interference" unit="mm" {...field('highMm')} />
        <PlainField label="Friction" {...field('friction')} />
        <PlainChoice
          name="press-material"
          label="Material of the other part"
          value={material}
          onChange={(event) => setMaterial(event.target.value as Material)}
          choices={MATERIALS.map((each) => ({ value: each, label: describeMaterial(each) }))}
        />
        <label className="flex items-center gap-2 sm:col-span-2">
          <input
            type="checkbox"
            className="size-4"
            checked={hubIsResin}
            onChange={(event) => setHubIsResin(event.target.checked)}
          />
          The hub (stretched) is the printed part
        </label>
      </div>
      {typed === undefined && <Problem>{NUMBERS_WANTED}</Problem>}
      {typed !== undefined && verdict === undefined && (
        <Problem>
          the three diameters must rise in this order: shaft bore, interface, hub outside. The length must be
          above zero. As entered, one part has no wall.
        </Problem>
      )}
      {verdict !== undefined && (
        <PressOutcome
          jobId={jobId}
          verdict={verdict}
          breakStrain={strength.breakStrain}
          hubIsResin={hubIsResin}
        />
      )}
      <Caution>
        Press slowly in a vice or arbor press with soft jaws, and cover your eyes: brittle parts burst, and a
        driven pin flies.
      </Caution>
    </div>
  );
}

interface PressOutcomeProps {
  readonly jobId: number;
  readonly verdict: ReturnType<typeof judgePress>;
  readonly breakStrain: number;
  readonly hubIsResin: boolean;
}

/** What the largest interference does, beside what the resin stands. */
function PressOutcome({ jobId, verdict, breakStrain, hubIsResin }: PressOutcomeProps) {
  return (
    <div className="bg-sheet px-3 py-2">
      <p className="font-semibold">{describePress(verdict.holds)}</p>
      <dl className="grid grid-cols-2 gap-x-6 text-sm sm:grid-cols-4">
        <Figure term="pressure" value={`${verdict.pressureMPa.toFixed(2)} MPa`} />
        <Figure term="hoop stress in the hub" value={`${verdict.hubHoopMPa.toFixed(1)} MPa`} />
        <Figure term="strain in the hub" value={`${(verdict.hubStrain * 100).toFixed(2)} %`} />
        <Figure term="push it in with" value={`${verdict.pushN.toFixed(0)} N`} />
      </dl>
      {!hubIsResin && (
        <p className="text-sm text-soft">
          The printed part is compressed here, which resin handles well. The other part is stretched.
        </p>
      )}
      {hubIsResin && (
        <>
          <UseBar label="of its strength" share={verdict.stressUse} />
          <UseBar
            label={`of the ${(allowedPressStrain(breakStrain) * 100).toFixed(1)} % it can take`}
            share={verdict.strainUse}
          />
          {verdict.hubStrain > 0 && (
            <AskOfResin jobId={jobId} asked={{ kind: 'press', strain: verdict.hubStrain }} />
          )}
        </>
      )}
      <p className="mt-1 text-sm text-soft">
        Worst case: the maximum interference. Resin creeps. About{' '}
        {Math.round(assumedGripAfterYear(breakStrain) * 100)} % of the grip is left after a year (assumed, not
        measured).
      </p>
    </div>
  );
}

function Figure({ term, value }: { term: string; value: string }) {
  return (
    <div>
      <dt className="text-soft">{term}</dt>
      <dd className="num">{value}</dd>
    </div>
  );
}
