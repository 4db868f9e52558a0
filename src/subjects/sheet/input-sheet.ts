import { z } from 'zod';
import { RUINS, WISHES } from '@/core/fits';
import { READ_AS } from '@/core/metrology';
import { type InterfaceWish, SHEET_KINDS, type SheetChoices, SHEETS } from '@/core/sheets';
import {
  choiceField,
  LONGEST_MM,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/language/shared';

/** A reading of the old part or its neighbour. */
export const bodyForm = z.object({
  measure: textField({ limit: 40 }),
  level: numberField(0, 20),
  turn: numberField(0, 20),
  readingMm: numberField(-LONGEST_MM, 4 * LONGEST_MM),
  readAs: choiceField(READ_AS),
  instrumentId: numberField(1, 1e15),
  clientKey: textField({ limit: 80 }),
  confirmed: tickField,
});

/** What is chosen on a sheet: `option_…`, `wish_…`, `ruin_…` and `coat_…` by their ids; anything else is left alone. */
export const sheetForm = z
  .object({ kind: choiceField(SHEET_KINDS) })
  .catchall(z.string())
  .transform((form, context): SheetChoices => {
    const { kind } = form;
    const texts: Record<string, string> = form;
    const options: Record<string, number> = {};
    for (const { id, low, high } of SHEETS[kind].options) {
      const parsed = optionalNumber(low, high).safeParse(texts[`option_${id}`] ?? '');
      if (!parsed.success) {
        const [issue] = parsed.error.issues;
        const params = issue.code === 'custom' ? issue.params : undefined;
        context.addIssue({ code: 'custom', path: [`option_${id}`], params });
        return z.NEVER;
      }
      if (parsed.data !== undefined) options[id] = parsed.data;
    }
    const wishes: Record<string, Partial<InterfaceWish>> = {};
    for (const [name, text] of Object.entries(texts)) {
      if (!name.startsWith('least_') || text.trim() === '') continue;
      const id = name.slice('least_'.length);
      const [low, high] = [text, texts[`most_${id}`] ?? ''].map((each) =>
        numberField(-5, 20).safeParse(each),
      );
      if (!low.success || !high.success || low.data >= high.data) {
        const issue = { code: 'together', other: `most_${id}` };
        context.addIssue({ code: 'custom', path: [name], params: { issue } });
        return z.NEVER;
      }
      wishes[id] = { clearance: { lowMm: low.data, highMm: high.data } };
    }
    for (const [name, text] of Object.entries(texts)) {
      const [part, id] = [name.slice(0, 5), name.slice(5)];
      const wish = part === 'wish_' ? WISHES.find((each) => each === text) : undefined;
      const ruin = part === 'ruin_' ? RUINS.find((each) => each === text) : undefined;
      const coat = part === 'coat_' ? optionalNumber(0, 2).safeParse(text) : undefined;
      if (coat?.success === true) wishes[id] = { ...wishes[id], coatMm: coat.data ?? 0 };
      if (wish !== undefined) wishes[id] = { ...wishes[id], wish };
      if (ruin !== undefined) wishes[id] = { ...wishes[id], ruin };
    }
    return { kind, options, wishes };
  });
