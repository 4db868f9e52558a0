import { describe, expect, test } from '@jest/globals';
import { DEFAULT_PRACTICES } from '@/core/workshop';
import {
  askChecklist,
  CHECKLIST_KEYS,
  type ChecklistInput,
  type ChecklistKey,
  checklistQuestion,
} from '../index';

const INPUT: ChecklistInput = {
  practices: DEFAULT_PRACTICES,
  parts: { unchecked: [], open: [] },
  resin: {
    wanted: 'Otter Tough',
    inVat: 'Otter Tough',
    isSame: true,
    changeoverMl: 30,
    leastRoomC: 20,
    shakenH: 0.5,
  },
  vat: { levelMl: 120, lots: ['17'], days: 3, drainDays: 30 },
  outlook: { leftMl: 60, dryChance: 0.01, pours: [] },
  bottle: { leftMl: 500, lot: '17' },
  roomC: 23,
  film: { layers: 1000, dueLayers: 60_000, risk: 0.001, printCost: 5, cost: 20 },
  machine: { levelled: new Date(2026, 4, 1), last: { isStopped: false, reason: '' }, isHeard: true },
  display: { name: 'Bushing A1', layers: 124, seconds: 3600, hollow: [] },
  end: { at: new Date(2026, 4, 2, 15), isAttended: true },
  costsOfNight: () => undefined,
};

const ask = (more: Partial<ChecklistInput>, key: ChecklistKey) =>
  askChecklist({ ...INPUT, ...more }, {}).find((each) => each.key === key);
const stateOf = (more: Partial<ChecklistInput>, key: ChecklistKey) => {
  const found = ask(more, key);
  return found && (found.isKnownBad ? 'bad' : found.state);
};

describe('the list before a start', () => {
  test('asks no more than what nobody can know from the records', () => {
    const open = askChecklist(INPUT, {}).filter(({ state }) => state === 'open');
    expect(open.map(({ key }) => key)).toEqual(['air', 'film', 'plateDry', 'nothingInVat', 'display']);
  });

  test.each<[ChecklistKey, Partial<ChecklistInput>, string | undefined]>([
    ['checked', { parts: { unchecked: ['Bushing'], open: [] } }, 'bad'],
    ['resin', { resin: { ...INPUT.resin, inVat: 'Slate General', isSame: false } }, 'bad'],
    ['resin', { resin: { ...INPUT.resin, inVat: undefined, isSame: false } }, 'open'],
    ['enough', { outlook: 'tooMuch' }, 'bad'],
    ['enough', { outlook: undefined }, 'open'],
    ['enough', { outlook: { leftMl: 20, dryChance: 0.06, pours: [] } }, 'open'],
    ['bottle', {}, undefined],
    ['bottle', { outlook: { leftMl: 9, dryChance: 1, pours: [{ addMl: 600, isAttended: true }] } }, 'bad'],
    ['bottle', { outlook: { leftMl: 9, dryChance: 1, pours: [{ addMl: 60, isAttended: true }] } }, 'well'],
    [
      'bottle',
      {
        outlook: { leftMl: 9, dryChance: 1, pours: [{ addMl: 60, isAttended: true }] },
        bottle: { leftMl: 500, lot: '18' },
      },
      'bad',
    ],
    ['room', { roomC: 19 }, 'bad'],
    // Warm enough, but the open window of the practice takes 2 K.
    ['room', { roomC: 21 }, 'open'],
    ['room', { roomC: 21, practices: { ...DEFAULT_PRACTICES, air: 'filter' } }, 'well'],
    ['shaken', { resin: { ...INPUT.resin, shakenH: 1.1 } }, 'open'],
    ['shaken', { resin: { ...INPUT.resin, shakenH: -0.1 } }, 'open'],
    ['drained', {}, undefined],
    [
      'drained',
      { practices: { ...DEFAULT_PRACTICES, vatAfter: 'calendar' }, vat: { ...INPUT.vat, days: 30 } },
      'bad',
    ],
    ['film', { film: { ...INPUT.film, layers: 60_000 } }, 'bad'],
    ['level', { machine: { ...INPUT.machine, last: { isStopped: true, reason: 'came off' } } }, 'open'],
    ['nothingInVat', { machine: { ...INPUT.machine, uncleared: new Date(2026, 4, 1) } }, 'bad'],
    ['display', { practices: { ...DEFAULT_PRACTICES, fileTransfer: 'network' } }, 'well'],
    ['present', { end: { at: new Date(2026, 4, 2, 3), isAttended: false } }, 'open'],
    ['present', { outlook: { leftMl: 9, dryChance: 1, pours: [{ addMl: 60, isAttended: false }] } }, 'bad'],
  ])('%s: %j is %s', (key, more, expected) => {
    expect(stateOf(more, key)).toBe(expected);
  });

  test('the cost of a night is asked with the chance to run dry only where a pour is missed', () => {
    const asked: number[] = [];
    const costsOfNight = (dryChance: number) => {
      asked.push(dryChance);
      return { nowCost: 2, morningAt: new Date(2026, 4, 3, 8), morningCost: 1 };
    };
    const end = { at: new Date(2026, 4, 3, 2), isAttended: false };
    expect(ask({ end, costsOfNight }, 'present')!.text).toContain('starting in the morning costs less');
    const outlook = { leftMl: 9, dryChance: 0.7, pours: [{ addMl: 60, isAttended: false }] };
    ask({ end, outlook, costsOfNight }, 'present');
    expect(asked).toEqual([0, 0.7]);
  });

  test('an answer OK does not open what is known to be bad; a reason does', () => {
    const cold = { ...INPUT, roomC: 15 };
    const state = (well: boolean) =>
      askChecklist(cold, { room: { well } }).find(({ key }) => key === 'room')!.state;
    expect(state(true)).toBe('open');
    expect(state(false)).toBe('exception');
  });

  test('every question has a name and says in words what is known', () => {
    for (const key of CHECKLIST_KEYS) expect(checklistQuestion(key).name).toMatch(/^[A-Z]/);
    for (const { text } of askChecklist(INPUT, {})) expect(text).toMatch(/^[A-Z].*\.$/s);
    expect(
      ask(
        {
          vat: { ...INPUT.vat, days: 14, drainDays: 10 },
          practices: { ...DEFAULT_PRACTICES, vatAfter: 'calendar' },
        },
        'drained',
      )!.text,
    ).toContain('every 10 days');
  });
});
