import { RESIN_TEST_ROWS, type ResinTestColumn } from '@/subjects/resin/shelf/shared';
import { CellField } from '@/ui';

interface ResinTestRowsProps {
  readonly columns: readonly [ResinTestColumn, ResinTestColumn];
  readonly values?: readonly (readonly [number, number])[];
}

/** Two columns of readings, with the rows of a test. */
export function ResinTestRows({ columns, values = [] }: ResinTestRowsProps) {
  return (
    <table className="justify-self-start sm:col-span-4">
      <thead>
        <tr className="text-left text-sm text-soft">
          {columns.map(({ name, label }) => (
            <th key={name} scope="col" className="font-normal">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: RESIN_TEST_ROWS }, (_, row) => (
          <tr key={row}>
            {columns.map(({ name }, i) => (
              <td key={name} className="py-0.5 pr-2">
                <CellField name={`${name}_${row}`} defaultValue={values[row]?.[i] ?? ''} className="w-28" />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
