'use client';

import { formatMm } from '@/core/kit/wording';
import { Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type DragEvent, useRef, useState } from 'react';
import {
  type Bounds,
  guessUnits,
  LARGEST_FILE_BYTES,
  MESH_UNITS,
  type MeshUnit,
  MM_IN,
} from '@/core/part/mesh';
import { describeMeshIssue, UNIT_WORDS } from '@/subjects/workshop/records/shared';
import { Button, Note, Problem } from '@/ui';
import { Stopped, MeshWorker } from '@/workers';

/** Tells how far a file has come; stopping leaves what was there before. */
interface Arrival {
  readonly what: string;
  readonly share: number;
  readonly stop: () => void;
}

/** A part that can be kept, as STL; or why it cannot. */
type Checked = { readonly refusal: string } | { readonly part: Blob };

/** A file without units whose size says that it was not drawn in millimetres: asked before it is kept. */
interface UnitQuestion {
  readonly name: string;
  readonly bounds: Bounds;
  readonly answer: (unit: MeshUnit | undefined) => void;
}

/** Reads the file off the page's thread first: what is not a part is not sent, what is no STL becomes one. */
async function checkFirst(
  file: File,
  onArrival: (arrival: Arrival) => void,
  askUnit: (bounds: Bounds) => Promise<MeshUnit | undefined>,
): Promise<Checked> {
  if (file.size > LARGEST_FILE_BYTES)
    return {
      refusal: describeMeshIssue({ code: 'tooLarge', bytes: file.size, limitBytes: LARGEST_FILE_BYTES }),
    };
  const worker = new MeshWorker();
  try {
    const stop = () => worker.stop();
    onArrival({ what: 'Reading', share: 0, stop });
    const bytes = new Uint8Array(await file.arrayBuffer());
    const loaded = await worker.load(
      bytes,
      (share) => onArrival({ what: 'Reading', share, stop }),
      file.name,
    );
    if (!loaded.ok) return { refusal: describeMeshIssue(loaded.issue) };
    const { stl, check, units } = loaded.value;
    const unit =
      units === 'known' || guessUnits(check.bounds)[0] === 'mm' ? 'mm' : await askUnit(check.bounds);
    if (unit === undefined) throw new Stopped();
    if (unit !== 'mm') return { part: new Blob([await worker.scaled(MM_IN[unit])], { type: 'model/stl' }) };
    return { part: stl === undefined ? file : new Blob([stl], { type: 'model/stl' }) };
  } finally {
    worker.stop();
  }
}

/** What the bench answered: why it refused the file, or what the new part opened again. */
interface Sent {
  readonly refusal?: string;
  readonly said?: string;
}

/** Sends the file with progress; gives what the bench answered. */
function send(
  jobId: number,
  { part, name }: { readonly part: Blob; readonly name: string },
  onArrival: (arrival: Arrival) => void,
): Promise<Sent> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const stop = () => request.abort();
    request.open('POST', `/api/jobs/${jobId}/part?name=${encodeURIComponent(name)}`);
    request.upload.onprogress = ({ loaded }) =>
      onArrival({ what: 'Keeping', share: loaded / part.size, stop });
    request.onload = () => {
      const { message, said } = JSON.parse(request.responseText) as { message?: string; said?: string };
      resolve(request.status === 200 ? { said } : { refusal: message });
    };
    request.onerror = () => resolve({ refusal: 'The connection was lost. Drop the file again.' });
    request.onabort = () => reject(new Stopped());
    request.send(part);
  });
}

export function PartDrop({ jobId, hasPart }: { jobId: number; hasPart: boolean }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [arrival, setArrival] = useState<Arrival | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const [said, setSaid] = useState<string | undefined>();
  const [question, setQuestion] = useState<UnitQuestion | undefined>();
  const askUnit = (name: string) => (bounds: Bounds) => {
    setArrival(undefined);
    return new Promise<MeshUnit | undefined>((answer) => setQuestion({ name, bounds, answer })).finally(() =>
      setQuestion(undefined),
    );
  };
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    setProblem(undefined);
    setSaid(undefined);
    try {
      const checked = await checkFirst(file, setArrival, askUnit(file.name));
      const sent: Sent =
        'refusal' in checked
          ? checked
          : await send(jobId, { part: checked.part, name: file.name }, setArrival);
      setProblem(sent.refusal);
      setSaid(sent.said);
      if (sent.refusal === undefined) router.refresh();
    } catch (error) {
      setProblem(
        error instanceof Stopped ? 'Stopped. Nothing was changed.' : 'The file could not be read. Try again.',
      );
    } finally {
      setArrival(undefined);
    }
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    void take(event.dataTransfer.files[0]);
  };
  return (
    <div
      className="mt-3 border border-dashed border-edge p-3"
      onDragOver={(event) => event.preventDefault()}
      onDrop={onDrop}
    >
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => input.current?.click()}>
          <Upload size={16} aria-hidden /> {hasPart ? 'Replace file' : 'Import part'}
        </Button>
        <span className="text-sm text-soft">
          or drop it here: STL, OBJ, PLY (read as millimetres) or 3MF, up to 300 MB
        </span>
        <input
          ref={input}
          type="file"
          accept=".stl,.obj,.ply,.3mf"
          className="sr-only"
          aria-label="Part file"
          tabIndex={-1}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </div>
      {question !== undefined && <UnitChoice {...question} />}
      {arrival !== undefined && (
        <div className="mt-2 flex items-center gap-3">
          <progress value={arrival.share} aria-label={`${arrival.what} the file`} />
          <span className="text-sm text-soft">{arrival.what} …</span>
          <Button onClick={arrival.stop}>Stop</Button>
        </div>
      )}
      {said !== undefined && said !== '' && <Note>{said}</Note>}
      {problem !== undefined && (
        <div className="mt-2">
          <Problem>{problem}</Problem>
        </div>
      )}
    </div>
  );
}

/** Asks in which unit a file was drawn, with the size that each would make of it. */
function UnitChoice({ name, bounds, answer }: UnitQuestion) {
  const likely = guessUnits(bounds);
  const units = [...likely, ...MESH_UNITS.filter((unit) => !likely.includes(unit))];
  const sides = [0, 1, 2].map((axis) => bounds.max[axis] - bounds.min[axis]);
  return (
    <div className="mt-2" role="group" aria-label="Unit of the file">
      <p className="text-sm">
        {name} states no unit. Read as millimetres, the part is{' '}
        <span className="num">{sides.map((side) => formatMm(side, 3)).join(' × ')}</span> mm. Which unit was
        it drawn in?
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {units.map((unit) => (
          <Button key={unit} onClick={() => answer(unit)}>
            {UNIT_WORDS[unit]}:{' '}
            <span className="num">{sides.map((side) => formatMm(side * MM_IN[unit], 1)).join(' × ')}</span>
          </Button>
        ))}
        <Button onClick={() => answer(undefined)}>Cancel</Button>
      </div>
    </div>
  );
}
