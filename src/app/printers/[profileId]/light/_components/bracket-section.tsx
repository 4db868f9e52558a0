import { halfWidth95 } from '@/core/kit/numerics';
import { bench } from '@/subjects/workshop/settings';
import { type LightView, viewBracket } from '@/subjects/exposure';
import { describeBracketIssue } from '@/subjects/exposure/shared';
import { Problem } from '@/ui';
import { BracketDesk } from './bracket-desk';

const BEYOND_WORDS = {
  longer:
    'All gauges failed: use longer exposures. Also check that the plate is level and the first layers stick.',
  shorter: 'All slots closed: use shorter exposures.',
} as const;

/** Where nothing is known of an exposure, s. */
const ABOUT_S = 2.5;

/** An exposure that holds and draws true, from a few small gauges. */
export function BracketSection({ view: { row, exposureS } }: { view: LightView }) {
  const { gauges, next, verdict } = viewBracket(bench().db, row.profile.id, exposureS ?? ABOUT_S);
  const found = verdict?.ok === true ? verdict.value : undefined;
  const { derived } = row.profile.settings;
  const of100 = (share: number) => Math.round(100 * share);
  return (
    <section aria-labelledby="bracket-title" className="mt-8 max-w-3xl">
      <h2 id="bracket-title" className="text-lg">
        Bracket
      </h2>
      <p className="text-sm text-soft">
        For an unknown resin, printer or film. Print three small gauges at exposures in equal ratio, wash and
        cure them like parts, then record the result of each. This takes minutes, not hours.
      </p>
      {derived !== undefined && (
        <p>
          Copied from {derived.from}: on this printer the exposure is between{' '}
          <span className="num">
            {derived.lowS} and {derived.highS} s
          </span>
          .
        </p>
      )}
      {verdict?.ok === false && <Problem>{describeBracketIssue(verdict.issue)}</Problem>}
      {found !== undefined && (
        <p
          className={`mt-2 border-l-4 py-1 pl-3 ${found.next === undefined ? 'border-juniper' : 'border-honey'}`}
        >
          Best exposure so far <strong className="num">{found.best.exposureS.toFixed(2)} s</strong>: it
          prints, with edges within 0.03 mm of the drawing, in {of100(found.best.good)} of 100 cases. It
          prints in {of100(found.best.holds)}; edges grow by{' '}
          <span className="num">
            {found.best.edgeMm.toFixed(3)} ± {halfWidth95(found.best.edgeSdMm).toFixed(3)} mm
          </span>
          . {found.beyond !== undefined && BEYOND_WORDS[found.beyond]}
          {found.next === undefined &&
            ' Certain enough: save it as the exposure of this profile, then print a signature block.'}
        </p>
      )}
      <BracketDesk
        profileId={row.profile.id}
        gauges={gauges}
        next={next}
        simulatedS={row.printer.simulatedSeed === null ? undefined : (exposureS ?? ABOUT_S)}
      />
    </section>
  );
}
