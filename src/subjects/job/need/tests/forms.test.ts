import { expect, test } from '@jest/globals';
import { instrumentForm, sessionForm } from '@/subjects/measure/calipers/shared';
import { featureForm, newJobForm } from '@/subjects/job/jobs/shared';
import { describeFaults, parseForm } from '@/subjects/kit/shared';
import { readingInput } from '@/subjects/measure/readings/shared';
import { profileForm } from '@/subjects/signature/shared';
import { needForm } from '../input-need';

function form(fields: Record<string, string>): FormData {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return data;
}

const FEATURE = {
  name: 'Bore',
  sense: 'inside',
  shape: 'round',
  axis: 'X',
  targetMm: '9,56',
  lowerDeviationMm: '-0.05',
  upperDeviationMm: '+0.05',
  revision: '3',
};

test('a feature form is read with comma decimals, and a round size is measured in the plane whatever axis stood there', () => {
  const parsed = parseForm(featureForm, form(FEATURE));
  expect(parsed).toMatchObject({
    ok: true,
    value: {
      targetMm: 9.56,
      lowerDeviationMm: -0.05,
      kind: { sense: 'inside', shape: 'round', axis: 'XY', base: undefined },
      mateMm: undefined,
    },
  });
});

test('an angle is kept in radians, and a base only where a height stands on something', () => {
  const slanted = parseForm(featureForm, form({ ...FEATURE, shape: 'flat', axis: 'XY', angleDeg: '30' }));
  expect(slanted.ok && slanted.value.kind.angleRad).toBeCloseTo(Math.PI / 6, 12);
  const height = parseForm(
    featureForm,
    form({ ...FEATURE, sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' }),
  );
  expect(height).toMatchObject({ ok: true, value: { kind: { base: 'supported' } } });
  const slot = parseForm(featureForm, form({ ...FEATURE, shape: 'flat', axis: 'X', base: 'supported' }));
  expect(slot).toMatchObject({ ok: true, value: { kind: { base: undefined } } });
});

test.each([
  [{ ...FEATURE, targetMm: '' }, 'Target: the field is empty'],
  [{ ...FEATURE, targetMm: 'abc' }, 'Target: “abc” is not a number'],
  [{ ...FEATURE, targetMm: '9000' }, 'Target: enter a value from 0 to 2000'],
  [{ ...FEATURE, name: '  ' }, 'Name: this field is empty'],
  [{ ...FEATURE, name: 'x'.repeat(61) }, 'Name: longer than 60'],
  [{ ...FEATURE, sense: 'within' }, 'Sense: choose one from the list'],
])('a bad field is named as it is labelled (%#)', (fields, sentence) => {
  const parsed = parseForm(featureForm, form(fields));
  expect(parsed.ok ? [] : describeFaults(parsed.issue, featureForm)).toEqual([
    expect.stringContaining(sentence),
  ]);
});

test('everything that is wrong with a form is told at once', () => {
  const parsed = parseForm(
    featureForm,
    form({ ...FEATURE, name: '', targetMm: 'wide', upperDeviationMm: '' }),
  );
  expect(parsed).toMatchObject({
    ok: false,
    issue: {
      name: [{ code: 'needed' }],
      targetMm: [{ code: 'notANumber', text: 'wide' }],
      upperDeviationMm: [{ code: 'blank' }],
    },
  });
});

test('each quantity has its own units: pounds are a force’s, inches are not', () => {
  const need = { name: 'a', rule: 'guarded', fitState: 'cured', revision: '1' };
  expect(parseForm(needForm, form({ ...need, loadN: '2 kgf', hottestC: '212 °F' }))).toMatchObject({
    // 2 · 9.80665 N; 212 °F is where water boils.
    value: { loadN: 19.6133, hottestC: 100 },
  });
  const parsed = parseForm(needForm, form({ ...need, loadN: '5 in' }));
  expect(parsed.ok ? [] : describeFaults(parsed.issue, needForm)).toEqual([
    'Load, value: “in” is not a unit of a force. Use N, kN, kgf or lbf, or leave it out for N.',
  ]);
});

test('a shrink is typed in per cent and kept as a share; unticked boxes are no', () => {
  const profile = {
    printerName: 'A',
    resinName: 'B',
    profileName: 'C',
    layerMm: '0.05',
    shrinkPercent: '0.4',
  };
  expect(parseForm(profileForm, form(profile))).toMatchObject({
    ok: true,
    value: { linearShrink: 0.004, simulated: false, pixelMm: undefined },
  });
});

test('a caliper whose flats are left blank has unknown flats', () => {
  const caliper = { name: 'bench', mpeMm: '0.02', resolutionMm: '0.01', body: 'steel', simulated: 'on' };
  expect(parseForm(instrumentForm, form(caliper))).toMatchObject({
    ok: true,
    value: { jawFlatUnknown: true, simulated: true },
  });
  expect(parseForm(instrumentForm, form({ ...caliper, jawFlatMm: '0.3' }))).toMatchObject({
    ok: true,
    value: { jawFlatUnknown: false },
  });
});

test('a sitting starts with a blank temperature as unknown, not as zero', () => {
  const parsed = parseForm(sessionForm, form({ instrumentId: '1', zeroMm: '0', state: 'cured', partC: '' }));
  expect(parsed).toMatchObject({ ok: true, value: { partC: undefined, warm: false, zeroMm: 0 } });
});

test('needs and names are trimmed; an unknown profile id is refused', () => {
  expect(parseForm(newJobForm, form({ name: ' Hinge ' }))).toEqual({ ok: true, value: { name: 'Hinge' } });
  expect(parseForm(needForm, form({ name: 'a', profileId: '12x', rule: 'guarded', revision: '1' })).ok).toBe(
    false,
  );
  expect(
    parseForm(needForm, form({ name: 'a', profileId: '', rule: 'shared', fitState: 'cured', revision: '1' })),
  ).toMatchObject({
    ok: true,
    value: { profileId: undefined, rule: 'shared' },
  });
});

test('a reading that is no number does not pass', () => {
  const reading = {
    clientKey: '12345678',
    sessionId: 1,
    featureId: 1,
    printId: 1,
    readingMm: 9.5,
    confirmed: false,
  };
  expect(readingInput.safeParse(reading).success).toBe(true);
  expect(readingInput.safeParse({ ...reading, readingMm: NaN }).success).toBe(false);
  expect(readingInput.safeParse({ ...reading, readingMm: '9.5' }).success).toBe(false);
  expect(readingInput.safeParse({ ...reading, featureId: 0 }).success).toBe(false);
});
