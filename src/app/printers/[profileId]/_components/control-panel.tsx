import { dayOf, formatMm, formatSigned } from '@/core/kit/wording';
import type { SignatureView } from '@/subjects/signature';
import { buttonLook, Link } from '@/ui';
import { ControlForm } from './control-form';

interface ControlPanelProps {
  readonly view: SignatureView;
  readonly choices: readonly { readonly id: number; readonly label: string }[];
}

/** The newest prints of the walk; older ones are counted. */
const SHOWN = 8;

/** One feature that is measured on every print: it shows when the signature is no longer valid. */
export function ControlPanel({ view: { row, control }, choices }: ControlPanelProps) {
  const points = control?.points ?? [];
  return (
    <section aria-labelledby="control-title" className="mt-6">
      <h2 id="control-title" className="text-lg">
        Control piece
      </h2>
      <p className="max-w-prose text-sm text-soft">
        A small piece that you print beside every part and measure each time. After two large deviations in a
        row, or a slow drift to one side, Today warns you that this signature is no longer valid.
      </p>
      {control !== undefined && (
        <p className="mt-1">
          <strong>{control.name}</strong> of{' '}
          <Link href={`/jobs/${control.jobId}`} className="underline">
            {control.job}
          </Link>
          ; add its file to the plate with every part.{' '}
          {points.length === 0 && 'Not measured beside a part yet.'}
        </p>
      )}
      {points.length > 0 && (
        <table className="mt-2 border-collapse text-sm">
          <caption className="sr-only">Control piece by print</caption>
          <thead>
            <tr className="border-b border-ink text-left text-soft">
              <th className="py-1 pr-6 font-normal">Print</th>
              <th className="py-1 pr-6 text-right font-normal">read</th>
              <th className="py-1 pr-6 text-right font-normal">expected</th>
              <th className="py-1 text-right font-normal">deviation, sd</th>
            </tr>
          </thead>
          <tbody>
            {points.slice(-SHOWN).map(({ printId, print, madeAt, readMm, expectedMm, z }) => (
              <tr key={printId} className="border-b border-hair">
                <th scope="row" className="py-1 pr-6 text-left font-normal">
                  {print}, {dayOf(madeAt)}
                </th>
                <td className="num py-1 pr-6 text-right">{formatMm(readMm, 3)}</td>
                <td className="num py-1 pr-6 text-right">{formatMm(expectedMm, 3)}</td>
                <td className="num py-1 text-right">{formatSigned(z, 1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-4">
        {choices.length > 0 && (
          <ControlForm profileId={row.profile.id} choices={choices} chosenId={control?.featureId} />
        )}
        <Link href={`/gauges?choice=control&profile=${row.profile.id}`} className={buttonLook('plain')}>
          Create control piece
        </Link>
      </div>
    </section>
  );
}
