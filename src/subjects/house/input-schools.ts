import { z } from 'zod';
import { type School, SCHOOLS, type Schools, WASH_LIQUIDS, type WashLiquid } from '@/core/resins';
import { choiceField, numberField, numberOrNull, ticked, tickFields } from '@/subjects/language/shared';
import { describeLiquid } from './words-liquids';
import { SCHOOL_WORDS } from './words-schools';

/** Shop practice where practitioners differ, and the equipment of the workshop. */
export const schoolsForm = z
  .object({
    ...(Object.fromEntries(
      Object.entries(SCHOOLS).map(([school, sides]) => [
        school,
        choiceField<string>(SCHOOL_WORDS[school as School].title, sides),
      ]),
    ) as Record<School, ReturnType<typeof choiceField<string>>>),
    ...tickFields('wash', WASH_LIQUIDS, describeLiquid),
    roomC: numberOrNull('Temperature of the print room', 'temperature', { low: -20, high: 60 }),
    changeoverMl: numberField('Resin lost per vat change', 'volume', { low: 0, high: 2000 }),
  })
  .transform(
    (form): { schools: Schools; liquids: WashLiquid[]; roomC: number | null; changeoverMl: number } => ({
      schools: Object.fromEntries(
        Object.keys(SCHOOLS).map((school) => [school, form[school as School]]),
      ) as unknown as Schools,
      liquids: ticked(form, 'wash', WASH_LIQUIDS),
      roomC: form.roomC,
      changeoverMl: form.changeoverMl,
    }),
  );
