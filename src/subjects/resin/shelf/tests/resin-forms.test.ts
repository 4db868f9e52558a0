import { DEFAULT_PRACTICES } from '@/core/workshop';
import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { requirementForm } from '@/subjects/resin/choice/shared';
import { practicesForm } from '@/subjects/workshop/settings/shared';
import { parseForm } from '@/subjects/kit/shared';
import { RESIN_TEST_FORMS } from '../input-resin-tests';
import { blendForm, factsForm, leftForm, quoteForm } from '../input-resin';

function form(fields: Readonly<Record<string, string>>): FormData {
  const data = new FormData();
  for (const [name, text] of Object.entries(fields)) data.set(name, text);
  return data;
}

const WEIGHTS = {
  weight_heat: '1',
  weight_toughness: '1',
  weight_stiffness: '1',
  weight_detail: '1',
  weight_cost: '0',
};

test('a value typed in °F is kept in °C, with what was typed', () => {
  const quote = expectOk(
    parseForm(
      quoteForm,
      form({ property: 'deflectionLow_C', value: '143.6', unit: '°F', condition: 'cured' }),
    ),
  );
  expect(quote).toMatchObject({ value: 62, typed: '143.6 °F', source: 'datasheet' });
});

test('a value in another quantity’s unit is refused at the value', () => {
  expect(
    parseForm(quoteForm, form({ property: 'shoreA', value: '55', unit: 'MPa', condition: 'cured' })),
  ).toMatchObject({
    issue: { value: [{ code: 'worded', text: expect.stringContaining('” is not valid here. Use') }] },
  });
});

test('facts: what is not said stays unknown, “none” is a statement', () => {
  const open = expectOk(parseForm(factsForm, form({ family: 'tough' })));
  expect(open).toEqual({ family: 'tough', cautions: [] });
  const said = expectOk(
    parseForm(
      factsForm,
      form({
        family: 'tough',
        rated: 'None',
        washKnown: 'on',
        wash_water: 'on',
        light: '405, 385',
        cautions: 'a\nb',
      }),
    ),
  );
  expect(said).toMatchObject({
    rated: [],
    washLiquids: ['water'],
    lightNm: [405, 385],
    cautions: ['a', 'b'],
  });
});

test('a requirement: per cent become shares, blanks are not asked', () => {
  const wanted = expectOk(
    parseForm(
      requirementForm,
      form({ ...WEIGHTS, margin_K: '15', strainPercent: '4.5', rated: 'Food, mains' }),
    ),
  );
  expect(wanted).toMatchObject({
    serviceMax_C: null,
    strainMax: 0.045,
    claims: ['food', 'mains'],
    stiffness_MPa: [null, null],
    impact: null,
    weights: { cost: 0 },
  });
});

test('a blend: parts left blank are none', () => {
  const { recipe } = expectOk(
    parseForm(
      blendForm,
      form({ name: 'x', resin_1: 'A', percent_1: '75', resin_2: 'B', percent_2: '25', resin_3: '' }),
    ),
  );
  expect(recipe).toEqual([
    { resin: 'A', fraction: 0.75 },
    { resin: 'B', fraction: 0.25 },
  ]);
});

test('what is left in a bottle: by level, or weighed with its empty weight', () => {
  expect(expectOk(parseForm(leftForm, form({ leftMl: '310' })))).toEqual({ leftMl: 310 });
  expect(expectOk(parseForm(leftForm, form({ weighedG: '420', emptyG: '60' })))).toEqual({
    weighedG: 420,
    emptyG: 60,
  });
  expect(parseForm(leftForm, form({ weighedG: '420' }))).toMatchObject({
    issue: { weighedG: expect.any(Array) },
  });
  expect(parseForm(leftForm, form({}))).toMatchObject({ issue: { leftMl: expect.any(Array) } });
});

test('the house picks a side of each difference', () => {
  const sides = {
    ...DEFAULT_PRACTICES,
    supportsOff: 'cured',
    assemble: 'green',
    cure: 'long',
    cureIn: 'water',
    washWith: 'water',
    mixing: 'neat',
  };
  expect(
    expectOk(parseForm(practicesForm, form({ ...sides, wash_water: 'on', roomC: '', changeoverMl: '25' }))),
  ).toEqual({ schools: sides, liquids: ['water'], roomC: null, changeoverMl: 25 });
  expect(parseForm(practicesForm, form({ ...sides, cure: 'none' }))).toMatchObject({
    issue: { cure: expect.any(Array) },
  });
});

describe('proofs', () => {
  test('a bend bar: lists of readings, rows that are filled', () => {
    const { test: bend } = expectOk(
      parseForm(
        RESIN_TEST_FORMS.bend,
        form({
          bend: 'threePoint',
          spanMm: '80',
          widthsMm: '10.02 10.01',
          thicknessesMm: '4,01; 4,00',
          massG_0: '0',
          readingMm_0: '12.1',
          massG_3: '200',
          readingMm_3: '12.3',
          massG_4: '300',
        }),
      ),
    );
    expect(bend).toMatchObject({
      widthsMm: [10.02, 10.01],
      thicknessesMm: [4.01, 4],
      steps: [
        { massG: 0, readingMm: 12.1 },
        { massG: 200, readingMm: 12.3 },
      ],
    });
  });
  test('words where numbers are wanted are refused at their field', () => {
    const fields = { bend: 'threePoint', spanMm: '80', widthsMm: 'ten', thicknessesMm: '4' };
    expect(parseForm(RESIN_TEST_FORMS.bend, form(fields))).toMatchObject({
      issue: { widthsMm: [{ code: 'notNumbers' }] },
    });
  });
  test('falls: whole and broken', () => {
    expect(expectOk(parseForm(RESIN_TEST_FORMS.drop, form({ wholeM: '1 1', brokenM: '1.8' }))).test).toEqual({
      trials: [
        { heightM: 1, broke: false },
        { heightM: 1, broke: false },
        { heightM: 1.8, broke: true },
      ],
    });
  });
  test('sag, break, shades and creep', () => {
    const bar = { bend: 'cantilever', spanMm: '60', widthMm: '10', thicknessMm: '4' };
    const sag = { ...bar, massG: '50', bath: 'oven', thermometerK: '1', tempC_0: '20', readingMm_0: '3' };
    expect(expectOk(parseForm(RESIN_TEST_FORMS.sag, form(sag))).test).toMatchObject({
      bath: 'oven',
      steps: [{ tempC: 20 }],
    });
    expect(
      expectOk(parseForm(RESIN_TEST_FORMS.break, form({ ...bar, deflectionsMm: '6' }))).test,
    ).toMatchObject({
      broke: false,
      deflectionsMm: [6],
    });
    expect(
      expectOk(parseForm(RESIN_TEST_FORMS.yellowing, form({ accepted: '1', minutes_0: '2', shade_0: '0' })))
        .test,
    ).toEqual({ accepted: 1, readings: [{ minutes: 2, shade: 0 }] });
    expect(
      expectOk(parseForm(RESIN_TEST_FORMS.creep, form({ under: 'sun', firstMm: '12', weeks: '6' }))).test,
    ).toEqual({ under: 'sun', firstMm: 12, weeks: 6, caliperMm: 0.02 });
  });
});
