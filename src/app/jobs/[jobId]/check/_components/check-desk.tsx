'use client';

import { useState } from 'react';
import { PartDrop } from '@/app/_components/part-drop';
import { describePrintSetup } from '@/subjects/part/shared';
import type { JobPart } from '@/subjects/job/jobs';
import { Button, Link, Note, PartFacts, PartStage, Problem, Tabs } from '@/ui';
import type { CheckAsk } from '@/workers';
import { FeaturePicker } from './feature-picker';
import { FindingsList, type Verdicts } from './findings-list';
import { LayerPanel } from './layer-panel';
import { LimitsTable } from './limits-table';
import { RepairPanel } from './repair-panel';
import { OrientationStudy } from './orientation-study';
import { ScaleStudy } from './scale-study';
import { PrintSetupForm } from './print-setup-form';
import { useCheckDesk } from './use-check-desk';

interface CheckDeskProps {
  readonly jobId: number;
  readonly part: JobPart;
  readonly ask: CheckAsk;
  readonly verdicts: Verdicts;
  readonly printer: string | undefined;
}

interface PartProps extends CheckDeskProps {
  /** Called with what a turn of the part did to its features. */
  readonly onTurned: (said: string | undefined) => void;
}

interface DeskProps extends PartProps {
  readonly desk: ReturnType<typeof useCheckDesk>;
}

/** The part as it is now; another file or print setup is read again, and the message about a rotation stays. */
export function CheckDesk(props: CheckDeskProps) {
  const [said, setSaid] = useState<string | undefined>();
  const { part, ask } = props;
  return (
    <div className="space-y-4">
      {said !== undefined && <Note>{said}</Note>}
      <PartOnDesk key={`${part.key} ${JSON.stringify(ask.stance)}`} {...props} onTurned={setSaid} />
    </div>
  );
}

/** The part read as the printer will print it: findings beside its layers, then orientations, sizes and features. */
function PartOnDesk(props: PartProps) {
  const desk = useCheckDesk(props.jobId, props.part, props.ask);
  return (
    <div className="space-y-6">
      <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_minmax(20rem,26rem)]">
        <PartInLayers {...props} desk={desk} />
        <WhatItCosts {...props} desk={desk} />
      </div>
      <BeforeItIsPrinted {...props} desk={desk} />
    </div>
  );
}

/** The part on its plate, cut at the layer that is looked at, with the layers below it. */
function PartInLayers({ ask, desk }: DeskProps) {
  const { opened, found, busy, problem, stop, callouts, active, show, cut, picking } = desk;
  return (
    <div className="min-w-0 xl:sticky xl:top-2 xl:self-start">
      <div className="h-72 bg-sheet">
        {opened !== undefined && (
          <PartStage
            corners={opened.corners}
            bounds={opened.check.bounds}
            callouts={callouts}
            activeId={active}
            onChoose={picking === undefined ? show : undefined}
            cut={cut}
            onPlace={picking}
          />
        )}
      </div>
      {opened !== undefined && <PartFacts check={opened.check} proxyFacets={opened.proxyFacets} />}
      {busy !== undefined && (
        <div className="mt-1 flex items-center gap-3" role="status">
          <progress value={busy.share} aria-label={busy.what} />
          <span className="text-sm text-soft">{busy.what} …</span>
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      {problem !== undefined && <Problem>{problem}</Problem>}
      {found !== undefined && (
        <LayerPanel
          found={found}
          clock={desk.clock}
          pixelMm={ask.limits.pixelMm.value}
          layer={desk.shown}
          onLayer={desk.setLayer}
          contours={desk.contours}
        />
      )}
    </div>
  );
}

/** How it stands, what it is held to, and the findings in the order of their cost. */
function WhatItCosts({ jobId, ask, verdicts, printer, desk: { found, clock, active, show } }: DeskProps) {
  return (
    <section aria-labelledby="findings-title" className="order-first min-w-0 xl:order-none">
      <h2 id="findings-title" className="text-lg">
        Findings for this orientation
      </h2>
      <details className="text-sm">
        <summary>
          Support: {describePrintSetup(ask.stance)}; printer: {printer ?? 'not chosen yet'}
        </summary>
        <div className="mt-2 mb-3 border-l-2 border-hair pl-3">
          <PrintSetupForm jobId={jobId} stance={ask.stance} />
          <LimitsTable limits={ask.limits} />
          <PartDrop jobId={jobId} hasPart />
        </div>
      </details>
      {found !== undefined && (
        <FindingsList
          jobId={jobId}
          found={found}
          clock={clock}
          verdicts={verdicts}
          activeIndex={active}
          tipMm={ask.limits.tipMm}
          onShow={show}
        />
      )}
      {found?.whole === true && (
        <p className="mt-4">
          <Link href={`/jobs/${jobId}/measure`} className="font-semibold text-juniper underline">
            Continue to print
          </Link>
        </p>
      )}
    </section>
  );
}

/** What can still be changed after the full reading: features, orientation, scale, repairs. */
function BeforeItIsPrinted({
  jobId,
  part,
  ask,
  onTurned,
  desk: { opened, found, worker, setPicking },
}: DeskProps) {
  if (found?.whole !== true || opened === undefined || worker === undefined) return null;
  const { check } = opened;
  const tabs = [
    {
      id: 'features',
      label: 'Features on the part',
      content: <FeaturePicker jobId={jobId} worker={worker} onPicking={(pick) => setPicking(() => pick)} />,
    },
    {
      id: 'poses',
      label: 'Orientation',
      content:
        part.correctedFor === undefined ? (
          <OrientationStudy jobId={jobId} worker={worker} ask={ask} onTurned={onTurned} />
        ) : (
          <IsCorrected jobId={jobId} attempt={part.correctedFor} />
        ),
    },
    {
      id: 'scale',
      label: 'Scale',
      content: <ScaleStudy check={check} reading={found.reading} ask={ask} />,
    },
    {
      id: 'mend',
      label: 'Repair',
      content:
        part.correctedFor === undefined ? (
          <RepairPanel jobId={jobId} worker={worker} check={check} />
        ) : (
          <IsCorrected jobId={jobId} attempt={part.correctedFor} />
        ),
    },
  ];
  return (
    <div className="min-w-0">
      <Tabs label="Before printing" tabs={tabs} />
    </div>
  );
}

/** A file that was corrected for the way it stands is not changed; the one it was made from is. */
function IsCorrected({ jobId, attempt }: { jobId: number; attempt: number }) {
  return (
    <p>
      This is the file of attempt {attempt}, corrected for the current orientation.{' '}
      <Link href={`/jobs/${jobId}/check?file=base`} className="font-semibold text-juniper underline">
        Check the imported part
      </Link>{' '}
      to turn or repair it for the next attempt.
    </p>
  );
}
