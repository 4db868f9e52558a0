import { describe, expect, test } from '@jest/globals';
import { FIT_CLASSES_AT_10MM, WISHES } from '@/core/fit/mating';
import { expectOk } from '@/core/kit';
import { gaugeForm } from '@/subjects/fit/gauges/shared';
import { classesForm } from '@/subjects/workshop/settings/shared';
import { parseForm } from '@/subjects/kit/shared';
import { needForm } from '@/subjects/job/need/shared';
import { interfacesIn, sheetFormOf, sheetKindForm } from '@/subjects/job/sheets/shared';
import { jointForm, strengthForm, wishForm } from '../input-fit';

function form(fields: Readonly<Record<string, string>>): FormData {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return data;
}

const WISH = { wish: 'push', ruin: 'none', mateName: 'sleeve', material: 'steel', origin: 'bought' };

const JOINT = {
  name: 'Lid',
  kind: 'hinge',
  gapMm: '0.25',
  pinMm: '4',
  spanMm: '20',
  scalePercent: '160',
  freed: 'green',
};

describe('forms of a fit', () => {
  test('a wish has its class, or both ends of its own clearance, never one', () => {
    expect(expectOk(parseForm(wishForm, form(WISH)))).toMatchObject({ clearance: undefined, coatMm: 0 });
    const own = { ...WISH, lowMm: '-0,05', highMm: '0.11', isoFit: ' ' };
    expect(expectOk(parseForm(wishForm, form(own)))).toMatchObject({
      clearance: { lowMm: -0.05, highMm: 0.11 },
      isoFit: undefined,
    });
    expect(parseForm(wishForm, form({ ...WISH, lowMm: '0.1' }))).toEqual({
      ok: false,
      issue: { highMm: [{ code: 'together', other: 'lowMm' }] },
    });
  });

  test.each(['0', '9', '4000'])('a joint at %s %% is refused with the range', (scalePercent) => {
    expect(parseForm(jointForm, form({ ...JOINT, scalePercent }))).toEqual({
      ok: false,
      issue: { scalePercent: [{ code: 'outOfRange', low: 10, high: 1000, unit: '%' }] },
    });
  });

  test('a joint may leave its roof and its play open', () => {
    expect(expectOk(parseForm(jointForm, form(JOINT)))).toMatchObject({
      heightGapMm: undefined,
      mostAngleDeg: undefined,
      scale: 1.6,
    });
  });

  test('classes rise from grip to loose, each with its least below its most', () => {
    const fields = Object.fromEntries(
      WISHES.flatMap((wish) => {
        const { lowMm, highMm } = FIT_CLASSES_AT_10MM[wish];
        return [
          [`low_${wish}`, String(lowMm)],
          [`high_${wish}`, String(highMm)],
        ];
      }),
    );
    expect(expectOk(parseForm(classesForm, form(fields)))).toEqual(FIT_CLASSES_AT_10MM);
    expect(parseForm(classesForm, form({ ...fields, high_push: '-0.2' }))).toMatchObject({
      ok: false,
      issue: { low_push: expect.any(Array) },
    });
    expect(parseForm(classesForm, form({ ...fields, low_slide: '-0.2' }))).toMatchObject({
      ok: false,
      issue: { low_slide: expect.any(Array) },
    });
  });

  test('a resin’s elongation is typed in per cent and kept as a share', () => {
    expect(expectOk(parseForm(strengthForm, form({ breakPercent: '12' })))).toEqual({ breakStrain: 0.12 });
  });
});

describe('forms of a sheet', () => {
  const parseSheet = (data: FormData) => parseForm(sheetFormOf('ring', interfacesIn(data)), data);

  test('takes options, wishes and own clearances by their ids, and leaves strangers alone', () => {
    const choices = expectOk(
      parseSheet(
        form({
          option_proud: '0.5',
          option_shoulder: '',
          wish_housing: 'grip',
          ruin_housing: 'tightRuins',
          least_shaft: '0.01',
          most_shaft: '0.1',
          stranger: 'x',
        }),
      ),
    );
    expect(choices).toEqual({
      kind: 'ring',
      options: { proud: 0.5 },
      wishes: {
        housing: { wish: 'grip', ruin: 'tightRuins' },
        shaft: { clearance: { lowMm: 0.01, highMm: 0.1 } },
      },
    });
  });

  test('names the option or clearance that cannot be taken', () => {
    expect(parseSheet(form({ option_proud: '900' }))).toMatchObject({
      ok: false,
      issue: { option_proud: [{ code: 'outOfRange' }] },
    });
    expect(parseSheet(form({ least_shaft: '0.1', most_shaft: '' }))).toMatchObject({
      ok: false,
      issue: { most_shaft: [{ code: 'together', other: 'least_shaft' }] },
    });
    expect(parseForm(sheetKindForm, form({ kind: 'boat' }))).toMatchObject({
      ok: false,
      issue: { kind: expect.any(Array) },
    });
  });
});

describe('forms of a gauge and of the need', () => {
  test('a gauge takes the usual ladder for blanks', () => {
    const { parameters } = expectOk(parseForm(gaugeForm, form({ choice: 'roof', profileId: '1' })));
    expect(parameters).toEqual({ choice: 'roof', fromMm: 0.1, stepMm: 0.05, count: 9, pinMm: 5 });
  });

  test('what a ladder is tried with needs a size', () => {
    const given = { choice: 'pocket', profileId: '1', fromMm: '2.3', mateMm: '2.37' };
    expect(expectOk(parseForm(gaugeForm, form(given))).mate).toEqual({
      name: 'Mate',
      sizeMm: 2.37,
      u_mm: 0.01,
    });
    expect(expectOk(parseForm(gaugeForm, form({ ...given, mateMm: '' }))).mate).toBeUndefined();
  });

  test('claims are ticked boxes, a day is a day', () => {
    const need = {
      name: 'a',
      rule: 'guarded',
      revision: '1',
      fitState: 'cured',
      claim_mains: 'on',
      dueOn: '2026-12-01',
      quantity: '',
    };
    expect(expectOk(parseForm(needForm, form(need)))).toMatchObject({
      claims: ['mains'],
      quantity: 1,
      dueOn: '2026-12-01',
    });
    expect(parseForm(needForm, form({ ...need, dueOn: 'tomorrow' }))).toEqual({
      ok: false,
      issue: { dueOn: [{ code: 'notADay', text: 'tomorrow' }] },
    });
  });
});
