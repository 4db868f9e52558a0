import { describe, expect, test } from '@jest/globals';
import { CHECK_RULES } from '@/core/part/findings';
import { expectOk } from '@/core/kit';
import { checkRulesForm } from '@/subjects/workshop/settings/shared';
import { parseForm } from '@/subjects/kit/shared';
import { printerForm } from '@/subjects/signature/shared';
import { findingForm, findingsInput, foundFeatureForm, printSetupForm } from '../input-check';

function form(fields: Readonly<Record<string, string>>): FormData {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return data;
}

describe('forms of the check', () => {
  test('on supports the height is needed, else it does not matter', () => {
    expect(expectOk(parseForm(printSetupForm, form({ stance: 'plate', liftMm: '' })))).toEqual({
      kind: 'plate',
    });
    expect(expectOk(parseForm(printSetupForm, form({ stance: 'supports', liftMm: '5' })))).toEqual({
      kind: 'supports',
      liftMm: 5,
    });
    expect(parseForm(printSetupForm, form({ stance: 'supports', liftMm: '' }))).toMatchObject({
      issue: { liftMm: [{ code: 'blank' }] },
    });
    expect(parseForm(printSetupForm, form({ stance: '' }))).toMatchObject({
      issue: { stance: expect.any(Array) },
    });
  });
  test('a station has all three sides or none', () => {
    const asked = {
      printerId: '1',
      plate0: '130',
      plate1: '80',
      plate2: '160',
      lamp0: '',
      lamp1: '',
      lamp2: '',
      pixelMm: '0.022',
      lightNm: '405',
    };
    expect(expectOk(parseForm(printerForm, form(asked)))).toEqual({
      printerId: 1,
      facts: { pixelMm: 0.022, lightNm: 405, layerSeconds: null, rooms: { plate: [130, 80, 160] } },
    });
    expect(parseForm(printerForm, form({ ...asked, lamp1: '90' }))).toMatchObject({
      issue: { lamp0: expect.any(Array) },
    });
  });
  test('a found size becomes a feature with its kind, limits and place', () => {
    const found = {
      name: 'Hole',
      sense: 'inside',
      shape: 'round',
      axis: 'XY',
      base: '',
      angleRad: '',
      targetMm: '6',
      toleranceMm: '0.1',
      anchor: '1,2,3',
    };
    expect(expectOk(parseForm(foundFeatureForm, form(found)))).toEqual({
      name: 'Hole',
      kind: { sense: 'inside', shape: 'round', axis: 'XY' },
      targetMm: 6,
      lowerDeviationMm: -0.1,
      upperDeviationMm: 0.1,
      anchor: [1, 2, 3],
    });
    expect(parseForm(foundFeatureForm, form({ ...found, anchor: '1,2' }))).toMatchObject({
      issue: { anchor: expect.any(Array) },
    });
    expect(
      expectOk(parseForm(foundFeatureForm, form({ ...found, shape: 'flat', angleRad: '0.5' }))).kind.angleRad,
    ).toBe(0.5);
  });
  test('rules of the house come as percentages and go as shares', () => {
    const typed = {
      wallPixels: '4',
      leastGapMm: '0.2',
      floorLayers: '4',
      selfSupportingDeg: '45',
      hangMm2: '4',
      peelPercent: '40',
      contactPercent: '10',
      cupMm2: '10',
    };
    expect(expectOk(parseForm(checkRulesForm, form(typed)))).toEqual(CHECK_RULES);
    expect(parseForm(checkRulesForm, form({ ...typed, peelPercent: '140' }))).toMatchObject({
      issue: { peelPercent: expect.any(Array) },
    });
  });
  test('a verdict is one of three; what a page sends of findings is held to their shape', () => {
    expect(parseForm(findingForm, form({ key: 'a', title: 'b', verdict: 'maybe' }))).toMatchObject({
      ok: false,
    });
    const finding = {
      key: 'island@6',
      code: 'island',
      risk: 'printLost',
      chance: 'likely',
      costHours: 1,
      measured: 2,
      more: 0,
    };
    const sent = { source: 'x', stance: { kind: 'plate' }, layerMm: 0.05, findings: [finding] };
    expect(findingsInput.safeParse(sent).success).toBe(true);
    expect(findingsInput.safeParse({ ...sent, findings: [{ ...finding, code: 'ghost' }] }).success).toBe(
      false,
    );
    expect(findingsInput.safeParse({ ...sent, layerMm: 0 }).success).toBe(false);
  });
});
