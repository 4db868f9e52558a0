'use client';

import { Chart as ChartJs, type ChartOptions, LinearScale, PointElement } from 'chart.js';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import type { PoseWorth } from '@/core/findings';
import { describeFits, describePose } from '@/subjects/check/shared';
import { formatMm } from '@/subjects/language/shared';
import { Button, Problem, titledAxis, useInk, QUIET_CHART } from '@/ui';
import type { CheckAsk, CheckWorker } from '@/workers';
import { sendPart } from './send-part';

ChartJs.register(LinearScale, PointElement);

interface PoseStudyProps {
  readonly jobId: number;
  readonly worker: CheckWorker;
  readonly ask: CheckAsk;
  /** Called with what the turn did to the features. */
  readonly onTurned: (said: string | undefined) => void;
}

/** The poses usually tried and the one a search finds, as a table and a chart; the chosen one is then read in full. */
export function PoseStudy({ jobId, worker, ask, onTurned }: PoseStudyProps) {
  const router = useRouter();
  const [share, setShare] = useState<number | undefined>();
  const [worths, setWorths] = useState<readonly PoseWorth[]>([]);
  const [problem, setProblem] = useState<string | undefined>();
  const study = () => {
    setShare(0);
    worker
      .study(ask, setShare)
      .then(setWorths, () => setProblem('The comparison was stopped. Load the page again to compare.'))
      .finally(() => setShare(undefined));
  };
  const turn = async ({ pose }: PoseWorth) => {
    const { stl, rotation, liftMm } = await worker.turn(pose.up);
    const name = `turned, ${describePose(pose.name)}.stl`;
    const { refusal, said } = await sendPart(jobId, stl, name, { rotation, liftMm });
    setProblem(refusal);
    if (refusal !== undefined) return;
    onTurned(said);
    router.refresh();
  };
  return (
    <div>
      <p className="text-sm text-soft">
        Poses are compared on coarse layers; the one you choose is then read in full. Features turn with the
        part for what you print next. What is printed already keeps the direction it was printed in.
      </p>
      <div className="mt-2 flex items-center gap-3">
        <Button onClick={study} disabled={share !== undefined}>
          Compare orientations
        </Button>
        {share !== undefined && (
          <>
            <progress value={share} aria-label="Comparing orientations" />
            <Button onClick={() => worker.stop()}>Stop</Button>
          </>
        )}
      </div>
      {problem !== undefined && <Problem>{problem}</Problem>}
      {worths.length > 0 && (
        <>
          <PoseChart worths={worths} />
          <div
            className="relative overflow-x-auto"
            tabIndex={0}
            role="region"
            aria-label="Orientations compared"
          >
            <table className="w-full text-sm">
              <thead>
                <tr className="text-left text-soft">
                  {[
                    'Pose',
                    'Height',
                    'Hours',
                    'Largest layer',
                    'Supported',
                    'of it seen',
                    'Cups',
                    'Islands',
                    'Along Z',
                    'Goes into',
                    '',
                  ].map((name) => (
                    <th key={name} scope="col" className="pr-3 font-normal">
                      {name === '' ? <span className="sr-only">Choose</span> : name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {worths.map((worth, i) => (
                  <PoseRow
                    key={i}
                    worth={worth}
                    first={i === 0}
                    hasSeen={ask.seen.length > 0}
                    onTurn={() => void turn(worth)}
                  />
                ))}
              </tbody>
            </table>
          </div>
          <p className="mt-1 text-sm text-soft">
            Along Z: sizes that matter, of the job or else found on the part, that run through the layers
            there: they come in whole layers.
          </p>
        </>
      )}
    </div>
  );
}

interface PoseRowProps {
  readonly worth: PoseWorth;
  readonly first: boolean;
  /** Seen faces were named, under Need. */
  readonly hasSeen: boolean;
  readonly onTurn: () => void;
}

function PoseRow({ worth, first, hasSeen, onTurn }: PoseRowProps) {
  const { pose, heightMm, hours, peakMm2, supportedMm2, seenMm2, cups, islands, alongZ, fits } = worth;
  const name = describePose(pose.name);
  return (
    <tr className="border-b border-hair whitespace-nowrap">
      <th scope="row" className="py-1 pr-3 text-left font-semibold">
        {name}
      </th>
      <td className="num pr-3">{formatMm(heightMm, 1)}</td>
      <td className="num pr-3">{hours.toFixed(1)}</td>
      <td className="num pr-3">{peakMm2.toFixed(0)} mm²</td>
      <td className="num pr-3">{supportedMm2.toFixed(0)} mm²</td>
      <td className="num pr-3">{hasSeen ? `${seenMm2.toFixed(0)} mm²` : '–'}</td>
      <td className="num pr-3">{cups}</td>
      <td className="num pr-3">{islands}</td>
      <td className="num pr-3">{alongZ}</td>
      <td className="pr-3">{describeFits(fits)}</td>
      <td>
        {!first && (
          <Button onClick={onTurn}>
            Turn it so<span className="sr-only">: {name}</span>
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Hours against the largest layer: what costs time against what pulls. */
function PoseChart({ worths }: { worths: readonly PoseWorth[] }) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-56" />;
  const points = (of: (worth: PoseWorth) => boolean) =>
    worths.filter(of).map(({ hours, peakMm2 }) => ({ x: hours, y: peakMm2 }));
  const data = {
    datasets: [
      { data: points(({ cups }) => cups === 0), backgroundColor: ink.juniper, pointRadius: 6 },
      {
        data: points(({ cups }) => cups > 0),
        backgroundColor: ink.plum,
        pointRadius: 7,
        pointStyle: 'rectRot' as const,
      },
    ],
  };
  const options: ChartOptions<'scatter'> = {
    ...QUIET_CHART,
    scales: {
      x: {
        min: 0,
        ...titledAxis(ink, 'hours'),
      },
      y: {
        min: 0,
        ...titledAxis(ink, 'largest layer, mm²'),
      },
    },
  };
  return (
    <figure className="my-2">
      <div className="h-56">
        <Scatter
          data={data}
          options={options}
          role="img"
          aria-label="Hours against the largest layer of each pose; the table has the numbers"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Diamonds have a cup, dots none; low and left is gentle and quick.
      </figcaption>
    </figure>
  );
}
