import { formatChance, listFew } from '@/core/kit/wording';
import type { CorrectionMethodWorth } from '@/core/exposure';
import type { CorrectionMethodsView } from '@/subjects/job/correct';
import { ExposureChangeLine } from './exposure-change-line';

interface CorrectionMethodsProps {
  readonly jobId: number;
  readonly view: CorrectionMethodsView;
}

/** Correction method: the chance of each in the next print, and what else it affects. */
export function CorrectionMethods({ jobId, view }: CorrectionMethodsProps) {
  const { levers, chosen, hoursEach } = view;
  const trim = levers.find(({ lever }) => lever === 'trim');
  return (
    <section aria-labelledby="levers-title">
      <h2 id="levers-title" className="text-lg">
        Correction method
      </h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-3 pl-3 font-normal">
              use one of them; two would correct the same error twice
            </th>
            <th className="py-1 pr-3 text-right font-normal">chance at the next print</th>
            <th className="py-1 pr-3 text-right font-normal">expected number of prints</th>
            <th className="hidden py-1 pr-3 text-right font-normal sm:table-cell">print hours</th>
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
                  <span className="text-sm text-juniper"> best chance for the smallest change</span>
                )}
                <span className="block text-sm text-soft">{touches(worth, view)}</span>
              </th>
              <td className="num py-1.5 pr-3 text-right font-semibold whitespace-nowrap">
                {formatChance(worth.joint)}
              </td>
              <td className="num py-1.5 pr-3 text-right">
                {isReachable(worth) ? worth.prints.toFixed(1) : 'not reachable'}
              </td>
              <td className="num hidden py-1.5 pr-3 text-right sm:table-cell">
                {hoursEach === undefined || !isReachable(worth) ? '–' : (worth.prints * hoursEach).toFixed(1)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ExposureChangeLine jobId={jobId} exposureS={trim?.exposureS} isChosen={chosen === 'trim'} />
      <p className="mt-1 text-sm text-soft">
        If a size is still out of limits, measure it and correct its drawn size. {exposureChangeWords(view)}
      </p>
    </section>
  );
}

/** Returns why no exposure change is offered, or what one would do to corrected sizes. */
function exposureChangeWords({ exposureS, isAnswered, levers }: CorrectionMethodsView): string {
  if (exposureS === undefined)
    return 'To compare an exposure change, enter the layer exposure in the profile.';
  if (!levers.some(({ lever }) => lever === 'trim'))
    return `No exposure gives a better result than the current ${exposureS} s.`;
  return isAnswered
    ? `These sizes are already drawn for ${exposureS} s. An exposure change would correct the same error twice.`
    : '';
}

/** More prints than anybody makes of one part: say that this way does not lead there. */
const MOST_PRINTS = 50;

const isReachable = ({ prints }: CorrectionMethodWorth) => prints <= MOST_PRINTS;

function nameOf({ lever, exposureS }: CorrectionMethodWorth, { isFirst }: CorrectionMethodsView): string {
  switch (lever) {
    case 'none':
      return isFirst ? 'Print the file unchanged' : 'Print it again unchanged';
    case 'sizes':
      return 'Correct the drawn sizes';
    case 'part':
      return 'Correct the whole file';
    case 'trim':
      return `Change the exposure to ${exposureS!.toFixed(2)}\u00a0s`;
  }
}

function touches({ lever }: CorrectionMethodWorth, { voids, ladders }: CorrectionMethodsView): string {
  switch (lever) {
    case 'none':
      return 'Changes nothing else.';
    case 'sizes':
      return 'Changes only the sizes you draw again.';
    case 'part':
      return 'Changes all faces of this file, measured or not, and no other job.';
    case 'trim': {
      const gaps = ladders === 0 ? '' : ' Gap test results shift with the edges.';
      return voids.length === 0
        ? `Changes every later print of this profile.${gaps}`
        : `Changes every print of this profile. Sizes drawn for ${listFew(voids)} become invalid.${gaps}`;
    }
  }
}
