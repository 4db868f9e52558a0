'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Dialog } from './dialog';
import { useShortcutList, useShortcuts } from './shortcuts/shortcuts';

export interface FindableLine {
  readonly label: string;
  readonly detail: string;
  readonly href: string;
}

const SHOWN = 12;

function matches(line: FindableLine, words: string): boolean {
  const text = `${line.label} ${line.detail}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** The two helps of every screen: find anything, and the keys that work here. */
export function FindAndKeys({ findables }: { findables: readonly FindableLine[] }) {
  const [open, setOpen] = useState<'find' | 'keys' | undefined>();
  useShortcuts([
    { key: '/', does: 'find anything', run: () => setOpen('find'), onEmptyField: true },
    { key: '?', does: 'show the keys of this screen', run: () => setOpen('keys'), onEmptyField: true },
  ]);
  const close = (stays: boolean) => !stays && setOpen(undefined);
  return (
    <div className="flex items-center gap-4">
      <button type="button" className="py-1 text-soft hover:text-ink" onClick={() => setOpen('find')}>
        Find <kbd>/</kbd>
      </button>
      <button
        type="button"
        className="hidden py-1 text-soft hover:text-ink sm:block"
        onClick={() => setOpen('keys')}
      >
        Keys <kbd>?</kbd>
      </button>
      <Dialog open={open === 'find'} onOpenChange={close} title="Find">
        <FindList findables={findables} onDone={() => setOpen(undefined)} />
      </Dialog>
      <Dialog open={open === 'keys'} onOpenChange={close} title="Keys of this screen">
        <KeyList />
      </Dialog>
    </div>
  );
}

function FindList({ findables, onDone }: { findables: readonly FindableLine[]; onDone: () => void }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const found = findables.filter((line) => matches(line, words)).slice(0, SHOWN);
  const go = (line: FindableLine | undefined) => {
    if (line === undefined) return;
    onDone();
    router.push(line.href);
  };
  return (
    <div>
      <input
        autoFocus
        className="w-full border-b-2 border-ink bg-transparent py-2 text-xl outline-none"
        aria-label="Words to find"
        placeholder="job, feature, printer, resin …"
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Enter') go(found[at]);
          else return;
          event.preventDefault();
        }}
      />
      <ul className="mt-3">
        {found.map((line, i) => (
          <li key={`${line.href} ${line.label}`} className="border-b border-hair">
            <button
              type="button"
              onClick={() => go(line)}
              className={`flex w-full items-baseline justify-between gap-3 px-2 py-2 text-left ${i === at ? 'bg-wash' : ''}`}
            >
              <span className="font-medium">{line.label}</span>
              <span className="text-sm text-soft">{line.detail}</span>
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && (
        <p className="mt-3 text-soft">Nothing here bears these words. Try one word less.</p>
      )}
    </div>
  );
}

const SHOWN_KEYS: Record<string, string> = { ' ': 'Space', ArrowDown: '↓', ArrowUp: '↑' };

function KeyList() {
  const shortcuts = useShortcutList();
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
      {shortcuts.map(({ key, does }) => (
        <div key={`${key} ${does}`} className="contents">
          <dt>
            <kbd>{SHOWN_KEYS[key] ?? key}</kbd>
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
      <dt>
        <kbd>Tab</kbd>
      </dt>
      <dd>next control, as everywhere</dd>
    </dl>
  );
}
