'use client';

import { buttonLook, FileAnswer, useTakeFile } from '@/ui';

interface Imported {
  readonly added: number;
  readonly updated: number;
  readonly proofs: number;
}

/** The shelf out and in as a file: all of a file is taken, or nothing of it. */
export function CarryPanel() {
  const { take, ...answer } = useTakeFile<Imported>(
    '/api/shelf',
    ({ added, updated, proofs }) =>
      `${added} resins are new, ${updated} were here and are updated, ${proofs} proofs came along.`,
  );
  return (
    <section aria-labelledby="carry">
      <h2 id="carry" className="mb-2 text-lg">
        Carry it to another computer
      </h2>
      <p className="mb-3 flex flex-wrap gap-3">
        <a href="/api/shelf" download className={buttonLook('plain')}>
          Export the shelf
        </a>
        <a href="/api/shelf?form=csv" download className={buttonLook('plain')}>
          Sheets as CSV
        </a>
      </p>
      <label className="block">
        <span className="mb-1 block text-sm text-soft">
          Bring a shelf in: shelf.json with proofs, or a CSV of sheets
        </span>
        <input
          type="file"
          accept=".json,.csv,application/json,text/csv"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      <FileAnswer {...answer} />
    </section>
  );
}
