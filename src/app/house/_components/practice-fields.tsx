'use client';

import { keysOf } from '@/core/kit';
import { type Practice, PRACTICE_DEFINITIONS, PRACTICE_GROUPS, practicesOf } from '@/core/workshop';
import { LiquidTicks } from '@/app/_components/liquid-ticks';
import type { HouseRules } from '@/subjects/workshop/settings';
import { practicesForm } from '@/subjects/workshop/settings/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { savePractices } from '../actions';

type PracticeFieldsProps = Pick<HouseRules, 'schools' | 'liquids' | 'roomC' | 'changeoverMl'>;

/** Where good shops differ: each side with its reason; the process cards follow. */
export function PracticeFields({ schools, liquids, roomC, changeoverMl }: PracticeFieldsProps) {
  return (
    <ActionForm form={practicesForm} action={savePractices} label="Shop practice" className="grid gap-3">
      {keysOf(PRACTICE_GROUPS).map((group, i) => (
        <details key={group} open={i === 0} className="border-b border-hair pb-2">
          <summary className="font-semibold">{PRACTICE_GROUPS[group]}</summary>
          <div className="mt-2 grid gap-3">
            {practicesOf(group).map((school) => (
              <PracticeField key={school} school={school} side={schools[school]} />
            ))}
          </div>
        </details>
      ))}
      <fieldset>
        <legend className="font-semibold">Available wash liquids</legend>
        <p className="text-sm text-soft">
          None ticked: all are available, so no resin fails because of its wash liquid.
        </p>
        <LiquidTicks ticked={liquids} />
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <TextField name="roomC" defaultValue={roomC ?? ''} />
        <TextField name="changeoverMl" defaultValue={changeoverMl} />
      </div>
      <Button type="submit" className="justify-self-start">
        Save shop practice
      </Button>
    </ActionForm>
  );
}

/** One difference of practice: its sides, each with its reason. */
function PracticeField({ school, side: chosen }: { school: Practice; side: string }) {
  const { title, sides } = PRACTICE_DEFINITIONS[school];
  return (
    <fieldset>
      <legend className="font-semibold">{title}</legend>
      {Object.entries(sides).map(([side, { label, reason }]) => (
        <label key={side} className="flex min-h-7 items-start gap-2">
          <input
            type="radio"
            name={school}
            value={side}
            defaultChecked={chosen === side}
            className="mt-1 size-4 shrink-0"
          />
          <span>
            {label} <span className="text-sm text-soft">{reason}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
