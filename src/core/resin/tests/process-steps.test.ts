import { describe, expect, test } from '@jest/globals';
import { CLAIMS } from '@/core/job/need';
import { DEFAULT_PRACTICES } from '@/core/workshop';
import {
  describeCardReason,
  describeCardStep,
  minutesOfStep,
  processCard,
  processStepOf,
  SHIPPED_SHELF,
  stateAfter,
  stepsAfterPrint,
  togetherFacts,
} from '../index';

const card = processCard(SHIPPED_SHELF[0], DEFAULT_PRACTICES, { claims: ['skin'] });

describe('steps of the process card', () => {
  test('each has one name, and says what to do', () => {
    for (const step of card) {
      expect(describeCardStep(step).title).toBe(processStepOf(step.step).name);
      expect(describeCardStep(step).text).toMatch(/\w{3}/);
    }
    expect(describeCardReason(card.find(({ step }) => step === 'dry')!)).toContain('Alternatives: ');
  });

  test('the newest step that changes a part gives its state', () => {
    expect(stateAfter(new Set())).toBe('green');
    expect(stateAfter(new Set(['unload', 'wash', 'dry']))).toBe('washed');
    expect(stateAfter(new Set(['cure', 'wash']))).toBe('cured');
    expect(stateAfter(new Set(['coat', 'wash', 'cure']))).toBe('coated');
  });

  test('whatever touches a body or food is coated, for exactly those claims', () => {
    const coat = processCard(SHIPPED_SHELF[0], DEFAULT_PRACTICES, { claims: CLAIMS }).at(-1)!;
    expect(coat).toEqual({ step: 'coat', claims: ['skin', 'mouth', 'food'] });
    expect(describeCardStep(coat).text).toContain('skin, mouth, food');
  });

  test('parts handled together get what any of them asks for, and cool as long as the thickest', () => {
    const together = togetherFacts([
      { claims: ['skin'], crevices: 1, wallMm: 2 },
      { claims: ['skin', 'food'], wallMm: 6, thinLinks: true },
    ]);
    expect(together).toEqual({ claims: ['skin', 'food'], crevices: 1, wallMm: 6, thinLinks: true });
    expect(togetherFacts([])).toEqual({ claims: [], crevices: 0, wallMm: undefined, thinLinks: false });
  });

  test('the way to the caliper has every step but those before the print, with the minutes of the card', () => {
    const way = stepsAfterPrint({ printer: 'Long Bench', pieces: 2, cards: card, washLoads: 1 });
    const expected = card.filter(({ step }) => processStepOf(step).isBeforePrint !== true);
    expect(way.map(({ id }) => id).filter((id) => id !== 'off' && id !== 'measure')).toEqual(
      expected.map(({ step }) => step),
    );
    const dry = card.find(({ step }) => step === 'dry')!;
    expect(way.find(({ id }) => id === 'dry')!.minutes).toBe(Math.round(minutesOfStep(dry)!));
    // The plate leaves the printer once nothing drips any more.
    expect(way[0]).toMatchObject({ id: 'drip', station: 'Long Bench', holds: true });
    expect(way[1]).toMatchObject({ id: 'off', station: 'Long Bench', attended: true });
  });
});
