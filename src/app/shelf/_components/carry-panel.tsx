'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { buttonLook, Note, Problem } from '@/ui';

interface Imported {
  readonly added: number;
  readonly updated: number;
  readonly proofs: number;
}

/** The shelf out and in as a file: all of a file is taken, or nothing of it. */
export function CarryPanel() {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; text: string } | undefined>();
  const take = async (file: File | undefined) => {
    if (file === undefined) return;
    setSaid(undefined);
    try {
      const response = await fetch('/api/shelf', { method: 'POST', body: file });
      const answer = (await response.json()) as Imported & { message?: string };
      const { added, updated, proofs } = answer;
      setSaid({
        ok: response.ok,
        text:
          answer.message ??
          `${added} resins are new, ${updated} were here and are updated, ${proofs} proofs came along.`,
      });
      router.refresh();
    } catch {
      setSaid({ ok: false, text: 'The connection was lost; nothing was taken in. Try again.' });
    }
  };
  return (
    <section aria-labelledby="carry">
      <h2 id="carry" className="mb-2 text-lg">
        Carry it to another computer
      </h2>
      <p className="mb-3 flex flex-wrap gap-3">
        <a href="/api/shelf" download className={buttonLook('plain')}>
          Carry the shelf away
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
      {said !== undefined && (said.ok ? <Note>{said.text}</Note> : <Problem>{said.text}</Problem>)}
    </section>
  );
}
