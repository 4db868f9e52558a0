'use client';

import { FIT_WORDS, type FitWord } from '@/core/signature';
import { useKeycaps, useShortcuts } from '@/ui';
import { describeFitWord } from '@/words';

/** Five neighbouring keys, from tight to loose. */
const CODES: Readonly<Record<FitWord, string>> = {
  wontEnter: 'KeyW',
  needsForce: 'KeyE',
  right: 'KeyR',
  slides: 'KeyT',
  rattles: 'KeyY',
};

interface FitWordsProps {
  readonly said?: FitWord;
  readonly hasMate: boolean;
  readonly onSay: (word: FitWord) => void;
}

/** What the hand says when the part meets its mate: data of the same rank as millimetres. */
export function FitWords({ said, hasMate, onSay }: FitWordsProps) {
  const capOf = useKeycaps();
  useShortcuts(
    FIT_WORDS.map((word) => ({
      key: capOf(CODES[word]),
      code: CODES[word],
      does: `on its mate: ${describeFitWord(word)}`,
      run: () => onSay(word),
      onEmptyField: true,
    })),
  );
  return (
    <fieldset className="mt-3 flex flex-wrap items-center gap-1.5">
      <legend className="sr-only">On its mate</legend>
      <span className="w-full text-sm text-soft" aria-hidden>
        on its mate{hasMate ? '' : ' (name it and its size under Need for words to count)'}
      </span>
      {FIT_WORDS.map((word) => (
        <button
          key={word}
          type="button"
          aria-pressed={said === word}
          onClick={() => onSay(word)}
          className={`flex min-h-10 items-center gap-1.5 rounded-[5px] border px-2 py-1 max-lg:min-h-16 ${said === word ? 'border-juniper bg-band font-semibold' : 'border-edge'}`}
        >
          {describeFitWord(word)} <kbd>{capOf(CODES[word])}</kbd>
        </button>
      ))}
    </fieldset>
  );
}
