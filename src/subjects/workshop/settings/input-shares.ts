import { z } from 'zod';
import { checkShares, PARAMETER_NAMES, type ParameterName, type ShareTable } from '@/core/signature';
import { numberField, parameterWords, refuse } from '@/subjects/kit/shared';

/** What two profiles have in common of a parameter. */
export const SHARED_BY = ['printer', 'resin', 'both'] as const;
export type SharedBy = (typeof SHARED_BY)[number];

type ShareField = `${SharedBy}_${ParameterName}`;

const LABELS = { printer: 'same printer', resin: 'same resin', both: 'same printer and resin' } as const;

/** Shares in per cent by `printer_…`, `resin_…` and `both_…`; printer and resin together never exceed both. */
export const sharesForm = z
  .object(
    Object.fromEntries(
      PARAMETER_NAMES.flatMap((name) =>
        SHARED_BY.map((by) => [
          `${by}_${name}`,
          numberField(`${parameterWords(name).title}, ${LABELS[by]}`, 'percent', { low: 0, high: 99 }),
        ]),
      ),
    ) as Record<ShareField, ReturnType<typeof numberField>>,
  )
  .transform((form, context): ShareTable => {
    const table = Object.fromEntries(
      PARAMETER_NAMES.map((name) => [
        name,
        Object.fromEntries(SHARED_BY.map((by) => [by, form[`${by}_${name}`] / 100])),
      ]),
    ) as unknown as ShareTable;
    const checked = checkShares(table);
    if (checked.ok) return table;
    const { parameter } = checked.issue;
    return refuse(
      context,
      {
        code: 'worded',
        text: 'Printer and resin together cannot share more than “both”. Raise both, or lower one of them.',
      },
      `both_${parameter}`,
    );
  });
