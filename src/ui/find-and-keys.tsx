'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Dialog } from './dialog';
import { Glossary } from './glossary';
import { useShortcutList, useShortcuts } from './shortcuts/shortcuts';

interface FindableLine {
  readonly label: string;
  readonly detail: string;
  readonly href: string;
}

/** The helps of every screen: find anything, the keys that work here, what the words mean. */
export function FindAndKeys() {
  const [open, setOpen] = useState<'find' | 'keys' | 'words' | undefined>();
  useShortcuts([
    { key: '/', does: 'Search', run: () => setOpen('find'), onEmptyField: true },
    { key: 'h', does: 'what the words mean', run: () => setOpen('words'), onEmptyField: true },
    {
      key: '?',
      does: 'Show keyboard shortcuts for this screen',
      run: () => setOpen('keys'),
      onEmptyField: true,
    },
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
        Shortcuts <kbd>?</kbd>
      </button>
      <button
        type="button"
        className="hidden py-1 text-soft hover:text-ink sm:block"
        onClick={() => setOpen('words')}
      >
        Glossary <kbd>h</kbd>
      </button>
      <Dialog open={open === 'find'} onOpenChange={close} title="Find">
        <FindList onDone={() => setOpen(undefined)} />
      </Dialog>
      <Dialog open={open === 'keys'} onOpenChange={close} title="Keyboard shortcuts">
        <KeyList />
      </Dialog>
      <Dialog open={open === 'words'} onOpenChange={close} title="Glossary">
        <Glossary />
      </Dialog>
    </div>
  );
}

interface Found {
  /** The words that were asked about. */
  readonly words: string;
  /** Undefined: nobody answered. */
  readonly lines: readonly FindableLine[] | undefined;
}

/** Search results; asked again with every typed word. Until the answer, the previous ones. */
function useFound(words: string): Found | undefined {
  const [found, setFound] = useState<Found | undefined>();
  useEffect(() => {
    const asking = new AbortController();
    fetch(`/api/find?words=${encodeURIComponent(words)}`, { signal: asking.signal })
      .then((response) => response.json() as Promise<FindableLine[]>)
      .then(
        (lines) => setFound({ words, lines }),
        () => asking.signal.aborted || setFound({ words, lines: undefined }),
      );
    return () => asking.abort();
  }, [words]);
  return found;
}

const keyOf = (line: FindableLine | undefined) => (line === undefined ? '' : `${line.href} ${line.label}`);

function FindList({ onDone }: { onDone: () => void }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  /** Enter was pressed before the answer: its first line is opened when it comes. */
  const [isFirstWanted, setFirstWanted] = useState(false);
  const [chosen, setChosen] = useState<{ readonly of: Found | undefined; readonly value: string }>();
  const found = useFound(words);
  const isAnswered = found?.words === words;
  const lines = found?.lines;
  // Each answer selects the first row again.
  const value = chosen !== undefined && chosen.of === found ? chosen.value : keyOf(lines?.[0]);
  const open = (href: string) => {
    onDone();
    router.push(href);
  };
  const first = isFirstWanted && isAnswered ? lines?.[0]?.href : undefined;
  useEffect(() => {
    if (first !== undefined) open(first);
    // Opened once, when the line is known.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [first]);
  return (
    <Command
      label="Find"
      shouldFilter={false}
      loop
      value={value}
      onValueChange={(next) => setChosen({ of: found, value: next })}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || isAnswered) return;
        event.preventDefault();
        setFirstWanted(true);
      }}
    >
      <Command.Input
        autoFocus
        className="w-full border-b-2 border-ink bg-transparent py-2 text-xl outline-none"
        aria-label="Search terms"
        placeholder="job, feature, printer, resin …"
        value={words}
        onValueChange={(typed) => {
          setFirstWanted(false);
          setWords(typed);
        }}
      />
      <Command.List className="mt-3" aria-label="Search results">
        {isAnswered && lines === undefined && (
          <p role="alert">The server does not respond. Check the connection and search again.</p>
        )}
        {lines?.length === 0 && (
          <Command.Empty className="text-soft">No results. Use fewer words.</Command.Empty>
        )}
        {lines?.map((line) => (
          <Command.Item
            key={keyOf(line)}
            value={keyOf(line)}
            onSelect={() => open(line.href)}
            className="flex w-full cursor-pointer items-baseline justify-between gap-3 border-b border-hair px-2 py-2 text-left data-[selected=true]:bg-wash"
          >
            <span className="font-medium">{line.label}</span>
            <span className="text-sm text-soft">{line.detail}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
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
      <dd>next control (as in every browser)</dd>
    </dl>
  );
}
