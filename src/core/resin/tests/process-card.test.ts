import { DEFAULT_PRACTICES, type Practices } from '@/core/workshop';
import { describe, expect, test } from '@jest/globals';
import { processCard } from '../process-card';
import { SHIPPED_SHELF } from '../shipped-shelf';

const resin = (name: string) => SHIPPED_SHELF.find((each) => each.name === name)!;
const order = (name: string, schools = DEFAULT_PRACTICES) =>
  processCard(resin(name), schools).map(({ step }) => step);

test('the card follows the house: supports and assembly before or after the cure', () => {
  expect(order('Slate General')).toEqual([
    'shake',
    'warm',
    'drip',
    'unload',
    'vat',
    'wash',
    'dry',
    'supports',
    'assemble',
    'cure',
    'cool',
  ]);
  expect(order('Otter Tough', { ...DEFAULT_PRACTICES, supportsOff: 'cured', assemble: 'cured' })).toEqual([
    'shake',
    'warm',
    'drip',
    'unload',
    'vat',
    'wash',
    'dry',
    'cure',
    'cool',
    'supports',
    'assemble',
  ]);
});

test('a brittle resin is put together green whatever the house likes, and says so', () => {
  const card = processCard(resin('Hearth'), { ...DEFAULT_PRACTICES, assemble: 'cured' });
  expect(card.find(({ step }) => step === 'assemble')).toEqual({
    step: 'assemble',
    at: 'green',
    overruled: true,
  });
});

test('short and long cure lie between floor and ceiling', () => {
  const minutes = (cure: 'short' | 'long') =>
    processCard(resin('Slate General'), { ...DEFAULT_PRACTICES, cure }).find(({ step }) => step === 'cure');
  expect(minutes('short')).toMatchObject({ minutes: 5.25, floorMin: 3, ceilingMin: 12 });
  expect(minutes('long')).toMatchObject({ minutes: 9.75 });
});

test('the house’s liquid only where the sheet allows it', () => {
  const wash = (name: string) =>
    processCard(resin(name), { ...DEFAULT_PRACTICES, washWith: 'water' }).find(({ step }) => step === 'wash');
  expect(wash('Millpond')).toMatchObject({ liquid: 'water', why: 'house' });
  expect(wash('Hearth')).toMatchObject({ liquid: 'alcohol', why: 'sheet' });
});

test('a proven yellowing limit lowers the ceiling', () => {
  const readings = [
    { minutes: 2, shade: 0 },
    { minutes: 6, shade: 1 },
    { minutes: 10, shade: 3 },
  ];
  const proven = {
    ...resin('Glasswort Clear'),
    proofs: [{ kind: 'yellowing', on: '2026-10-01', test: { readings, accepted: 2 } } as const],
  };
  const cure = processCard(proven, DEFAULT_PRACTICES).find(({ step }) => step === 'cure');
  expect(cure).toMatchObject({ ceilingMin: 6 });
});

test('what touches skin is coated', () => {
  expect(
    processCard(resin('Slate General'), DEFAULT_PRACTICES, { claims: ['skin', 'mains'] }).at(-1),
  ).toEqual({
    step: 'coat',
    claims: ['skin'],
  });
});

const minutesOf = (
  given: Parameters<typeof processCard>[0],
  ...rest: [typeof DEFAULT_PRACTICES, object?]
) => {
  const card = processCard(given, ...rest);
  const of = (name: string) => card.find(({ step }) => step === name) as { minutes?: number } | undefined;
  return { wash: of('wash')?.minutes, dry: of('dry')?.minutes, cure: of('cure')?.minutes };
};

test('washing and drying take as long as the liquid and the part ask for', () => {
  const alcohol = minutesOf(resin('Slate General'), DEFAULT_PRACTICES);
  const water = minutesOf(resin('Millpond'), { ...DEFAULT_PRACTICES, washWith: 'water' });
  expect(water.dry).toBeGreaterThan(2 * alcohol.dry!);
  const hollow = minutesOf(resin('Slate General'), DEFAULT_PRACTICES, { crevices: 2 });
  expect(hollow).toMatchObject({ wash: 2 * alcohol.wash!, dry: 2 * alcohol.dry! });
});

test('with a ceiling alone the cure keeps well below it', () => {
  const slate = resin('Slate General');
  const only = (property: string) => ({
    ...slate,
    sheet: { ...slate.sheet, quotes: slate.sheet.quotes.filter((quote) => quote.property !== property) },
  });
  for (const cure of ['short', 'long'] as const) {
    const schools = { ...DEFAULT_PRACTICES, cure };
    expect(minutesOf(only('cureFloor_min'), schools).cure).toBe(6);
    expect(minutesOf(only('cureCeiling_min'), schools).cure).toBe(3);
  }
});

describe('the ways of the house change the card', () => {
  const card = (ways: Partial<Practices>, part = {}, name = 'Slate General') =>
    processCard(resin(name), { ...DEFAULT_PRACTICES, ...ways }, part);
  const step = (steps: ReturnType<typeof card>, name: string) =>
    steps.find((each) => each.step === name) as Record<string, unknown> | undefined;

  test('excess resin: so many minutes, or none at all', () => {
    expect(step(card({ excessResin: 'drip' }), 'drip')).toMatchObject({ minutes: 10 });
    expect(step(card({ excessResin: 'mop' }), 'drip')).toMatchObject({ minutes: 2 });
    expect(step(card({ excessResin: 'straight' }), 'drip')).toBeUndefined();
  });

  test('washed on the plate a part comes off it afterwards', () => {
    const order = (washOn: 'plate' | 'off') => card({ washOn }).map((each) => each.step);
    expect(order('plate').indexOf('wash')).toBeLessThan(order('plate').indexOf('unload'));
    expect(order('off').indexOf('wash')).toBeGreaterThan(order('off').indexOf('unload'));
  });

  test('the way in the bath and of drying sets the minutes', () => {
    const wash = (washMethod: 'moved' | 'soak' | 'ultrasonic') => step(card({ washMethod }), 'wash')!.minutes;
    expect([wash('moved'), wash('soak'), wash('ultrasonic')]).toEqual([4, 8, 3]);
    expect(step(card({ drying: 'airGun' }), 'dry')).toMatchObject({ minutes: 5 });
  });

  test('a thin part is not prised off, whatever the house uses', () => {
    expect(step(card({ release: 'scraper' }, { wallMm: 3 }), 'unload')).toMatchObject({ how: 'scraper' });
    expect(step(card({ release: 'blade' }, { wallMm: 1 }), 'unload')).toEqual({
      step: 'unload',
      how: 'flexSheet',
      overruled: true,
    });
  });

  test('warm water helps supports off, but never bends thin links', () => {
    expect(step(card({ warmWater: 'use' }), 'supports')).toMatchObject({ water: 'warm' });
    expect(step(card({ warmWater: 'use' }, { thinLinks: true }), 'supports')).toMatchObject({
      water: 'thinLinks',
    });
  });

  test('tips of a part printed larger grow with it or stay as tested', () => {
    const tip = (scaledSupports: 'grow' | 'asTested') =>
      step(card({ scaledSupports }, { scale: 1.6 }), 'supports')!.tipMm as number;
    expect(tip('grow')).toBeCloseTo(1.6 * tip('asTested'), 12);
  });

  test('a thick part cools longer; without its thickness the usual time stands', () => {
    const minutes = (wallMm?: number) => step(card({}, { wallMm }), 'cool')!.minutes as number;
    expect(minutes()).toBe(20);
    expect(minutes(8)).toBeGreaterThan(2 * minutes(3));
  });

  test('a clear part is lacquered where the house does so', () => {
    expect(step(card({ clearFinish: 'lacquer' }, {}, 'Glasswort Clear'), 'coat')).toBeDefined();
    expect(step(card({ clearFinish: 'lacquer' }), 'coat')).toBeUndefined();
  });
});
