import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { parseForm, wordsOfField } from '@/subjects/kit/shared';
import { emptyBench } from '@/testing/bench';
import { formOf } from '@/testing/forms';
import { readHouseRules, writeHouseRules } from '../index';
import { maintenanceRulesForm } from '../shared';

const FIELDS = {
  filmLayers: '40000',
  filmCost: '12,5',
  panelHours: '1500',
  filterRuns: '10.4',
  drainDays: '14',
  washParts: '50',
  lookRuns: '5',
};

test('the house’s care is kept, whole prints and days; nought and blank are refused', () => {
  const db = emptyBench();
  const care = expectOk(parseForm(maintenanceRulesForm, formOf(FIELDS)));
  expect(care).toMatchObject({ filmLayers: 40_000, filmCost: 12.5, filterRuns: 10 });
  writeHouseRules(db, { care });
  expect(readHouseRules(db).care).toEqual(care);
  expect(parseForm(maintenanceRulesForm, formOf({ ...FIELDS, lookRuns: '0' })).ok).toBe(false);
  expect(parseForm(maintenanceRulesForm, formOf({ ...FIELDS, drainDays: '' })).ok).toBe(false);
});

test('every field has a label', () => {
  for (const name of Object.keys(FIELDS))
    expect(wordsOfField(maintenanceRulesForm, name).label).not.toBe(name);
});
