import { z } from 'zod';
import { type School, SCHOOLS, type Schools, WASH_LIQUIDS, type WashLiquid } from '@/core/resins';
import { choiceField, numberField, orNull, ticked, ticks } from '@/subjects/language/shared';

/** The house's side where practice differs, and what its bench has. */
export const schoolsForm = z
  .object({
    ...(Object.fromEntries(
      Object.entries(SCHOOLS).map(([school, sides]) => [school, choiceField<string>(sides)]),
    ) as Record<School, ReturnType<typeof choiceField<string>>>),
    ...ticks('wash', WASH_LIQUIDS),
    roomC: orNull(-20, 60),
    changeoverMl: numberField(0, 2000),
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
