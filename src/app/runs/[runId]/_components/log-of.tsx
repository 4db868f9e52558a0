import { FAILURE_WORDS } from '@/core/log';
import { Pictures } from '@/app/_components/pictures';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { listFailuresOf, viewCase } from '@/subjects/log';
import { listPicturesOfRun } from '@/subjects/job/need';
import type { RunView } from '@/subjects/print/plate';
import { FailureDesk } from './failure-desk';
import type { ShownPiece } from './plate-drawing';
import { WhyPanel } from './why-panel';

interface LogOfProps {
  readonly view: RunView;
  readonly pieces: readonly ShownPiece[];
  /** The piece that somebody came to note as failed; NaN: none. */
  readonly failedPiece: number;
}

/** What came off, well or failed, and why. */
export function LogOf({ view, pieces, failedPiece }: LogOfProps) {
  const { run, bed, items } = view;
  const { printer } = view.row;
  const isSimulated = printer.simulatedSeed !== null;
  const failed = viewCase(bench().db, run.id, benchHouse());
  const labels = new Map(pieces.map(({ id, label }) => [id, label]));
  const plan = run.plan;
  return (
    <>
      <FailureDesk
        runId={run.id}
        bed={bed}
        pieces={pieces}
        layered={
          plan === null
            ? undefined
            : { layers: plan.layers, layerMm: view.row.profile.layerMm, plannedS: plan.plannedS }
        }
        failures={listFailuresOf(bench().db, run.id).map(({ id, pieceId, kind, layer }) => ({
          id,
          pieceId: pieceId ?? undefined,
          text: `${pieceId === null ? 'Whole plate' : (labels.get(pieceId) ?? 'A piece')}: ${FAILURE_WORDS[kind]}${layer === null ? '' : `, layer ${layer}`}`,
        }))}
        isWell={run.wellAt !== null}
        isSimulated={isSimulated}
        parts={Object.fromEntries(
          items.flatMap(({ part, liftMm = 0 }, thing) =>
            part === undefined ? [] : [[thing, { source: part.source, liftMm }]],
          ),
        )}
        startWith={pieces.some(({ id }) => id === failedPiece) ? failedPiece : undefined}
      />
      {failed !== undefined && items.length > 0 && (
        <div className="lg:col-span-2">
          <WhyPanel view={failed} simulated={isSimulated ? { ails: printer.trouble !== null } : undefined} />
        </div>
      )}
      {items.length > 0 && (
        <div className="lg:col-span-2">
          <Pictures
            jobId={items[0].job.id}
            runId={run.id}
            title="Photos of the result"
            pictures={listPicturesOfRun(bench().db, run.id).map(({ id, caption }) => ({ id, caption }))}
          />
        </div>
      )}
    </>
  );
}
