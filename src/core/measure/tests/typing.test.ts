import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { findDoubt, parseLength, swapNeighbouringDigits } from '../index';

describe('a length as typed', () => {
  test.each([
    ['12.34', 12.34, []],
    ['12,34', 12.34, ['commaDecimal']],
    ['+12.34 mm', 12.34, []],
    [' .5 ', 0.5, []],
    ['0.5 in', 12.7, ['inches']],
    ['0,5"', 12.7, ['commaDecimal', 'inches']],
    ['1.2cm', 12, ['centimetres']],
    ['1234 µm', 1.234, ['micrometres']],
    ['−0.03', -0.03, []],
    ['1e1', 10, []],
  ] as const)('“%s” is %d mm', (text, valueMm, notes) => {
    expect(parseLength(text)).toEqual({ ok: true, value: { valueMm, notes } });
  });

  test.each([
    ['', 'blank'],
    ['   ', 'blank'],
    ['abc', 'notANumber'],
    ['12.3.4', 'ambiguousSeparators'],
    ['1,234.5', 'ambiguousSeparators'],
    ['12 ft', 'unknownUnit'],
    ['1e999', 'tooLarge'],
    ['NaN', 'notANumber'],
    ['Infinity', 'notANumber'],
    ['--3', 'notANumber'],
    ['=1+1', 'notANumber'],
  ])('“%s” is refused as %s', (text, code) => {
    const parsed = parseLength(text);
    expect(parsed.ok ? 'taken' : parsed.issue.code).toBe(code);
  });

  test('whatever is typed gives a finite number or a reason', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (text) => {
        const parsed = parseLength(text);
        if (parsed.ok) expect(Number.isFinite(parsed.value.valueMm)).toBe(true);
      }),
      { seed: 6, numRuns: 500 },
    );
  });
});

describe('doubts about a reading', () => {
  test.each([
    [0, 'notPositive'],
    [-9.5, 'notPositive'],
    [NaN, 'notPositive'],
    [0.374, 'looksLikeInches'],
    [241.3, 'looksLikeMillimetresTwice'],
    [95, 'decimalPoint'],
    [0.095, 'decimalPoint'],
    [8.2, 'farOff'],
    [59.48, 'farOff'],
  ])('%d where 9.5 is expected: %s', (reading, code) => {
    expect(findDoubt(reading, 9.5)?.code).toBe(code);
  });

  test('a reading near what is expected is not asked about', () => {
    expect(findDoubt(9.1, 9.5)).toBeUndefined();
    expect(findDoubt(0.9, 0.6)).toBeUndefined();
  });

  test('exchanged digits are guessed', () => {
    expect(findDoubt(84.19, 48.2)).toEqual({ code: 'swappedDigits', guessMm: 48.19 });
  });

  test('exchanging neighbours of 9.48 gives 4.98 and 9.84', () => {
    expect(swapNeighbouringDigits(9.48, 2)).toEqual([4.98, 9.84]);
    expect(swapNeighbouringDigits(11.1, 1)).toEqual([]);
  });
});
