import { keysOf, mapRecord, recordOf } from '@/core/kit';
import { type Practice, PRACTICE_DEFINITIONS, type Practices, PRACTICES } from '@/core/workshop';
import { z } from 'zod';
import { describeLiquid, WASH_LIQUIDS, type WashLiquid } from '@/core/resin';
import { choiceField, numberField, numberOrNull, ticked, tickFields } from '@/subjects/kit/shared';

/** Shop practice where practitioners differ, and the equipment of the workshop. */
export const practicesForm = z
  .object({
    ...mapRecord(
      PRACTICE_DEFINITIONS as Readonly<Record<Practice, { readonly title: string }>>,
      ({ title }, name) => choiceField<string>(title, PRACTICES[name]),
    ),
    ...tickFields('wash', WASH_LIQUIDS, describeLiquid),
    roomC: numberOrNull('Temperature of the print room', 'temperature', { low: -20, high: 60 }),
    changeoverMl: numberField('Resin lost per vat change', 'volume', { low: 0, high: 2000 }),
  })
  .transform(
    (form): { schools: Practices; liquids: WashLiquid[]; roomC: number | null; changeoverMl: number } => ({
      schools: recordOf(keysOf(PRACTICES), (name) => form[name]) as Practices,
      liquids: ticked(form, 'wash', WASH_LIQUIDS),
      roomC: form.roomC,
      changeoverMl: form.changeoverMl,
    }),
  );
