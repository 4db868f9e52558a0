import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import { expectOk } from '@/core/kit';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  numberOrNull,
  numbersField,
  optionalChoice,
  optionalId,
  optionalNumber,
  parseForm,
  textField,
  ticked,
  tickFields,
  wordsOfField,
} from '../input-fields';
import { describeFaults } from '../words-fields';

const LIQUIDS = ['alcohol', 'water'] as const;
const FORM = z.object({
  name: textField('Name', { limit: 10 }),
  note: textField('Note', { optional: true }),
  length: numberField('Length', 'length', { low: 0, high: 100, hint: 'along X' }),
  force: optionalNumber('Load', 'force', { low: 0, high: 1000 }),
  hottest: numberOrNull('Hottest', 'temperature', { low: -50, high: 400 }),
  readings: numbersField('Readings', 'length', { low: 0, high: 50, optional: true }),
  wish: choiceField('Wish', ['push', 'slide']),
  knocks: optionalChoice('Knocks', ['none', 'hard']),
  due: dayField('Due'),
  resin: optionalId('Resin'),
  printer: idField('Printer'),
  ...tickFields('wash', LIQUIDS, (liquid) => `washes in ${liquid}`),
});

const GOOD = { name: 'rim', length: '20', wish: 'push', printer: '3' };

function read(changes: Readonly<Record<string, string>> = {}) {
  const data = new FormData();
  for (const [name, text] of Object.entries({ ...GOOD, ...changes })) data.set(name, text);
  return parseForm(FORM, data);
}

const told = (changes: Readonly<Record<string, string>>) => {
  const answer = read(changes);
  return answer.ok ? [] : describeFaults(answer.issue, FORM);
};

test('what was left blank is undefined, null or empty, never 0', () => {
  expect(expectOk(read())).toEqual({
    name: 'rim',
    note: '',
    length: 20,
    force: undefined,
    hottest: null,
    readings: [],
    wish: 'push',
    knocks: undefined,
    due: '',
    resin: undefined,
    printer: 3,
    wash_alcohol: false,
    wash_water: false,
  });
});

test('each number is read in the units of its quantity', () => {
  const form = expectOk(
    read({ length: '0.5 in', force: '2 lbf', hottest: '212 °F', readings: '9,48 9.50; 9.49' }),
  );
  expect(form.length).toBe(12.7);
  expect(form.force).toBeCloseTo(8.896443, 6);
  expect(form.hottest).toBeCloseTo(100, 9);
  expect(form.readings).toEqual([9.48, 9.5, 9.49]);
});

test('ticks are gathered in the order of their words', () => {
  const form = expectOk(read({ wash_water: 'on', wash_alcohol: 'on' }));
  expect(ticked(form, 'wash', LIQUIDS)).toEqual(['alcohol', 'water']);
  expect(ticked(expectOk(read()), 'wash', LIQUIDS)).toEqual([]);
});

describe('a field that cannot be taken', () => {
  test.each([
    [{ name: '  ' }, 'Name: this field is empty.'],
    [{ name: 'a very long name' }, 'Name: longer than 10 characters. Shorten it.'],
    [{ length: '' }, 'Length: the field is empty'],
    [{ length: '100.1' }, 'Length: enter a value from 0 to 100 mm'],
    [{ force: '5 in' }, 'Load: '],
    [{ force: 'NaN' }, 'Load: “NaN” is not a number.'],
    [{ hottest: '500' }, 'Hottest: enter a value from -50 to 400 °C'],
    [{ readings: '9.48 wide' }, 'Readings: “9.48 wide” is not a list of numbers.'],
    [{ readings: '9.48 51' }, 'Readings: enter a value from 0 to 50 mm'],
    [{ wish: 'glue' }, 'Wish: choose one from the list.'],
    [{ knocks: 'glue' }, 'Knocks: choose one from the list.'],
    [{ resin: '0' }, 'Resin: choose one from the list.'],
    [{ printer: '' }, 'Printer: choose one from the list.'],
    [{ printer: '1e3' }, 'Printer: choose one from the list.'],
    [{ due: '2026-02-31' }, 'Due: “2026-02-31” is not a date.'],
    [{ due: '2027-02-29' }, 'Due: “2027-02-29” is not a date.'],
    [{ due: '1.12.2026' }, 'Due: “1.12.2026” is not a date.'],
  ] as const)('%j', (changes, sentence) => {
    const sentences = told(changes as Readonly<Record<string, string>>);
    expect(sentences).toHaveLength(1);
    expect(sentences[0].slice(0, sentence.length)).toBe(sentence);
  });

  test('all of them are told at once, each by its label', () => {
    const sentences = told({ name: '', length: 'wide', wish: '', due: 'soon' });
    expect(sentences.map((sentence) => sentence.split(':')[0])).toEqual(['Name', 'Length', 'Wish', 'Due']);
  });
});

test('the bounds themselves are taken, and the leap day', () => {
  expect(told({ length: '0', hottest: '400', due: '2028-02-29' })).toEqual([]);
  expect(told({ length: '100', hottest: '-50', due: '2026-12-31' })).toEqual([]);
});

test('label, hint and unit come from the definition; a name it does not know labels itself', () => {
  expect(wordsOfField(FORM, 'length')).toEqual({ label: 'Length', hint: 'along X', unit: 'mm' });
  expect(wordsOfField(FORM, 'wash_water').label).toBe('washes in water');
  expect(
    wordsOfField(
      FORM.transform((form) => form.name),
      'hottest',
    ).unit,
  ).toBe('°C');
  expect(wordsOfField(FORM, 'unheard')).toEqual({ label: 'unheard' });
});

test('whatever is typed, a number within its bounds comes out, or a sentence', () => {
  fc.assert(
    fc.property(fc.string(), (length) => {
      const form = read({ length });
      if (form.ok) return form.value.length >= 0 && form.value.length <= 100;
      return describeFaults(form.issue, FORM).every((sentence) => sentence.startsWith('Length: '));
    }),
  );
});
