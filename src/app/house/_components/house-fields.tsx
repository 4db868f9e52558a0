'use client';

import { DECISION_RULES, type DecisionRule } from '@/core/measure';
import { houseForm } from '@/subjects/workshop/settings/shared';
import { describeRule } from '@/subjects/kit/shared';
import { ActionForm, Button, Choice, TextField, Tick } from '@/ui';
import { saveHouse } from '../actions';

interface HouseFieldsProps {
  readonly benchName: string;
  readonly letterKeys: boolean;
  readonly decisionRule: DecisionRule;
  readonly caliperDays: number | null;
}

export function HouseFields({ benchName, letterKeys, decisionRule, caliperDays }: HouseFieldsProps) {
  return (
    <ActionForm form={houseForm} action={saveHouse} label="General" className="grid gap-3">
      <TextField name="benchName" defaultValue={benchName} />
      <Tick name="letterKeys" defaultChecked={letterKeys} hint="(turn off for speech input)" />
      <Choice
        name="decisionRule"
        defaultValue={decisionRule}
        choices={DECISION_RULES.map((rule) => ({ value: rule, label: describeRule(rule) }))}
      />
      <TextField name="caliperDays" defaultValue={caliperDays ?? ''} inputMode="numeric" />
      <Button type="submit" className="justify-self-start">
        Save general settings
      </Button>
    </ActionForm>
  );
}
