'use client';

import { Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState, type DragEvent } from 'react';
import { LARGEST_FILE_BYTES } from '@/core/mesh';
import { Button, Problem } from '@/ui';
import { describeMeshIssue } from '@/words';
import { MeshStopped, MeshWorker } from '@/workers';

/** Tells how far a file has come; stopping leaves what was there before. */
interface Arrival {
  readonly what: string;
  readonly share: number;
  readonly stop: () => void;
}

/** A part that can be kept, as STL; or why it cannot. */
type Checked = { readonly refusal: string } | { readonly part: Blob };

/** Reads the file off the page's thread first: what is not a part is not sent, what is no STL becomes one. */
async function checkFirst(file: File, onArrival: (arrival: Arrival) => void): Promise<Checked> {
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
    const { stl } = loaded.value;
    return { part: stl === undefined ? file : new Blob([stl], { type: 'model/stl' }) };
  } finally {
    worker.stop();
  }
}

/** Sends the file with progress; gives what the bench answered. */
function send(
  jobId: number,
  { part, name }: { readonly part: Blob; readonly name: string },
  onArrival: (arrival: Arrival) => void,
): Promise<string | undefined> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const stop = () => request.abort();
    request.open('POST', `/api/jobs/${jobId}/part?name=${encodeURIComponent(name)}`);
    request.upload.onprogress = ({ loaded }) =>
      onArrival({ what: 'Keeping', share: loaded / part.size, stop });
    request.onload = () =>
      resolve(
        request.status === 200
          ? undefined
          : (JSON.parse(request.responseText) as { message: string }).message,
      );
    request.onerror = () => resolve('The connection was lost. Drop the file again.');
    request.onabort = () => reject(new MeshStopped());
    request.send(part);
  });
}

export function PartDrop({ jobId, hasPart }: { jobId: number; hasPart: boolean }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [arrival, setArrival] = useState<Arrival | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    setProblem(undefined);
    try {
      const checked = await checkFirst(file, setArrival);
      const refusal =
        'refusal' in checked
          ? checked.refusal
          : await send(jobId, { part: checked.part, name: file.name }, setArrival);
      setProblem(refusal);
      if (refusal === undefined) router.refresh();
    } catch (error) {
      setProblem(
        error instanceof MeshStopped
          ? 'Stopped; nothing was changed.'
          : 'The file could not be read. Try again.',
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
          <Upload size={16} aria-hidden /> {hasPart ? 'Another file' : 'Bring the part in'}
        </Button>
        <span className="text-sm text-soft">
          or drop it here: STL, OBJ, PLY (taken as millimetres) or 3MF, up to 300 MB
        </span>
        <input
          ref={input}
          type="file"
          accept=".stl,.obj,.ply,.3mf"
          className="sr-only"
          aria-label="File of the part"
          tabIndex={-1}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </div>
      {arrival !== undefined && (
        <div className="mt-2 flex items-center gap-3">
          <progress value={arrival.share} aria-label={`${arrival.what} the file`} />
          <span className="text-sm text-soft">{arrival.what} …</span>
          <Button onClick={arrival.stop}>Stop</Button>
        </div>
      )}
      {problem !== undefined && (
        <div className="mt-2">
          <Problem>{problem}</Problem>
        </div>
      )}
    </div>
  );
}
