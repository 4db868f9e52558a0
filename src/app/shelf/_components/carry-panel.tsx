'use client';

import { buttonLook, FileAnswer, useTakeFile } from '@/ui';

interface Imported {
  readonly added: number;
  readonly updated: number;
  readonly proofs: number;
}

/** Export and import of resins as a file: all of a file is imported, or nothing. */
export function CarryPanel() {
  const { take, ...answer } = useTakeFile<Imported>(
    '/api/shelf',
    ({ added, updated, proofs }) =>
      `${added} new resins, ${updated} updated resins and ${proofs} tests imported.`,
  );
  return (
    <section aria-labelledby="carry">
      <h2 id="carry" className="mb-2 text-lg">
        Export and import
      </h2>
      <p className="mb-3 flex flex-wrap gap-3">
        <a href="/api/shelf" download className={buttonLook('plain')}>
          Export resins
        </a>
        <a href="/api/shelf?form=csv" download className={buttonLook('plain')}>
          Datasheets as CSV
        </a>
      </p>
      <label className="block">
        <span className="mb-1 block text-sm text-soft">
          Import resins: shelf.json with tests, or a CSV of datasheets
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
