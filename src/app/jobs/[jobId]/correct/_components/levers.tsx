import type { Lever, LeverWorth } from '@/core/light';
import type { LeversView } from '@/subjects/correct';
import { formatChance, listAnd } from '@/subjects/language/shared';
import { TrimButton } from './trim-button';

interface LeversProps {
  readonly jobId: number;
  readonly view: LeversView;
}

/** Which lever: what each is worth at the next print, and what else it touches. */
export function Levers({ jobId, view }: LeversProps) {
  const { levers, chosen, hoursEach, isAnswered, exposureS } = view;
  return (
    <section aria-labelledby="levers-title">
      <h2 id="levers-title" className="text-lg">
        Which lever
      </h2>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b border-ink text-left text-sm text-soft">
              <th className="py-1 pr-3 pl-3 font-normal">One of them, not two</th>
              <th className="py-1 pr-3 font-normal">all right at the next print</th>
              <th className="py-1 pr-3 font-normal">prints until right</th>
              <th className="py-1 pr-3 font-normal">hours on the printer</th>
              <th className="py-1 font-normal">what else it touches</th>
            </tr>
          </thead>
          <tbody>
            {levers.map((worth) => (
              <tr
                key={worth.lever}
                className={`border-b border-hair align-baseline ${worth.lever === chosen ? 'bg-wash' : ''}`}
              >
                <th scope="row" className="py-1 pr-3 pl-3 text-left font-normal">
                  <LeverName worth={worth} view={view} isChosen={worth.lever === chosen} />
                </th>
                <td className="num py-1 pr-3 font-semibold">{formatChance(worth.joint)}</td>
                <td className="num py-1 pr-3">{worth.prints.toFixed(1)}</td>
                <td className="num py-1 pr-3">
                  {hoursEach === undefined ? '–' : (worth.prints * hoursEach).toFixed(1)}
                </td>
                <td className="py-1 text-sm">
                  {touches(worth.lever, view)}
                  {worth.lever === 'trim' && (
                    <TrimButton jobId={jobId} exposureS={worth.exposureS!} isChosen={chosen === 'trim'} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-sm text-soft">
        Whatever misses is measured, and the sizes are then drawn.
        {exposureS === undefined && ' A trim is weighed once the profile says how long a layer is exposed.'}
        {isAnswered &&
          exposureS !== undefined &&
          ` These sizes are drawn for ${exposureS} s already: a trim on top answers the same error twice.`}
      </p>
    </section>
  );
}

function LeverName({ worth, view, isChosen }: { worth: LeverWorth; view: LeversView; isChosen: boolean }) {
  return (
    <>
      <span className={isChosen ? 'font-semibold' : ''}>{nameOf(worth, view)}</span>
      {isChosen && <span className="block text-sm text-juniper">the best chance for the least change</span>}
    </>
  );
}

function nameOf({ lever, exposureS }: LeverWorth, { isFirst }: LeversView): string {
  switch (lever) {
    case 'none':
      return isFirst ? 'Print the file as it is' : 'Print it again as it is';
    case 'sizes':
      return 'Draw the sizes';
    case 'part':
      return 'Correct the whole file';
    case 'trim':
      return `Trim the exposure to ${exposureS!.toFixed(2)} s`;
  }
}

function touches(lever: Lever, { voids }: LeversView): string {
  switch (lever) {
    case 'none':
      return 'Nothing.';
    case 'sizes':
      return 'Nothing: only what is drawn anew changes.';
    case 'part':
      return 'All faces of this file, measured or not; no other job.';
    case 'trim':
      return voids.length === 0
        ? 'Every print of this profile from then on.'
        : `Every print of this profile: the drawn sizes of ${listAnd(voids)} no longer hold.`;
  }
}
