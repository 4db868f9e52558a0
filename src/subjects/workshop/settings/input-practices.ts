import { z } from 'zod';
import { type Practice, PRACTICES, type Practices, WASH_LIQUIDS, type WashLiquid } from '@/core/resin';
import { choiceField, numberField, numberOrNull, ticked, tickFields } from '@/subjects/kit/shared';
import { describeLiquid } from './words-liquids';
import { PRACTICE_WORDS } from './words-practices';

/** Shop practice where practitioners differ, and the equipment of the workshop. */
export const practicesForm = z
  .object({
    ...(Object.fromEntries(
      Object.entries(PRACTICES).map(([school, sides]) => [
        school,
        choiceField<string>(PRACTICE_WORDS[school as Practice].title, sides),
      ]),
    ) as Record<Practice, ReturnType<typeof choiceField<string>>>),
    ...tickFields('wash', WASH_LIQUIDS, describeLiquid),
    roomC: numberOrNull('Temperature of the print room', 'temperature', { low: -20, high: 60 }),
    changeoverMl: numberField('Resin lost per vat change', 'volume', { low: 0, high: 2000 }),
  })
  .transform(
    (form): { schools: Practices; liquids: WashLiquid[]; roomC: number | null; changeoverMl: number } => ({
      schools: Object.fromEntries(
        Object.keys(PRACTICES).map((school) => [school, form[school as Practice]]),
      ) as unknown as Practices,
      liquids: ticked(form, 'wash', WASH_LIQUIDS),
      roomC: form.roomC,
      changeoverMl: form.changeoverMl,
    }),
  );
