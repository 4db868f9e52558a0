import { partFactsOf } from '@/subjects/print/plate';
import { describeFinding } from '@/core/part/findings';
import { connection } from 'next/server';
import { CardSteps } from '@/app/_components/card-steps';
import { FootLine } from '@/app/_components/foot-line';
import { loadJob } from '@/app/_components/load-job';
import { PrintChoice } from '@/app/_components/print-choice';
import { idFrom } from '@/app/_components/read-params';
import type { GaugeSpec } from '@/core/fit/gauges';
import { processCard, quoteOf } from '@/core/resin';
import { isUnchecked, listOpenLosses } from '@/subjects/part';
import { jointsOfPrint, listJoints, listTriedGaps } from '@/subjects/fit/mating';
import { gapStepsOfPrint, viewGapTest } from '@/subjects/fit/gauges';
import { listChecksDue, viewChecks } from '@/subjects/measure/calipers';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { canBuild, type JobView, partOfJob, type PrintView, viewFoot, viewPrint } from '@/subjects/job/jobs';
import { placeOfPrint } from '@/subjects/log';
import { sitDown } from '@/subjects/measure/readings';
import { viewControl } from '@/subjects/signature';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import { stateForSitting, viewChain } from '@/subjects/print/postprocess';
import { buttonLook, Link } from '@/ui';
import { BrokenNote } from './_components/broken-note';
import { JointBench } from './_components/joint-bench';
import { MeasuringBench } from './_components/measuring-bench';
import { PrintForm } from './_components/print-form';
import { PrintPanel } from './_components/print-panel';
import { GapStepBench } from './_components/gap-step-bench';
import { SessionPanel } from './_components/session-panel';

interface MeasurePageProps {
  readonly params: Promise<{ jobId: string }>;
  readonly searchParams: Promise<{ print?: string | string[] }>;
}

/** Measure: readings of a print by keyboard or caliper, joints and ladders tried by the hand. */
export default async function MeasurePage({ params, searchParams }: MeasurePageProps) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = await loadJob(jobId);
  const attempt = view.attempts.at(-1);
  if (attempt === undefined || view.current === undefined) return <NothingDrawn view={view} />;
  const wanted = Number((await searchParams).print);
  const print = attempt.prints.find(({ id }) => id === wanted) ?? attempt.prints.at(-1);
  const asked = {
    jobId,
    attemptId: attempt.id,
    simulated: sitDown(db, view).simulatedPrint,
    openFindings: listOpenLosses(db, view).map((finding) => describeFinding(finding).title),
    unchecked: isUnchecked(db, view),
    place: lastPlace(view),
    isGauge: view.job.kind === 'gauge',
    control: controlBeside(view),
  };
  if (print === undefined)
    return <PrintPanel {...asked} attemptNumber={attempt.number} files={canBuild(view)} />;
  return (
    <div className="space-y-6">
      <PrintChoice jobId={jobId} step="measure" prints={attempt.prints} shownId={print.id} />
      <OfPrint view={view} print={print} shown={viewPrint(db, view, attempt, print)} />
      <details id="again" className="border-t border-hair pt-2">
        <summary className="font-semibold">Print attempt {attempt.number} again</summary>
        <p className="mt-1 mb-2 max-w-prose text-sm text-soft">
          A second print of the same file separates the repeatable deviation of a feature from chance. One
          print cannot.
        </p>
        <PrintForm {...asked} again />
      </details>
    </div>
  );
}

/** Where the part stood on the plate in its newest print of which somebody said it. */
function lastPlace({ attempts }: JobView) {
  const print = attempts.flatMap(({ prints }) => prints).findLast(({ placeXMm }) => placeXMm !== null);
  return print === undefined ? undefined : { xMm: print.placeXMm!, yMm: print.placeYMm! };
}

/** The control piece that stands beside a part of this job; a gauge that is the control itself needs none. */
function controlBeside({ profile, job }: JobView): string | undefined {
  const control = profile && viewControl(bench().db, profile.profile.id);
  return control === undefined || control.jobId === job.id ? undefined : control.job;
}

interface OfPrintProps {
  readonly view: JobView;
  readonly print: JobView['attempts'][number]['prints'][number];
  readonly shown: PrintView;
}

/** What is measured on one print: steps of a gauge, joints by hand, sizes by caliper. */
function OfPrint({ view, print, shown }: OfPrintProps) {
  const { db } = bench();
  const { job } = view;
  const sitting = sitDown(db, view, print.id);
  if (job.gauge?.kind === 'joint')
    return <GapSteps view={view} gauge={job.gauge} print={print} simulated={sitting.simulatedPrint} />;
  const joints = jointsOfPrint(db, job.id, print.attemptId, print.id).filter(
    ({ gapMm }) => gapMm !== undefined,
  );
  const { open } = sitting;
  const foot = view.profile && viewFoot(db, view.profile.profile.id);
  return (
    <>
      {joints.length > 0 && (
        <JointBench
          key={`joints ${print.id}`}
          jobId={job.id}
          printId={print.id}
          printName={print.name}
          joints={joints}
        />
      )}
      {view.features.length > 0 && open === undefined && (
        <>
          <SessionPanel
            jobId={job.id}
            printId={print.id}
            instruments={sitting.instruments}
            checkDue={listChecksDue(db, benchHouse().caliperDays, new Date())}
            remembered={sitting.remembered}
            bySteps={stateForSitting(viewChain(db, view, print.id, benchHouse()), new Date())}
          />
          {view.profile !== undefined && <BeforeReading view={view} resinId={view.profile.resin.id} />}
        </>
      )}
      {view.features.length > 0 && open !== undefined && (
        <MeasuringBench
          key={`sizes ${print.id}`}
          jobId={job.id}
          printId={print.id}
          printName={print.name}
          {...withControl(view, shown)}
          checkedJaws={shown.checkedJaws}
          pieces={viewChecks(db, open.instrument.id).flatMap(({ jaw, ...piece }) =>
            jaw === 'depth' ? [] : [{ jaw, ...piece }],
          )}
          session={{ ...open.session, instrument: open.instrument }}
          rule={job.rule}
          expansionStated={isExpansionStated(view)}
          simulated={sitting.simulatedPrint && open.instrument.simulatedSeed !== null}
          part={partOfJob(view)}
        />
      )}
      {foot !== undefined && <FootLine foot={foot} />}
      <BrokenNote key={`broken ${print.id}`} jobId={job.id} printId={print.id} note={print.brokenNote} />
      <FailedLink printId={print.id} />
    </>
  );
}

/** A print that failed somewhere is noted on its plate, with its place and layer. */
function FailedLink({ printId }: { printId: number }) {
  const place = placeOfPrint(bench().db, printId);
  if (place === undefined) return null;
  return (
    <p className="mt-2 text-sm">
      <Link href={`/runs/${place.runId}?failed=${place.pieceId}#failed-title`} className="underline">
        Part of this print failed
      </Link>
    </p>
  );
}

/** The sizes of the part and, last, the control feature that stood beside it, with how it came out. */
function withControl(view: JobView, { features, control, printId }: PrintView) {
  if (control === undefined || view.profile === undefined) return { features };
  const points = viewControl(bench().db, view.profile.profile.id)?.points ?? [];
  const z = points.find((point) => point.printId === printId)?.z;
  return { features: [...features, control], control: { id: control.id, z } };
}

/** Whether the resin's sheet says how it grows with warmth; else the usual figure is taken. */
function isExpansionStated({ profile }: JobView): boolean {
  return profile !== undefined && quoteOf(profile.resin.sheet, 'expansion_um_mK') !== undefined;
}

/** What the print goes through before it is read: a warm or half-washed part measures something else. */
function BeforeReading({ view, resinId }: { view: JobView; resinId: number }) {
  const shelved = findShelved(bench().db, resinId);
  if (shelved === undefined) return null;
  const partFacts = partFactsOf(bench().db, view);
  return (
    <details className="mt-6 max-w-2xl">
      <summary className="font-semibold">Post-processing: {shelved.resin.name}</summary>
      <CardSteps steps={processCard(resinFile(shelved), benchHouse().schools, partFacts)} />
    </details>
  );
}

interface GapStepsProps {
  readonly view: JobView;
  readonly gauge: Extract<GaugeSpec, { kind: 'joint' }>;
  readonly print: { readonly id: number; readonly name: string };
  readonly simulated: boolean;
}

/** A gap test of joints is tried by hand, step by step. */
function GapSteps({ view, gauge, print, simulated }: GapStepsProps) {
  const { db } = bench();
  const { joint, direction, stepsMm } = gauge;
  const all = listTriedGaps(db).filter(
    (rung) => rung.profileId === view.job.profileId && rung.joint === joint && rung.direction === direction,
  );
  const { summary, note, curve } = viewGapTest(all);
  return (
    <GapStepBench
      jobId={view.job.id}
      key={print.id}
      printId={print.id}
      printName={print.name}
      joint={joint}
      direction={direction}
      stepsMm={stepsMm}
      outcomes={Object.fromEntries(gapStepsOfPrint(db, print.id))}
      ladder={{ summary, note, curve }}
      otherRungs={all.filter((rung) => rung.printId !== print.id).length}
      simulated={simulated}
    />
  );
}

function NothingDrawn({ view }: { view: JobView }) {
  const { db } = bench();
  const isEmpty = view.features.length + listJoints(db, view.job.id).length === 0;
  const step = isEmpty ? 'need' : 'correct';
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">No attempt yet</h2>
      <p className="mt-2 text-soft">
        {step === 'need'
          ? 'Enter the sizes that matter first. You take readings feature by feature.'
          : 'Start the first attempt in Correct. It already allows for what this printer is expected to do.'}
      </p>
      <Link href={`/jobs/${view.job.id}/${step}`} className={`${buttonLook('large')} mt-4`}>
        {step === 'need' ? 'Enter sizes' : 'Start first attempt'}
      </Link>
    </div>
  );
}
