import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { LARGEST_FILE_BYTES } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { createJob } from '@/subjects/job/jobs';
import { exportReadings, importReadings } from '@/subjects/measure/readings';
import { findMesh, keepMesh, openMesh, readMesh } from '@/subjects/workshop/records';
import { emptyBench, readyBench } from '@/testing/bench';
import { readReference } from '@/testing/reference';
import { writeHouseRules } from '../change-house-rules';
import { HOUSE_DEFAULTS, readHouseRules } from '../view-house-rules';

let folder: string;

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'mellow-files-'));
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('keeping a part’s file', () => {
  const body = () => Readable.from([Buffer.from('solid '), Buffer.from('part')]);

  test('it lies under the hash of its bytes, once', async () => {
    const db = emptyBench();
    const hash = expectOk(await keepMesh(db, folder, { name: 'part.stl', body: body(), announced: 10 }));
    expect(hash).toBe(createHash('sha256').update('solid part').digest('hex'));
    expectOk(await keepMesh(db, folder, { name: 'again.stl', body: body() }));
    expect(findMesh(db, hash)?.name).toBe('part.stl');
    expect(readdirSync(path.join(folder, 'meshes'))).toEqual([`${hash}.stl`]);
    expect(openMesh(folder, hash)?.bytes).toBe(10);
    expect(Buffer.from(await readMesh(folder, hash)).toString()).toBe('solid part');
  });

  test('cut in transfer, empty or too large it leaves nothing behind', async () => {
    const db = emptyBench();
    expect(await keepMesh(db, folder, { name: 'a', body: body(), announced: 99 })).toMatchObject({
      issue: { code: 'cutInTransfer', arrived: 10 },
    });
    expect(await keepMesh(db, folder, { name: 'a', body: Readable.from([]) })).toMatchObject({
      issue: { code: 'emptyFile' },
    });
    expect(
      await keepMesh(db, folder, { name: 'a', body: body(), announced: LARGEST_FILE_BYTES + 1 }),
    ).toMatchObject({ issue: { code: 'tooLarge' } });
    expect(existsSync(path.join(folder, 'meshes')) ? readdirSync(path.join(folder, 'meshes')) : []).toEqual(
      [],
    );
  });

  test('an address that is no hash opens nothing', () => {
    expect(() => openMesh(folder, '../../etc/passwd')).toThrow(RangeError);
    expect(openMesh(folder, 'a'.repeat(64))).toBeUndefined();
  });
});

describe('readings.csv of a job', () => {
  test('the reference file is taken in whole, once, and goes out again', () => {
    const { db, profileId } = readyBench();
    const jobId = createJob(db, 'from a file', profileId);
    const report = expectOk(importReadings(db, jobId, readReference('signature-11.readings.csv')));
    expect(report.readings).toBeGreaterThan(20);
    expect(expectOk(importReadings(db, jobId, readReference('signature-11.readings.csv')))).toMatchObject({
      readings: 0,
      alreadyHere: report.readings,
      newFeatures: 0,
    });
    expect(exportReadings(db, jobId).trim().split('\n')).toHaveLength(report.readings + 1);
  });

  test('a bad line leaves nothing of the file', () => {
    const { db, profileId } = readyBench();
    const jobId = createJob(db, 'from a file', profileId);
    const bad = `${readReference('signature-12.readings.csv').trim()}\nring outer,outside,round,XY,,,99,P1,cured,31.5\n`;
    expect(importReadings(db, jobId, bad)).toMatchObject({
      ok: false,
      issue: { code: 'otherDrawn', feature: 'ring outer' },
    });
    expect(queries.listFeatures(db, jobId)).toEqual([]);
  });

  test('without a profile or with an instrument nobody knows it says so', () => {
    const { db, profileId } = readyBench();
    expect(importReadings(db, createJob(db, 'x'), readReference('signature-12.readings.csv'))).toMatchObject({
      issue: { code: 'noProfile' },
    });
    const header = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm,instrument';
    const row = 'w,outside,flat,X,,,5,P1,cured,5.01,unknown one';
    expect(importReadings(db, createJob(db, 'y', profileId), `${header}\n${row}\n`)).toMatchObject({
      issue: { code: 'noInstrument', line: 2 },
    });
    expect(importReadings(db, 999, `${header}\n${row}\n`)).toMatchObject({ issue: { code: 'gone' } });
  });
});

test('house rules have defaults and stay as they were set', () => {
  const db = emptyBench();
  expect(readHouseRules(db)).toEqual(HOUSE_DEFAULTS);
  writeHouseRules(db, { benchName: 'Tern Rock', letterKeys: false });
  writeHouseRules(db, { benchName: 'Tern Rock bench', letterKeys: false });
  expect(readHouseRules(db)).toEqual({ ...HOUSE_DEFAULTS, benchName: 'Tern Rock bench', letterKeys: false });
  const fitClasses = { ...HOUSE_DEFAULTS.fitClasses, push: { lowMm: 0.01, highMm: 0.05 } };
  writeHouseRules(db, { fitClasses });
  expect(readHouseRules(db)).toEqual({
    ...HOUSE_DEFAULTS,
    benchName: 'Tern Rock bench',
    letterKeys: false,
    fitClasses,
  });
});
