'use client';

import { useState } from 'react';
import { LiquidTicks } from '@/app/_components/liquid-ticks';
import { ASSUMED_STRESS_MPA, CRITERIA, IMPACTS, type Requirement } from '@/core/resin';
import { describeImpact } from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Caution, Choice, TextField, Tick } from '@/ui';
import { keepRequirement } from '../actions';
import { SectionHelper } from './section-helper';
import { requirementForm } from '@/subjects/resin/choice/shared';

interface RequirementFieldsProps {
  readonly jobId: number;
  readonly wanted: Requirement;
  readonly fromNeed: Requirement;
  readonly hottestWhen: string;
  readonly loadN: number | null;
}

const percent = (share: number | null) => (share === null ? '' : Number((share * 100).toFixed(2)));

/** Everything that is asked of the resin; what stands here follows the need until it is typed over. */
export function RequirementFields({ jobId, wanted, fromNeed, hottestWhen, loadN }: RequirementFieldsProps) {
  const [stress, setStress] = useState(String(wanted.stress_MPa ?? ''));
  const [least, setLeast] = useState(String(wanted.stiffness_MPa[0] ?? ''));
  const number = (name: keyof Requirement & string) => (
    <TextField name={name} defaultValue={(wanted[name] as number | null) ?? ''} />
  );
  return (
    <ActionForm
      form={requirementForm}
      action={keepRequirement.bind(null, jobId)}
      label="Requirements for the resin"
      className="mt-2 grid grid-cols-2 items-start gap-x-3 gap-y-2"
    >
      {number('serviceMax_C')}
      {number('processMax_C')}
      <p className="col-span-2 text-sm text-soft">
        {hottestWhen !== '' && `In use: ${hottestWhen}. `}Include assembly: forming over it, casting into it,
        steam.
      </p>
      {number('margin_K')}
      <TextField
        name="stress_MPa"
        value={stress}
        onChange={(event) => setStress(event.target.value)}
        placeholder={`assumed: ${ASSUMED_STRESS_MPA}`}
      />
      <TextField
        name="strainPercent"
        defaultValue={percent(wanted.strainMax)}
        hint={fromNeed.strainMax === null ? undefined : `Fit requires ${percent(fromNeed.strainMax)} %`}
      />
      <Choice
        name="impact"
        defaultValue={wanted.impact ?? ''}
        choices={[
          { value: '', label: 'not asked' },
          ...IMPACTS.map((impact) => ({ value: impact, label: describeImpact(impact) })),
        ]}
      />
      <TextField name="stiffnessLeast" value={least} onChange={(event) => setLeast(event.target.value)} />
      <TextField name="stiffnessMost" defaultValue={wanted.stiffness_MPa[1] ?? ''} />
      <div className="col-span-2">
        <SectionHelper
          loadN={loadN}
          onTake={(need) => {
            setStress(need.stressMPa.toFixed(2));
            if (need.leastModulusMPa !== undefined) setLeast(need.leastModulusMPa.toFixed(0));
          }}
        />
      </div>
      {number('shoreA')}
      {number('smallestFeature_mm')}
      {number('room_C')}
      <TextField
        name="waterPercent"
        defaultValue={percent(wanted.waterUptakeMax)}
        hint={fromNeed.waterUptakeMax === null ? undefined : 'required because it stays wet'}
      />
      <Tick name="clear" defaultChecked={wanted.clear} className="self-end pb-2" />
      <fieldset className="col-span-2">
        <legend className="text-sm text-soft">Available wash liquids (none ticked: any)</legend>
        <LiquidTicks ticked={wanted.washWith} />
      </fieldset>
      <div className="col-span-2">
        <TextField
          name="rated"
          defaultValue={wanted.claims.join(', ')}
          placeholder="skin, mouth, food, sterile, mains, flame"
        />
      </div>
      {wanted.claims.length > 0 && (
        <div className="col-span-2">
          <Caution>
            A rating comes from the supplier and covers its whole process. Local codes and licensed
            professionals decide about bodies, food, mains and fire, not this program.
          </Caution>
        </div>
      )}
      <details className="col-span-2">
        <summary className="text-sm text-soft">Weights</summary>
        <div className="mt-1 grid grid-cols-5 gap-2">
          {CRITERIA.map((criterion) => (
            <TextField
              key={criterion}
              name={`weight_${criterion}`}
              defaultValue={wanted.weights[criterion]}
            />
          ))}
        </div>
      </details>
      <Button type="submit" weight="main" className="col-span-2 justify-self-start">
        Rank resins
      </Button>
    </ActionForm>
  );
}
