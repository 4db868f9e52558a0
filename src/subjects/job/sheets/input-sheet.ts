import { z } from 'zod';
import { RUINS, WISHES } from '@/core/fit/mating';
import { LONGEST_MM, READ_AS } from '@/core/measure';
import {
  type InterfaceWish,
  SHEET_KINDS,
  type SheetChoices,
  type SheetKind,
  SHEETS,
} from '@/core/job/sheets';
import { choiceField, optionalChoice, optionalNumber, refuse } from '@/subjects/kit/shared';

/** A reading of the old part or its neighbour as the page sends it, already in millimetres. */
export const bodyInput = z.object({
  clientKey: z.string().min(8).max(80),
  jobId: z.int().positive(),
  measure: z.string().min(1).max(40),
  level: z.int().min(0).max(20),
  turn: z.int().min(0).max(20),
  /** The use case, not the schema, tells zero and below from typing errors, with a sentence. */
  readingMm: z
    .number()
    .min(-LONGEST_MM)
    .max(4 * LONGEST_MM),
  readAs: z.enum(READ_AS),
  instrumentId: z.int().positive(),
  confirmed: z.boolean(),
});

export type BodyInput = z.infer<typeof bodyInput>;

/** Which sheet a job is measured by. */
export const sheetKindForm = z.object({ kind: choiceField('Sheet', SHEET_KINDS) });

interface NamedInterface {
  readonly id: string;
  readonly label: string;
}

const CLEARANCE = { low: -5, high: 20 };

function interfaceFields({ id, label }: NamedInterface): Record<string, z.ZodType> {
  return {
    [`wish_${id}`]: optionalChoice(`Fit, ${label}`, WISHES),
    [`ruin_${id}`]: optionalChoice('cost of a wrong fit', RUINS),
    [`coat_${id}`]: optionalNumber(`Coat, ${label}`, 'length', { low: 0, high: 2 }),
    [`least_${id}`]: optionalNumber(`Minimum clearance, ${label}`, 'length', CLEARANCE),
    [`most_${id}`]: optionalNumber(`Maximum clearance, ${label}`, 'length', CLEARANCE),
  };
}

type Bounds = readonly [least: number | undefined, most: number | undefined];

/** Own clearance needs both ends, the least below the most; gives the field that is at fault. */
function faultOf([least, most]: Bounds): 'least' | 'most' | undefined {
  if (least === undefined && most === undefined) return undefined;
  if (least === undefined) return 'least';
  return most === undefined || least >= most ? 'most' : undefined;
}

/** What is chosen on a sheet: `option_…`, and by interface `wish_…`, `ruin_…`, `coat_…`, `least_…`, `most_…`. */
export function sheetFormOf(kind: SheetKind, interfaces: readonly NamedInterface[]) {
  const { options } = SHEETS[kind];
  const fields: Record<string, z.ZodType> = Object.assign(
    {},
    ...options.map(({ id, label, low, high, whole }) => ({
      [`option_${id}`]: optionalNumber(label, whole === true ? 'number' : 'length', { low, high }),
    })),
    ...interfaces.map(interfaceFields),
  );
  return z.object(fields).transform((form, context): SheetChoices => {
    const wishes: Record<string, Partial<InterfaceWish>> = {};
    for (const { id } of interfaces) {
      const of = <Value>(part: string) => form[`${part}_${id}`] as Value | undefined;
      const [least, most] = [of<number>('least'), of<number>('most')];
      const fault = faultOf([least, most]);
      if (fault !== undefined)
        refuse(
          context,
          { code: 'together', other: `${fault === 'least' ? 'most' : 'least'}_${id}` },
          `${fault}_${id}`,
        );
      const chosen = {
        wish: of<InterfaceWish['wish']>('wish'),
        ruin: of<InterfaceWish['ruin']>('ruin'),
        coatMm: of<number>('coat'),
        clearance: least === undefined || most === undefined ? undefined : { lowMm: least, highMm: most },
      };
      wishes[id] = Object.fromEntries(Object.entries(chosen).filter(([, value]) => value !== undefined));
    }
    return {
      kind,
      wishes,
      options: Object.fromEntries(
        options.flatMap(({ id }) => {
          const value = form[`option_${id}`];
          return typeof value === 'number' ? [[id, value]] : [];
        }),
      ),
    };
  });
}

/** The interfaces that a form is about, by the names of its fields. */
export function interfacesIn(data: FormData): NamedInterface[] {
  const ids = [...data.keys()].flatMap((name) => /^(?:wish|least|most)_(.+)$/.exec(name)?.[1] ?? []);
  return [...new Set(ids)].map((id) => ({ id, label: id }));
}
