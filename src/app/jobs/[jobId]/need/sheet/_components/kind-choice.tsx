'use client';

import { startTransition } from 'react';
import type { SheetDrawing as Drawing, SheetKind } from '@/core/job/sheets';
import { SheetDrawing } from '@/ui';
import { UNTOUCHED } from '@/subjects/kit/shared';
import { changeSheetKind } from '../actions';

interface KindChoiceProps {
  readonly jobId: number;
  readonly examples: readonly {
    readonly kind: SheetKind;
    readonly title: string;
    readonly purpose: string;
    readonly drawing: Drawing;
  }[];
}

const NO_TEXT = () => ({ text: '', read: false });

/** Kinds of replacement parts; choosing one opens the measuring sheet. */
export function KindChoice({ jobId, examples }: KindChoiceProps) {
  const choose = (kind: SheetKind) => {
    const data = new FormData();
    data.set('kind', kind);
    startTransition(async () => {
      await changeSheetKind(jobId, UNTOUCHED, data);
    });
  };
  return (
    <section aria-labelledby="kinds-title">
      <h2 id="kinds-title" className="mb-3 text-lg">
        What part do you need?
      </h2>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
        {examples.map(({ kind, title, purpose, drawing }) => (
          <li key={kind}>
            <button
              type="button"
              onClick={() => choose(kind)}
              className="block h-full w-full border border-hair bg-sheet px-3 pt-2 pb-3 text-left hover:border-edge"
            >
              <span className="pointer-events-none block" aria-hidden>
                <SheetDrawing drawing={drawing} textOf={NO_TEXT} label="" />
              </span>
              <span className="block font-semibold">{title}</span>
              <span className="block text-sm text-soft">{purpose}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
