'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { buttonLook, Note, Problem } from '@/ui';

interface Imported {
  readonly readings: number;
  readonly alreadyHere: number;
  readonly newFeatures: number;
}

/** readings.csv out and in: all of a file is taken, or nothing of it. */
export function CsvPanel({ jobId }: { jobId: number }) {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; text: string } | undefined>();
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    setSaid(undefined);
    try {
      const response = await fetch(`/api/jobs/${jobId}/readings`, { method: 'POST', body: file });
      const answer = (await response.json()) as Imported & { message?: string };
      const { readings, alreadyHere, newFeatures } = answer;
      setSaid({
        ok: response.ok,
        text:
          answer.message ??
          `${readings} readings taken in, ${alreadyHere} were here already, ${newFeatures} features are new.`,
      });
      router.refresh();
    } catch {
      setSaid({ ok: false, text: 'The connection was lost; nothing was taken in. Try again.' });
    }
  };
  return (
    <div className="grid gap-4">
      <p>
        <a href={`/api/jobs/${jobId}/readings`} className={buttonLook('plain')} download>
          Save readings.csv
        </a>
      </p>
      <label className="block">
        <span className="mb-1 block">Take a readings.csv in; features and prints that are new are made</span>
        <input type="file" accept=".csv,text/csv" onChange={(event) => void take(event.target.files?.[0])} />
      </label>
      {said !== undefined && (said.ok ? <Note>{said.text}</Note> : <Problem>{said.text}</Problem>)}
    </div>
  );
}
