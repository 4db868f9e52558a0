'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { Download } from 'lucide-react';
import { useState } from 'react';
import type { AnchoredFeature, PartCorrection } from '@/core/part/mesh';
import { type FormAnswer } from '@/subjects/kit/shared';
import { describeMeasureIssue, describeMeshIssue } from '@/subjects/workshop/records/shared';
import { ActionForm, Button, PlainChoice, Problem, TextField } from '@/ui';
import { type CorrectedPart, MeshWorker, type ResinTestLine, Stopped } from '@/workers';
import { expectOfFile, printCorrected } from '../actions';
import { attemptForm } from '@/subjects/job/correct/shared';

interface MeshCorrectionMethodProps {
  readonly jobId: number;
  readonly jobName: string;
  readonly meshHash: string;
  readonly by: PartCorrection;
  /** Whether its lowest face stands on the plate; undefined while the print setup is unknown. */
  readonly onPlate: boolean | undefined;
  readonly features: readonly (AnchoredFeature & { readonly name: string })[];
  readonly unplaced: readonly string[];
  /** Leg of a chamfer against the measured elephant's foot; undefined if it is not significant. */
  readonly chamferMm?: number;
  /** Undefined while an attempt waits for its print. */
  readonly nextNumber: number | undefined;
}

type Work =
  | { readonly kind: 'idle' }
  | { readonly kind: 'working'; readonly stop: () => void }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly part: CorrectedPart; readonly expected: readonly ExpectedSize[] };

type ExpectedSize = Awaited<ReturnType<typeof expectOfFile>>[number];

async function correctFile(
  worker: MeshWorker,
  { jobId, meshHash, by, onPlate, features, chamferMm }: MeshCorrectionMethodProps,
): Promise<Work> {
  const response = await fetch(`/api/meshes/${meshHash}`);
  if (!response.ok) return { kind: 'failed', message: 'The part file is missing. Import it again in Need.' };
  const loaded = await worker.load(new Uint8Array(await response.arrayBuffer()), () => {});
  if (!loaded.ok) return { kind: 'failed', message: describeMeshIssue(loaded.issue) };
  const part = await worker.correct({ by, onPlate, chamferMm }, features);
  return { kind: 'ready', part, expected: await expectOfFile(jobId, part.sizes) };
}

/** Corrects the whole file instead of its sizes: scale, skew, edges and hanging faces at once. */
export function MeshCorrectionMethod(props: MeshCorrectionMethodProps) {
  const [work, setWork] = useState<Work>({ kind: 'idle' });
  const [takesFoot, setTakesFoot] = useState(true);
  const canTakeFoot = props.chamferMm !== undefined && props.onPlate !== false;
  const correct = () => {
    const worker = new MeshWorker();
    setWork({ kind: 'working', stop: () => worker.stop() });
    correctFile(worker, { ...props, chamferMm: canTakeFoot && takesFoot ? props.chamferMm : undefined })
      .then(setWork, (error: Error) =>
        setWork(
          error instanceof Stopped
            ? { kind: 'idle' }
            : { kind: 'failed', message: 'The file could not be corrected. Try again.' },
        ),
      )
      .finally(() => worker.stop());
  };
  return (
    <section aria-labelledby="lever-title">
      <h2 id="lever-title" className="text-lg">
        Correct the whole file
      </h2>
      <p className="text-sm text-soft">
        Corrects scale, skew, edge growth, overhanging faces and the closing of recognised holes and slots in
        the imported file. Use either this or corrected drawn sizes, never both for the same error.
      </p>
      <p className="mt-1 text-sm">
        {props.onPlate === undefined
          ? 'Assumes that the part stands on the plate. If this is wrong, change the support in Check.'
          : props.onPlate
            ? 'Its lowest face stands on the plate (set in Check).'
            : 'It is on supports (set in Check), so no face has an elephant’s foot.'}
      </p>
      {canTakeFoot && (
        <label className="mt-1 flex items-center gap-2">
          <input
            type="checkbox"
            checked={takesFoot}
            onChange={(event) => setTakesFoot(event.target.checked)}
            className="size-4"
          />
          <span>
            Also remove the elephant’s foot: chamfer{' '}
            <span className="num">{formatMm(props.chamferMm ?? 0, 3)} mm</span> on the lower edges
          </span>
        </label>
      )}
      <div className="mt-2 flex items-center gap-3">
        <Button onClick={correct} disabled={work.kind === 'working'}>
          Correct file
        </Button>
        {work.kind === 'working' && (
          <>
            <progress aria-label="Correcting the file" />
            <Button onClick={work.stop}>Stop</Button>
          </>
        )}
      </div>
      {work.kind === 'failed' && <Problem>{work.message}</Problem>}
      {work.kind === 'ready' && <Corrected {...props} part={work.part} expected={work.expected} />}
    </section>
  );
}

function Corrected({
  part,
  expected,
  jobId,
  jobName,
  meshHash,
  features,
  unplaced,
  nextNumber,
}: MeshCorrectionMethodProps & { part: CorrectedPart; expected: readonly ExpectedSize[] }) {
  const nameOf = (id: number) => features.find((feature) => feature.id === id)?.name ?? '';
  const file = new Blob([part.stl], { type: 'model/stl' });
  const save = () => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = `${jobName} corrected.stl`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  };
  const start = async (before: FormAnswer, data: FormData): Promise<FormAnswer> => {
    if (data.get('which') === 'asIs') {
      const sizes = part.sizes.map(({ id, beforeMm }) => ({ id, afterMm: beforeMm }));
      return printCorrected(jobId, { hash: meshHash, sizes }, before, data);
    }
    const response = await fetch(
      `/api/jobs/${jobId}/part?attempt&name=${encodeURIComponent(`${jobName} corrected.stl`)}`,
      { method: 'POST', body: file },
    );
    const answer = (await response.json()) as { hash?: string; message?: string };
    if (answer.hash === undefined)
      return { ok: false, message: answer.message ?? 'The file was not saved. Try again.' };
    return printCorrected(jobId, { hash: answer.hash, sizes: part.sizes }, before, data);
  };
  return (
    <div className="mt-3">
      <table className="w-full text-sm">
        <caption className="text-left text-soft">
          Sizes measured in both files, and the expected print of the corrected file
        </caption>
        <thead>
          <tr className="text-left text-soft">
            <th className="font-normal">Feature</th>
            <th className="font-normal">original</th>
            <th className="font-normal">asked</th>
            <th className="font-normal">found</th>
            <th className="font-normal">deviation</th>
            <th className="font-normal">expected print</th>
            <th className="text-right font-normal">chance within</th>
          </tr>
        </thead>
        <tbody>
          {part.sizes.map(({ id, beforeMm, askedMm, afterMm }) => (
            <tr key={id} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-semibold">
                {nameOf(id)}
              </th>
              <td className="num py-1">{formatMm(beforeMm, 3)}</td>
              <td className="num py-1">{formatMm(askedMm, 3)}</td>
              <td className="num py-1 font-semibold text-juniper">{formatMm(afterMm, 3)}</td>
              <td className="num py-1">{microns(afterMm - askedMm)}</td>
              <ExpectedCells expected={expected.find((each) => each.id === id)} />
            </tr>
          ))}
        </tbody>
      </table>
      <ResinTests proofs={part.proofs} />
      {unplaced.length > 0 && (
        <p className="mt-1 text-sm">
          Not placed on the part, so not measured: {unplaced.join(', ')}. These sizes are unchanged.
        </p>
      )}
      {part.notFound.map(({ id, issue }) => (
        <p key={id} className="mt-1 text-sm">
          {nameOf(id)}: {describeMeasureIssue(issue)}
        </p>
      ))}
      {part.crossedFacets === undefined && (
        <p className="mt-1 text-sm">Too many facets to search for self-intersections.</p>
      )}
      {((part.crossedFacets ?? 0) > 0 || !part.watertight) && (
        <Problem>
          {(part.crossedFacets ?? 0) > 0
            ? `${part.crossedFacets} facets now intersect: a wall or a gap is thinner than its correction. Draw it thicker, or correct only its size. `
            : ''}
          {part.watertight ? '' : 'The file is not watertight.'}
        </Problem>
      )}
      <Button onClick={save} className="mt-3">
        <Download size={16} aria-hidden /> Save corrected STL
      </Button>
      {nextNumber !== undefined && (
        <ActionForm
          form={attemptForm}
          action={start}
          label={`Start attempt ${nextNumber} with a file`}
          className="mt-3 grid gap-2"
        >
          <PlainChoice
            name="which"
            label="File to print"
            choices={[
              { value: 'corrected', label: 'the corrected file' },
              { value: 'asIs', label: 'the imported file' },
            ]}
          />
          <TextField name="reason" />
          <Button type="submit" className="justify-self-start">
            Start attempt {nextNumber} with this file
          </Button>
        </ActionForm>
      )}
    </div>
  );
}

const microns = (mm: number) => `${formatSigned(1000 * mm, 0)} µm`;

const SORT_WORDS: Readonly<Record<ResinTestLine['sort'], string>> = {
  width: 'width',
  slot: 'slot',
  height: 'height',
  hole: 'hole',
  shaft: 'shaft',
  pitch: 'pitch',
};

/** A correction counts as done if the resulting size is within this of the wanted one, mm. */
const PROVEN_MM = 0.002;

/** Recognised features with their wanted and resulting size: shows that the correction worked. */
function ResinTests({ proofs }: { proofs: readonly ResinTestLine[] }) {
  if (proofs.length === 0)
    return (
      <p className="mt-2 text-sm">No size was recognised in the file, so the correction is not verified.</p>
    );
  const off = proofs.filter(
    ({ askedMm, afterMm }) => afterMm === undefined || Math.abs(afterMm - askedMm) > PROVEN_MM,
  );
  return (
    <details className="mt-2" open={off.length > 0}>
      <summary className="text-sm">
        {off.length === 0
          ? `All ${proofs.length} sizes recognised in the file are within 2 µm of the request`
          : `${off.length} of the ${proofs.length} sizes recognised in the file are more than 2 µm off, or were not found again`}
      </summary>
      <div
        className="max-h-64 overflow-y-auto"
        tabIndex={0}
        role="region"
        aria-label="Verification of the correction"
      >
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left text-soft">
              <th className="font-normal">Recognised</th>
              <th className="font-normal">original</th>
              <th className="font-normal">asked</th>
              <th className="font-normal">found</th>
              <th className="text-right font-normal">deviation</th>
            </tr>
          </thead>
          <tbody>
            {[...off, ...proofs.filter((proof) => !off.includes(proof))].map((proof, i) => (
              <tr key={i} className="border-b border-hair">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {SORT_WORDS[proof.sort]}
                </th>
                <td className="num py-0.5">{formatMm(proof.nominalMm, 3)}</td>
                <td className="num py-0.5">{formatMm(proof.askedMm, 3)}</td>
                <td className="num py-0.5">
                  {proof.afterMm === undefined ? 'not found' : formatMm(proof.afterMm, 3)}
                </td>
                <td
                  className={`num py-0.5 text-right ${off.includes(proof) ? 'font-semibold text-plum' : ''}`}
                >
                  {proof.afterMm === undefined ? '' : microns(proof.afterMm - proof.askedMm)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

function ExpectedCells({ expected }: { expected: ExpectedSize | undefined }) {
  if (expected === undefined) return <td colSpan={2} />;
  return (
    <>
      <td className="num py-1">
        {formatMm(expected.predictedMm, 3)} ± {formatMm(halfWidth95(expected.sdMm), 3)}
      </td>
      <td className="num py-1 text-right">{formatChance(expected.inTolerance)}</td>
    </>
  );
}
