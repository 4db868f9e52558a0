import type { LeverWorth } from '@/core/light';
import type { LeversView } from '@/subjects/correct';
import { formatChance, listFew } from '@/subjects/language/shared';
import { TrimLine } from './trim-line';

interface LeversProps {
  readonly jobId: number;
  readonly view: LeversView;
}

/** Which lever: what each is worth at the next print, and what else it touches. */
export function Levers({ jobId, view }: LeversProps) {
  const { levers, chosen, hoursEach } = view;
  const trim = levers.find(({ lever }) => lever === 'trim');
  return (
    <section aria-labelledby="levers-title">
      <h2 id="levers-title" className="text-lg">
        Which lever
      </h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-3 pl-3 font-normal">one of them, not two for the same error</th>
            <th className="py-1 pr-3 text-right font-normal">right at the next print</th>
            <th className="py-1 pr-3 text-right font-normal">prints until right</th>
            <th className="hidden py-1 pr-3 text-right font-normal sm:table-cell">hours on the printer</th>
          </tr>
        </thead>
        <tbody>
          {levers.map((worth) => (
            <tr
              key={worth.lever}
              className={`border-b border-hair align-baseline ${worth.lever === chosen ? 'bg-wash' : ''}`}
            >
              <th scope="row" className="max-w-xl py-1.5 pr-3 pl-3 text-left font-normal">
                <span className={worth.lever === chosen ? 'font-semibold' : ''}>{nameOf(worth, view)}</span>
                {worth.lever === chosen && (
                  <span className="text-sm text-juniper"> the best chance for the least change</span>
                )}
                <span className="block text-sm text-soft">{touches(worth, view)}</span>
              </th>
              <td className="num py-1.5 pr-3 text-right font-semibold whitespace-nowrap">
                {formatChance(worth.joint)}
              </td>
              <td className="num py-1.5 pr-3 text-right">{worth.prints.toFixed(1)}</td>
              <td className="num hidden py-1.5 pr-3 text-right sm:table-cell">
                {hoursEach === undefined ? '–' : (worth.prints * hoursEach).toFixed(1)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <TrimLine jobId={jobId} exposureS={trim?.exposureS} isChosen={chosen === 'trim'} />
      <p className="mt-1 text-sm text-soft">
        Whatever misses is measured, and its sizes are then drawn. {trimWords(view)}
      </p>
    </section>
  );
}

/** Why no trim stands among the levers, or what one would do to sizes that were corrected. */
function trimWords({ exposureS, isAnswered, levers }: LeversView): string {
  if (exposureS === undefined) return 'A trim is weighed once the profile says how long a layer is exposed.';
  if (!levers.some(({ lever }) => lever === 'trim'))
    return `No trim of the exposure would bring more than ${exposureS} s does.`;
  return isAnswered
    ? `These sizes are drawn for ${exposureS} s already: a trim on top answers the same error twice.`
    : '';
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
      return `Trim the exposure to ${exposureS!.toFixed(2)}\u00a0s`;
  }
}

function touches({ lever }: LeverWorth, { voids, ladders }: LeversView): string {
  switch (lever) {
    case 'none':
      return 'Touches nothing.';
    case 'sizes':
      return 'Touches only what is drawn anew.';
    case 'part':
      return 'Touches all faces of this file, measured or not, and no other job.';
    case 'trim': {
      const gaps = ladders === 0 ? '' : ' What gap ladders found moves with the edges.';
      return voids.length === 0
        ? `Touches every print of this profile from then on.${gaps}`
        : `Touches every print of this profile: sizes drawn for ${listFew(voids)} no longer hold.${gaps}`;
    }
  }
}
