import { dayOf, momentOf, quoted } from '@/core/kit/wording';
import { describe, expect, test } from '@jest/globals';
import { atOnce, partOf, type Steps } from '@/core/kit';
import { decodeText, parseTable, tableSteps } from '../shared';

const wide = (text: string, high: boolean, mark: readonly number[] = []) => {
  const bytes = [...text].flatMap((letter) => {
    const code = letter.charCodeAt(0);
    return high ? [code >> 8, code & 255] : [code & 255, code >> 8];
  });
  return Uint8Array.from([...mark, ...bytes]);
};

describe('a text file is read in whatever it was written', () => {
  const text = 'feature;size_mm\nBüchse Ø;9,48\n';
  test.each([
    ['UTF-8', new TextEncoder().encode(text)],
    ['UTF-8 with a mark', Uint8Array.from([0xef, 0xbb, 0xbf, ...new TextEncoder().encode(text)])],
    ['UTF-16, low byte first', wide(text, false, [0xff, 0xfe])],
    ['UTF-16, high byte first', wide(text, true, [0xfe, 0xff])],
    ['UTF-16 without a mark', wide(text, false)],
    ['UTF-16 the other way round without a mark', wide(text, true)],
    ['Latin-1', Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)))],
  ])('%s', (_name, bytes) => {
    expect(decodeText(bytes)).toBe(text);
  });

  test('nothing is nothing', () => {
    expect(decodeText(new Uint8Array())).toBe('');
  });
});

test('what is quoted back is one line and no longer than one', () => {
  expect(quoted('9.4')).toBe('9.4');
  expect(quoted('a\nb\u0000c')).toBe('a b c');
  expect(quoted('x'.repeat(1e7))).toHaveLength(81);
});

test('days and moments are those of the machine’s own zone', () => {
  const lateEvening = new Date(2026, 10, 3, 23, 59);
  expect(dayOf(lateEvening)).toBe('2026-11-03');
  expect(momentOf(lateEvening)).toBe('2026-11-03 23:59');
});

describe('tables in steps', () => {
  const lines = Array.from({ length: 1700 }, (_, i) => (i % 3 === 0 ? `${i},"two\nlines"` : `${i},b`));
  const text = `a,b\n${lines.join('\n')}\n`;

  test('no row is lost or doubled between steps, quoted line ends among them', () => {
    const table = parseTable(text, ['a']);
    expect(table.ok && table.value.map(({ cells }) => Number(cells.a))).toEqual(lines.map((_, i) => i));
    const plain = parseTable(text.replaceAll('"two\nlines"', 'b'), ['a']);
    expect(plain.ok && plain.value).toHaveLength(lines.length);
  });

  test('there are several, and their shares rise to the end', () => {
    const shares = [...tableSteps(text, ['a'])];
    expect(shares.length).toBeGreaterThan(3);
    expect(shares.at(-1)).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  test('control characters are no part of a cell', () => {
    const table = parseTable('a,b\n"x\u0007\ty",2\n', ['a']);
    expect(table.ok && table.value[0].cells.a).toBe('x y');
  });
});

describe('steps', () => {
  function* counting(): Steps<string> {
    yield 0.5;
    yield 1;
    return 'done';
  }
  test('done at once give their answer; as a part they keep to their stretch', () => {
    expect(atOnce(counting())).toBe('done');
    expect([...partOf(counting(), 0.2, 0.4)]).toEqual([expect.closeTo(0.3), expect.closeTo(0.4)]);
    expect(atOnce(partOf(counting(), 0, 1))).toBe('done');
  });
});
