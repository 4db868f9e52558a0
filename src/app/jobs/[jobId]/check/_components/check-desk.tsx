'use client';

import { useEffect, useMemo, useState } from 'react';
import { PartDrop } from '@/app/_components/part-drop';
import { type Clock, liftOf } from '@/core/findings';
import { middleOfLayer } from '@/core/layers';
import { describeStance } from '@/subjects/check/shared';
import type { JobPart } from '@/subjects/job';
import { Button, Link, PartFacts, PartStage, Problem, Tabs } from '@/ui';
import type { CheckAsk } from '@/workers';
import { keepFindings } from '../actions';
import { FeaturePicker } from './feature-picker';
import { FindingsList, type Verdicts } from './findings-list';
import { LayerPanel } from './layer-panel';
import { LimitsTable } from './limits-table';
import { MendPanel } from './mend-panel';
import { PoseStudy } from './pose-study';
import { ScaleStudy } from './scale-study';
import { StanceForm } from './stance-form';
import { useCheck } from './use-check';
import { useSlice } from './use-slice';

interface CheckDeskProps {
  readonly jobId: number;
  readonly part: JobPart;
  readonly ask: CheckAsk;
  readonly verdicts: Verdicts;
  readonly printer: string | undefined;
}

/** The part read as the printer will: findings beside its layers, then poses, sizes and features. */
export function CheckDesk({ jobId, part, ask, verdicts, printer }: CheckDeskProps) {
  const { opened, found, worker, busy, problem, stop } = useCheck(part, ask);
  const [layer, setLayer] = useState<number | undefined>();
  const [active, setActive] = useState<number | undefined>();
  const [picking, setPicking] = useState<((place: [number, number, number]) => void) | undefined>();
  const findings = useMemo(() => found?.findings ?? [], [found]);
  useEffect(() => {
    if (found?.whole !== true) return;
    const { stance, limits } = ask;
    void keepFindings(jobId, { source: part.key, stance, layerMm: limits.layerMm, findings: found.findings });
    // Kept once a whole reading: the answer refreshes the page and brings a new `ask` that says the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [found]);
  const callouts = useMemo(
    () =>
      findings.flatMap(({ atMm }, i) =>
        atMm === undefined ? [] : { id: i, label: String(i + 1), anchorMm: atMm },
      ),
    [findings],
  );
  const show = (index: number) => {
    setActive(index);
    const at = findings[index].layer;
    if (at !== undefined) setLayer(at);
  };
  const clock: Clock = {
    layerMm: ask.limits.layerMm,
    layerSeconds: ask.limits.layerSeconds.value,
    liftMm: liftOf(ask.stance),
  };
  const shown = found === undefined ? 0 : Math.min(layer ?? Infinity, found.reading.count - 1);
  const contours = useSlice(worker, found?.reading, shown);
  const cut = useMemo(
    () =>
      found === undefined || layer === undefined
        ? undefined
        : { atMm: middleOfLayer(found.reading, layer), contours },
    [found, layer, contours],
  );
  return (
    <div className="space-y-6">
      <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_minmax(20rem,26rem)]">
        <div className="min-w-0 xl:sticky xl:top-2 xl:self-start">
          <div className="h-72 bg-sheet">
            {opened !== undefined && (
              <PartStage
                corners={opened.corners}
                bounds={opened.check.bounds}
                callouts={callouts}
                activeId={active}
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
              clock={clock}
              pixelMm={ask.limits.pixelMm.value}
              layer={shown}
              onLayer={setLayer}
              contours={contours}
            />
          )}
        </div>
        <section aria-labelledby="findings-title" className="order-first min-w-0 xl:order-none">
          <h2 id="findings-title" className="text-lg">
            What it will cost as it is
          </h2>
          <details className="text-sm">
            <summary>
              Stands {describeStance(ask.stance)}; printed on {printer ?? 'no printer chosen yet'}
            </summary>
            <div className="mt-2 mb-3 border-l-2 border-hair pl-3">
              <StanceForm jobId={jobId} stance={ask.stance} />
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
              onShow={show}
            />
          )}
          {found?.whole === true && (
            <p className="mt-4">
              <Link href={`/jobs/${jobId}/measure`} className="font-semibold text-juniper underline">
                Go on to Measure
              </Link>
            </p>
          )}
        </section>
      </div>
      {found?.whole === true && opened !== undefined && worker !== undefined && (
        <div className="min-w-0">
          <Tabs
            label="Before it is printed"
            tabs={[
              {
                id: 'features',
                label: 'Features on it',
                content: (
                  <FeaturePicker jobId={jobId} worker={worker} onPicking={(pick) => setPicking(() => pick)} />
                ),
              },
              {
                id: 'poses',
                label: 'Orientation',
                content: <PoseStudy jobId={jobId} worker={worker} ask={ask} />,
              },
              {
                id: 'scale',
                label: 'Scale',
                content: <ScaleStudy check={opened.check} reading={found.reading} ask={ask} />,
              },
              {
                id: 'mend',
                label: 'Mend',
                content: <MendPanel jobId={jobId} worker={worker} check={opened.check} />,
              },
            ]}
          />
        </div>
      )}
    </div>
  );
}
