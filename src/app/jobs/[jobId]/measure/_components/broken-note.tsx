'use client';

import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { saveBroken } from '../actions';

/** A print that came off broken: recorded, and its whole parts are still measured and tried. */
export function BrokenNote({ jobId, printId, note }: { jobId: number; printId: number; note: string }) {
  const [text, setText] = useState(note);
  const [pending, start] = useTransition();
  return (
    <details className="mt-4 border-t border-hair pt-2" open={note !== ''}>
      <summary className="text-sm text-soft">Report a broken part</summary>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="block text-sm text-soft">
          <span className="mb-1 block">Broken area (the other sizes still count)</span>
          <input
            value={text}
            onChange={(event) => setText(event.target.value)}
            className="w-72 rounded-[4px] border border-edge bg-sheet px-2.5 py-2 text-ink"
          />
        </label>
        <Button disabled={pending} onClick={() => start(() => saveBroken(newKey(), jobId, printId, text))}>
          Save report
        </Button>
      </div>
    </details>
  );
}
