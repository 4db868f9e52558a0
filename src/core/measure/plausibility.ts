/** Why a reading should be asked about before it is kept. */
export type Doubt =
  | { readonly code: 'notPositive' }
  | { readonly code: 'looksLikeInches'; readonly guessMm: number }
  | { readonly code: 'looksLikeMillimetresTwice'; readonly guessMm: number }
  | { readonly code: 'decimalPoint'; readonly guessMm: number; readonly factor: number }
  | { readonly code: 'swappedDigits'; readonly guessMm: number }
  | { readonly code: 'farOff'; readonly expectedMm: number };

interface PlausibilityOptions {
  /** A reading further from the expected size than this share of it is asked about. Default 0.1. */
  readonly share: number;
  /** … and further than this, mm. Default 0.5. */
  readonly leastMm: number;
}

const PLAUSIBILITY_DEFAULTS: PlausibilityOptions = Object.freeze({ share: 0.1, leastMm: 0.5 });

function isNear(a: number, b: number): boolean {
  return Math.abs(a / b - 1) < 0.1;
}

/** Readings with one pair of neighbouring digits exchanged, as typed: 9.48 gives 4.98 and 9.84. */
export function swapNeighbouringDigits(readingMm: number, decimals: number): number[] {
  const text = readingMm.toFixed(decimals);
  const digitAt = [...text].flatMap((character, index) =>
    character === '.' || character === '-' ? [] : [index],
  );
  const swapped: number[] = [];
  for (let i = 0; i + 1 < digitAt.length; i++) {
    const characters = [...text];
    [characters[digitAt[i]], characters[digitAt[i + 1]]] = [
      characters[digitAt[i + 1]],
      characters[digitAt[i]],
    ];
    const value = Number(characters.join(''));
    if (value !== readingMm) swapped.push(value);
  }
  return swapped;
}

/**
 * Doubts about one reading before it is stored, against the size expected there; undefined when there are none.
 * A doubt is asked about, never acted on.
 * Example: findDoubt(0.374, 9.5) → { code: 'looksLikeInches', guessMm: 9.4996 }
 */
export function findDoubt(
  readingMm: number,
  expectedMm: number,
  options: PlausibilityOptions = PLAUSIBILITY_DEFAULTS,
): Doubt | undefined {
  if (!(readingMm > 0)) return { code: 'notPositive' };
  const limit = Math.max(options.leastMm, options.share * expectedMm);
  if (Math.abs(readingMm - expectedMm) <= limit) return undefined;
  if (isNear(readingMm * 25.4, expectedMm)) {
    return { code: 'looksLikeInches', guessMm: Number((readingMm * 25.4).toPrecision(8)) };
  }
  if (isNear(readingMm / 25.4, expectedMm)) {
    return { code: 'looksLikeMillimetresTwice', guessMm: Number((readingMm / 25.4).toPrecision(8)) };
  }
  for (const factor of [10, 100, 1000]) {
    if (isNear(readingMm / factor, expectedMm)) {
      return { code: 'decimalPoint', guessMm: Number((readingMm / factor).toPrecision(8)), factor };
    }
    if (isNear(readingMm * factor, expectedMm)) {
      return {
        code: 'decimalPoint',
        guessMm: Number((readingMm * factor).toPrecision(8)),
        factor: 1 / factor,
      };
    }
  }
  const swap = swapNeighbouringDigits(readingMm, 2).find(
    (value) => Math.abs(value - expectedMm) <= limit / 2,
  );
  if (swap !== undefined) return { code: 'swappedDigits', guessMm: swap };
  return { code: 'farOff', expectedMm };
}

/** The size that was probably meant; undefined where nothing suggests one. */
export function guessOf(doubt: Doubt): number | undefined {
  return 'guessMm' in doubt ? doubt.guessMm : undefined;
}
