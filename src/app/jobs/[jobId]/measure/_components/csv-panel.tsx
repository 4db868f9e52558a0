'use client';

import { buttonLook, FileAnswer, useTakeFile } from '@/ui';

interface Imported {
  readonly readings: number;
  readonly alreadyHere: number;
  readonly newFeatures: number;
}

/** readings.csv out and in: all of a file is taken, or nothing of it. */
export function CsvPanel({ jobId }: { jobId: number }) {
  const { take, ...answer } = useTakeFile<Imported>(
    `/api/jobs/${jobId}/readings`,
    ({ readings, alreadyHere, newFeatures }) =>
      `${readings} readings imported, ${alreadyHere} already present, ${newFeatures} new features.`,
  );
  return (
    <div className="grid gap-4">
      <p>
        <a href={`/api/jobs/${jobId}/readings`} className={buttonLook('plain')} download>
          Export readings.csv
        </a>
      </p>
      <label className="block">
        <span className="mb-1 block">Import readings.csv (new features and prints are created)</span>
        <input type="file" accept=".csv,text/csv" onChange={(event) => void take(event.target.files?.[0])} />
      </label>
      <FileAnswer {...answer} />
    </div>
  );
}
