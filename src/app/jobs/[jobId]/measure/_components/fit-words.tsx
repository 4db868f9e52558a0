'use client';

import { useState } from 'react';
import { parseLength } from '@/core/measure';
import { FIT_WORDS, type FitWord } from '@/core/signature';
import { describeFitWord } from '@/subjects/kit/shared';
import { useKeycaps, useShortcuts } from '@/ui';

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
  /** The word, and the weight of the push where it was weighed, N. */
  readonly onSay: (word: FitWord, pushN?: number) => void;
}

/** What the hand says when the part meets its mate: data of the same rank as millimetres. */
export function FitWords({ said, hasMate, onSay }: FitWordsProps) {
  const capOf = useKeycaps();
  const [push, setPush] = useState('');
  const say = (word: FitWord) => {
    const parsed = parseLength(push);
    onSay(word, parsed.ok && parsed.value.valueMm > 0 ? parsed.value.valueMm : undefined);
    setPush('');
  };
  useShortcuts(
    FIT_WORDS.map((word) => ({
      key: capOf(CODES[word]),
      code: CODES[word],
      does: `hand fit: ${describeFitWord(word)}`,
      run: () => say(word),
      onEmptyField: true,
    })),
  );
  return (
    <fieldset className="mt-3 flex flex-wrap items-center gap-1.5">
      <legend className="sr-only">Hand fit with the mate</legend>
      <span className="w-full text-sm text-soft" aria-hidden>
        hand fit with the mate{hasMate ? '' : ' (to use hand fits, enter the mate and its size in Need)'}
      </span>
      {FIT_WORDS.map((word) => (
        <button
          key={word}
          type="button"
          aria-pressed={said === word}
          onClick={() => say(word)}
          className={`flex min-h-10 items-center gap-1.5 rounded-[5px] border px-2 py-1 max-lg:min-h-16 ${said === word ? 'border-juniper bg-band font-semibold' : 'border-edge'}`}
        >
          {describeFitWord(word)} <kbd>{capOf(CODES[word])}</kbd>
        </button>
      ))}
      <label className="flex items-center gap-1.5 text-sm text-soft">
        pushed with
        <input
          value={push}
          onChange={(event) => setPush(event.target.value)}
          inputMode="decimal"
          aria-label="Push force, N (optional)"
          className="num w-16 rounded-[4px] border border-edge bg-ground px-2 py-1.5 text-ink"
        />
        N
      </label>
    </fieldset>
  );
}
