import { connection } from 'next/server';
import { CardSteps } from '@/app/_components/card-steps';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import type { GaugeSpec } from '@/core/gauges';
import { processCard, quoteOf } from '@/core/resins';
import { countCrevices } from '@/subjects/check';
import { listRungs, rungsOfPrint, viewLadder } from '@/subjects/gauge';
import { bench, benchHouse } from '@/subjects/house';
import { canBuild, type JobView, partOfJob } from '@/subjects/job';
import { sitDown } from '@/subjects/measure';
import { findShelved, resinFile } from '@/subjects/resin';
import { buttonLook, Link } from '@/ui';
import { BrokenNote } from './_components/broken-note';
import { MeasuringBench } from './_components/measuring-bench';
import { PrintPanel } from './_components/print-panel';
import { RungBench } from './_components/rung-bench';
import { SessionPanel } from './_components/session-panel';

/** Measure: readings of a print by keyboard or caliper, and ladders tried on their mates. */
export default async function MeasurePage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = loadJob(jobId);
  const { current } = view;
  if (current === undefined) return <NothingDrawn view={view} />;
  const sitting = sitDown(db, view);
  if (current.printId === undefined) {
    return (
      <PrintPanel
        jobId={jobId}
        attemptId={current.attemptId}
        attemptNumber={current.attemptNumber}
        simulated={sitting.simulatedPrint}
        files={canBuild(view)}
      />
    );
  }
  const { gauge } = view.job;
  if (gauge?.kind === 'joint')
    return <Rungs view={view} gauge={gauge} printId={current.printId} simulated={sitting.simulatedPrint} />;
  const { open } = sitting;
  if (open === undefined)
    return (
      <>
        <SessionPanel jobId={jobId} instruments={sitting.instruments} remembered={sitting.remembered} />
        {view.profile !== undefined && <BeforeReading view={view} resinId={view.profile.resin.id} />}
      </>
    );
  const brokenNote = view.attempts.at(-1)?.prints.at(-1)?.brokenNote ?? '';
  return (
    <>
      <MeasuringBench
        jobId={jobId}
        printId={current.printId}
        printName={current.printName ?? ''}
        features={current.features}
        session={{ ...open.session, instrument: open.instrument }}
        rule={view.job.rule}
        expansionStated={isExpansionStated(view)}
        simulated={sitting.simulatedPrint && open.instrument.simulatedSeed !== null}
        part={partOfJob(view)}
      />
      <BrokenNote jobId={jobId} printId={current.printId} note={brokenNote} />
    </>
  );
}

/** Whether the resin's sheet says how it grows with warmth; else the usual figure is taken. */
function isExpansionStated({ profile }: JobView): boolean {
  return profile !== undefined && quoteOf(profile.resin.sheet, 'expansion_um_mK') !== undefined;
}

/** What the print goes through before it is read: a warm or half-washed part measures something else. */
function BeforeReading({ view, resinId }: { view: JobView; resinId: number }) {
  const shelved = findShelved(bench().db, resinId);
  if (shelved === undefined) return null;
  const partFacts = { claims: view.job.claims, crevices: countCrevices(bench().db, view) };
  return (
    <details className="mt-6 max-w-2xl">
      <summary className="font-semibold">From the plate to the caliper: {shelved.resin.name}</summary>
      <CardSteps steps={processCard(resinFile(shelved), benchHouse().schools, partFacts)} />
    </details>
  );
}

interface RungsProps {
  readonly view: JobView;
  readonly gauge: Extract<GaugeSpec, { kind: 'joint' }>;
  readonly printId: number;
  readonly simulated: boolean;
}

/** A ladder of joints is tried by the hand, rung by rung. */
function Rungs({ view, gauge, printId, simulated }: RungsProps) {
  const { db } = bench();
  const { joint, direction, stepsMm } = gauge;
  const all = listRungs(db).filter(
    (rung) => rung.profileId === view.job.profileId && rung.joint === joint && rung.direction === direction,
  );
  const { summary, note, curve } = viewLadder(all);
  return (
    <RungBench
      jobId={view.job.id}
      printId={printId}
      printName={view.current?.printName ?? ''}
      joint={joint}
      direction={direction}
      stepsMm={stepsMm}
      outcomes={Object.fromEntries(rungsOfPrint(db, printId))}
      ladder={{ summary, note, curve }}
      otherRungs={all.filter((rung) => rung.printId !== printId).length}
      simulated={simulated}
    />
  );
}

function NothingDrawn({ view }: { view: JobView }) {
  const step = view.features.length === 0 ? 'need' : 'correct';
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">Nothing has been drawn yet</h2>
      <p className="mt-2 text-soft">
        {step === 'need'
          ? 'Enter the sizes that matter first; readings are taken feature by feature.'
          : 'The first attempt is drawn under Correct: what this printer is expected to do is allowed for before the first print.'}
      </p>
      <Link href={`/jobs/${view.job.id}/${step}`} className={`${buttonLook('large')} mt-4`}>
        {step === 'need' ? 'Enter the sizes' : 'Draw the first attempt'}
      </Link>
    </div>
  );
}
