import { partFactsOf } from '@/subjects/print/plate';
import { claimOf } from '@/core/job/need';
import { connection } from 'next/server';
import { CardSteps } from '@/app/_components/card-steps';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import {
  ASSUMED_STRESS_MPA,
  evidenceOf,
  heatAt,
  hottestOf,
  nearestResins,
  processCard,
  type Ranked,
} from '@/core/resin';
import { type Choice, requirementFromNeed, viewChoice, reasonsOf } from '@/subjects/resin/choice';
import { describeRanked } from '@/subjects/resin/choice/shared';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { listVats, resinFile } from '@/subjects/resin/shelf';
import { Caution, Link, Note } from '@/ui';
import { HeatChart } from './_components/heat-chart';
import { PickForm } from './_components/pick-form';
import { RankedList } from './_components/ranked-list';
import { RequirementFields } from './_components/requirement-fields';
import type { ResinRow } from './_components/resin-row';

/** So many rows bring their reasons along. */
const WITH_REASONS = 40;

/** So many, best first, can be chosen from; a longer list finds nobody. */
const MOST_CHOICES = 100;

/** One line of the page for each resin: what was found, and what would have to change. */
function rowsOf({ requirement, ranked, shelf }: Choice): ResinRow[] {
  const byName = new Map(shelf.map((each) => [each.resin.name, each]));
  return ranked.map((each, i) => {
    const shelved = byName.get(each.resin)!;
    const file = resinFile(shelved);
    const evidence = evidenceOf(file);
    const heat = heatAt(evidence, requirement.stress_MPa ?? ASSUMED_STRESS_MPA);
    return {
      id: shelved.resin.id,
      name: each.resin,
      family: shelved.resin.sheet.family,
      verdict: each.verdict,
      score: each.score,
      pareto: each.pareto,
      why: describeRanked(each),
      reasons: i < WITH_REASONS ? reasonsOf(each, file, requirement) : undefined,
      creeps: shelved.resin.sheet.alone === 'creeps',
      clearForMin: requirement.clear ? evidence.of('cureCeiling_min')?.low : undefined,
      inVatOf: shelved.inVatOf,
      heatC: heat?.value,
      elongation: evidence.of('elongation')?.value,
      priceLitre: evidence.of('price_litre')?.value,
    };
  });
}

function Nearest({ ranked }: { ranked: readonly Ranked[] }) {
  return (
    <div className="border-l-4 border-plum bg-sheet px-3 py-2">
      <p className="font-semibold">No resin passes all requirements. The closest are:</p>
      <ol className="list-decimal pl-6">
        {nearestResins(ranked).map((each) => (
          <li key={each.resin}>
            {each.resin}: {describeRanked(each)}.
          </li>
        ))}
      </ol>
    </div>
  );
}

/** Resin: the requirements, and the resins ranked by them. */
export default async function ResinStep({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = await loadJob(jobId);
  const { job, profile } = view;
  const partFacts = partFactsOf(db, view);
  const choice = viewChoice(db, job);
  const { requirement, ranked, shelf } = choice;
  const rows = rowsOf(choice);
  const fromNeed = requirementFromNeed(db, job);
  const passing = ranked.filter(({ verdict }) => verdict === 'passes').length;
  const current = profile && rows.find(({ id }) => id === profile.resin.id);
  const chosen = shelf.find(({ resin }) => resin.id === job.resinChosenId);
  if (shelf.length === 0)
    return (
      <Note>
        No resins yet.{' '}
        <Link href="/shelf" className="underline">
          Add resins
        </Link>{' '}
        first.
      </Note>
    );
  return (
    <div className="space-y-8">
      <div className="grid gap-x-8 gap-y-6 xl:grid-cols-[20rem_minmax(0,1fr)]">
        <section aria-labelledby="asked-title">
          <h2 id="asked-title" className="text-lg">
            Requirements
          </h2>
          <RequirementFields
            // Another need is another form; what was typed here stays where it is, the focus too.
            key={JSON.stringify(fromNeed)}
            jobId={jobId}
            wanted={requirement}
            fromNeed={fromNeed}
            hottestWhen={job.hottestWhen}
            loadN={job.loadN}
          />
        </section>
        <div className="min-w-0 space-y-6">
          <p className="text-lg" role="status">
            <span className="font-serif text-xl font-semibold">
              {passing} of {ranked.length} pass
            </span>
            {current !== undefined && current.verdict !== 'passes' && (
              <>
                . The job uses {current.name}: {current.why}.
              </>
            )}
          </p>
          {passing === 0 && <Nearest ranked={ranked} />}
          <HeatChart
            rows={rows}
            hottestC={hottestOf(requirement)}
            marginK={requirement.margin_K}
            strain={requirement.strainMax}
          />
          <RankedList jobId={jobId} rows={rows} />
          <PickForm
            jobId={jobId}
            rows={rows
              .filter(({ id }, i) => i < MOST_CHOICES || id === current?.id)
              .map(({ id, name, verdict }) => ({ id, name, verdict }))}
            printers={listVats(db).map(({ id, printer, resin }) => ({ id, printer, resin }))}
            start={{ printerId: profile?.printer.id, layerMm: profile?.profile.layerMm ?? 0.05 }}
          />
        </div>
      </div>
      {job.claims.length > 0 && (
        <section aria-label="Cautions" className="space-y-2">
          {job.claims.map((claim) => (
            <Caution key={claim}>{claimOf(claim).caution}</Caution>
          ))}
        </section>
      )}
      {chosen !== undefined && (
        <section aria-labelledby="card-title">
          <h2 id="card-title" className="text-lg">
            Process card of {chosen.resin.name}
          </h2>
          <CardSteps steps={processCard(resinFile(chosen), benchHouse().schools, partFacts)} />
          <p className="mt-1 text-sm text-soft">
            Change shop practice in{' '}
            <Link href="/house" className="underline">
              Settings
            </Link>
            .
          </p>
        </section>
      )}
    </div>
  );
}
