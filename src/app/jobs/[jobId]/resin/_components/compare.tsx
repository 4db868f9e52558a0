import { describeAsked, describeHave, describeVerdictOfResin } from '@/subjects/resin/choice/shared';
import { formatProperty } from '@/subjects/resin/shelf/shared';
import type { ResinReasons } from '@/subjects/resin/choice';
import type { ResinRow } from './resin-row';

/** What a cell begins with, so that colour says nothing alone. */
const STATES = { pass: '', fails: 'fails: ', unknown: 'can’t tell: ' } as const;

export interface Compared {
  readonly row: ResinRow;
  /** Undefined while the server is asked. */
  readonly reasons?: ResinReasons;
}

/** Two or three resins side by side: what each requirement asks, and what else differs. */
export function Compare({ compared }: { compared: readonly Compared[] }) {
  if (compared.length < 2) return null;
  const asked = [
    ...new Set(
      compared.flatMap(({ reasons }) => reasons?.checks.map(({ requirement }) => requirement) ?? []),
    ),
  ];
  const lines: readonly (readonly [string, (each: Compared) => string])[] = [
    ['verdict', ({ row }) => describeVerdictOfResin(row.verdict)],
    ...asked.map(
      (requirement) =>
        [
          describeAsked(requirement),
          ({ reasons }: Compared) => {
            const check = reasons?.checks.find((each) => each.requirement === requirement);
            return check === undefined ? '' : `${STATES[check.state]}${describeHave(check)}`;
          },
        ] as const,
    ),
    [
      'softens at',
      ({ row: { heatC } }) => (heatC === undefined ? 'unknown' : formatProperty('deflectionLow_C', heatC)),
    ],
    [
      'breaks at',
      ({ row: { elongation } }) =>
        elongation === undefined ? 'unknown' : formatProperty('elongation', elongation),
    ],
    [
      'price of a litre',
      ({ row: { priceLitre } }) =>
        priceLitre === undefined ? 'unknown' : formatProperty('price_litre', priceLitre),
    ],
    [
      'in the vat of',
      ({ row: { inVatOf } }) =>
        inVatOf.length === 0 ? 'not in a vat: changing the resin costs time and resin' : inVatOf.join(', '),
    ],
  ];
  return (
    <div className="relative mt-4 overflow-x-auto">
      <table className="w-full min-w-[36rem] table-fixed border-collapse">
        <caption className="pb-1 text-left font-semibold">Side by side</caption>
        <thead>
          <tr className="border-b border-ink text-left">
            <td className="w-36" />
            {compared.map(({ row: { id, name } }) => (
              <th key={id} scope="col" className="py-1 pr-3">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(([label, textOf]) => (
            <tr key={label} className="border-b border-hair align-baseline">
              <th scope="row" className="py-1 pr-3 text-left text-sm font-normal text-soft">
                {label}
              </th>
              {compared.map((each) => (
                <td key={each.row.id} className="py-1 pr-3 text-sm">
                  {textOf(each)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
