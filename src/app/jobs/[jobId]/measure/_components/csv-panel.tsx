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
      `${readings} readings taken in, ${alreadyHere} were here already, ${newFeatures} features are new.`,
  );
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
      <FileAnswer {...answer} />
    </div>
  );
}
