'use client';

import { formatMm } from '@/core/kit/wording';
import { Chart as ChartJs, type ChartOptions, LinearScale, PointElement } from 'chart.js';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import type { OrientationWorth } from '@/core/part/findings';
import { describeFits, describeOrientation } from '@/subjects/part/shared';
import { Button, Problem, titledAxis, useInk, QUIET_CHART } from '@/ui';
import type { CheckAsk, CheckWorker } from '@/workers';
import { sendPart } from './send-part';

ChartJs.register(LinearScale, PointElement);

interface OrientationStudyProps {
  readonly jobId: number;
  readonly worker: CheckWorker;
  readonly ask: CheckAsk;
  /** Called with what the turn did to the features. */
  readonly onTurned: (said: string | undefined) => void;
}

/** The usual orientations and one found by search, as a table and a chart; the chosen one is then read in full. */
export function OrientationStudy({ jobId, worker, ask, onTurned }: OrientationStudyProps) {
  const router = useRouter();
  const [share, setShare] = useState<number | undefined>();
  const [worths, setWorths] = useState<readonly OrientationWorth[]>([]);
  const [problem, setProblem] = useState<string | undefined>();
  const study = () => {
    setShare(0);
    worker
      .study(ask, setShare)
      .then(setWorths, () => setProblem('The comparison was stopped. Reload the page to compare again.'))
      .finally(() => setShare(undefined));
  };
  const turn = async ({ pose }: OrientationWorth) => {
    const { stl, rotation, liftMm } = await worker.turn(pose.up);
    const name = `turned, ${describeOrientation(pose.name)}.stl`;
    const { refusal, said } = await sendPart(jobId, stl, name, { rotation, liftMm });
    setProblem(refusal);
    if (refusal !== undefined) return;
    onTurned(said);
    router.refresh();
  };
  return (
    <div>
      <p className="text-sm text-soft">
        Orientations are compared on coarse layers. The one you choose is then read in full. Features turn
        with the part for the next print. Prints you already made keep their direction.
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
          <OrientationChart worths={worths} />
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
                    'Orientation',
                    'Height',
                    'Hours',
                    'Largest layer',
                    'Supported',
                    'visible part of it',
                    'Cups',
                    'Islands',
                    'Along Z',
                    'Fits',
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
                  <OrientationRow
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
            Along Z: the sizes that run through the layers and so print in whole layers. Counts sizes of the
            job, or sizes found on the part if the job has none.
          </p>
        </>
      )}
    </div>
  );
}

interface OrientationRowProps {
  readonly worth: OrientationWorth;
  readonly first: boolean;
  /** Visible faces were named in Need. */
  readonly hasSeen: boolean;
  readonly onTurn: () => void;
}

function OrientationRow({ worth, first, hasSeen, onTurn }: OrientationRowProps) {
  const { pose, heightMm, hours, peakMm2, supportedMm2, seenMm2, cups, islands, alongZ, fits } = worth;
  const name = describeOrientation(pose.name);
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
            Use this orientation<span className="sr-only">: {name}</span>
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Hours against the largest layer: what costs time against what pulls. */
function OrientationChart({ worths }: { worths: readonly OrientationWorth[] }) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-56" />;
  const points = (of: (worth: OrientationWorth) => boolean) =>
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
          aria-label="Print hours and largest layer of each orientation. The table has the numbers"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Diamonds have a suction cup, dots do not. Lower left is gentler and faster.
      </figcaption>
    </figure>
  );
}
