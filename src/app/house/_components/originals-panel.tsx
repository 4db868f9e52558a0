'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { describeBytes } from '@/subjects/workshop/settings/shared';
import { Button, Dialog, Note, Problem } from '@/ui';

interface Original {
  readonly folder: string;
  /** Day and minute, by the server's clock. */
  readonly replacedOn?: string;
  readonly bytes: number;
}

interface OriginalsProps {
  /** The data folder. */
  readonly root: string;
  readonly originals: readonly Original[];
}

type Wish = 'putBack' | 'delete';

const nameOf = ({ replacedOn }: Original) => replacedOn ?? 'Date unknown';

async function ask(folder: string, wish: Wish): Promise<{ ok: boolean; text: string }> {
  try {
    const response = await fetch('/api/originals', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ folder, wish }),
    });
    return { ok: response.ok, text: ((await response.json()) as { message: string }).message };
  } catch {
    return {
      ok: false,
      text: 'the server does not respond. Reload the page and check the result before you try again.',
    };
  }
}

/** Benches that a restore replaced: kept until somebody deletes them, and put back with one tap. */
export function OriginalsPanel({ root, originals }: OriginalsProps) {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; text: string } | undefined>();
  const [wanted, setWanted] = useState<{ original: Original; wish: Wish } | undefined>();
  const carryOut = async () => {
    if (wanted === undefined) return;
    setWanted(undefined);
    setSaid(await ask(wanted.original.folder, wanted.wish));
    router.refresh();
  };
  if (originals.length === 0 && said === undefined) return null;
  return (
    <section aria-labelledby="originals-title" className="mt-6">
      <h3 id="originals-title" className="font-semibold">
        Workshops replaced by a restore
      </h3>
      <ul>
        {originals.map((original) => (
          <li
            key={original.folder}
            className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 border-b border-hair py-1.5"
          >
            <span>
              <span className="num">{nameOf(original)}</span>{' '}
              <span className="text-sm text-soft">{describeBytes(original.bytes)}</span>
            </span>
            <span className="flex gap-2">
              <Button onClick={() => setWanted({ original, wish: 'putBack' })}>
                Restore …<span className="sr-only"> the workshop of {nameOf(original)}</span>
              </Button>
              <Button onClick={() => setWanted({ original, wish: 'delete' })}>
                Delete …<span className="sr-only"> the workshop of {nameOf(original)}</span>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {said !== undefined && (
        <div className="mt-3">{said.ok ? <Note>{said.text}</Note> : <Problem>{said.text}</Problem>}</div>
      )}
      <Dialog
        open={wanted !== undefined}
        onOpenChange={(open) => !open && setWanted(undefined)}
        title={wanted?.wish === 'delete' ? 'Delete this workshop permanently?' : 'Restore this workshop?'}
      >
        <p>
          {wanted?.wish === 'delete'
            ? 'Its readings, signatures and parts are deleted permanently. Only a backup can bring them back.'
            : 'It becomes the workshop in use. The current workshop is kept and listed here.'}{' '}
          <span className="break-all text-sm text-soft">
            {root}/{wanted?.original.folder}
          </span>
        </p>
        <Button weight="main" className="mt-4" onClick={() => void carryOut()}>
          {wanted?.wish === 'delete' ? 'Delete' : 'Restore'}
        </Button>
      </Dialog>
    </section>
  );
}
