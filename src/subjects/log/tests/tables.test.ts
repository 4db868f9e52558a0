import { describe, expect, test } from '@jest/globals';
import { OUR_TABLES, readFailure, tablesOf } from '@/core/log';
import { expectOk } from '@/core/kit';
import { readHouseRules } from '@/subjects/workshop/settings';
import { parseForm } from '@/subjects/kit/shared';
import { emptyBench } from '@/testing/bench';
import { formOf } from '@/testing/forms';
import { changeLine, changePrior, dropEdit } from '../index';
import { lineForm, lineNameInput, priorForm } from '../shared';

describe('the tables that failures are read by', () => {
  test('a line of the house stands instead of ours, and goes back to ours', () => {
    const db = emptyBench();
    const wanted = expectOk(
      parseForm(lineForm, formOf({ line: 'evidence coldRoom', usual: '20', cold: '60', unmixed: '' })),
    );
    expect(wanted).toEqual({
      line: { of: 'evidence', name: 'coldRoom' },
      chances: { usual: 0.2, but: { cold: 0.6 } },
    });
    changeLine(db, wanted.line, wanted.chances);
    const tables = () => tablesOf(readHouseRules(db).causes);
    expect(tables().evidence.coldRoom).toMatchObject({ usual: 0.2, but: { cold: 0.6 } });
    expect(tables().evidence.coldRoom.why).toBe(OUR_TABLES.evidence.coldRoom.why);
    expect(tables().evidence.lowVat).toEqual(OUR_TABLES.evidence.lowVat);
    const cold = (lines: typeof OUR_TABLES.evidence) =>
      expectOk(readFailure({ kind: 'sheared', evidence: { coldRoom: true } }, undefined, lines)).chances.cold;
    expect(cold(tables().evidence)).toBeLessThan(cold(OUR_TABLES.evidence));
    dropEdit(db, wanted.line);
    expect(tables()).toEqual(OUR_TABLES);
  });

  test('how often each cause is it, before this bench found any', () => {
    const db = emptyBench();
    changePrior(db, { ...OUR_TABLES.prior, film: 60 });
    expect(tablesOf(readHouseRules(db).causes).prior.film).toBe(60);
    dropEdit(db, { of: 'prior' });
    expect(tablesOf(readHouseRules(db).causes)).toEqual(OUR_TABLES);
  });

  test('a nought, a hundred, a cause left out of the prior and a line that is none are refused', () => {
    const line = { line: 'tests imageCheck', usual: '5' };
    expect(parseForm(lineForm, formOf(line)).ok).toBe(true);
    expect(parseForm(lineForm, formOf({ ...line, panel: '0' })).ok).toBe(false);
    expect(parseForm(lineForm, formOf({ ...line, panel: '100' })).ok).toBe(false);
    expect(parseForm(lineForm, formOf({ ...line, line: 'tests nothing' })).ok).toBe(false);
    expect(parseForm(priorForm, formOf({ film: '3' })).ok).toBe(false);
    expect(lineNameInput.safeParse({ of: 'evidence', name: 'imageCheck' }).success).toBe(false);
  });
});
