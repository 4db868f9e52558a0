import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { list } from 'tar';
import { LARGEST_PICTURE_BYTES } from '@/core/job/need';
import { expectOk } from '@/core/kit';
import { writeBackup } from '@/subjects/workshop/settings';
import { copyJob } from '@/subjects/job/jobs';
import { benchOnDisk, readyBench } from '@/testing/bench';
import { jpegOf, pngOf } from '@/testing/pictures';
import { benchWithPlate } from '@/testing/plate';
import { keepPicture } from '../keep-picture';
import { putPictureAway } from '../put-picture-away';
import { listPictures, listPicturesOfRun, openPicture } from '../view-pictures';

let folder: string;

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'mellow-pictures-'));
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

const PNG = pngOf();

test('a photo is kept with its job under the kind that its bytes say, and put away again', async () => {
  const { db, jobId } = readyBench();
  const id = expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: 'the old wheel' }));
  expectOk(await keepPicture(db, folder, jobId, { bytes: jpegOf(), caption: 'again' }));
  expect(listPictures(db, jobId).map(({ type, caption }) => [type, caption])).toEqual([
    ['png', 'the old wheel'],
    ['jpg', 'again'],
  ]);
  const opened = openPicture(db, folder, id)!;
  expect(new Uint8Array(await buffer(opened.stream))).toEqual(PNG);
  expect(opened).toMatchObject({ bytes: PNG.length, type: 'png' });
  putPictureAway(db, jobId, id);
  expect(listPictures(db, jobId)).toHaveLength(1);
  expect(openPicture(db, folder, 999)).toBeUndefined();
});

test('what is no picture, or too large, is refused and nothing is written', async () => {
  const { db, jobId } = readyBench();
  const keep = (bytes: Uint8Array) => keepPicture(db, folder, jobId, { bytes, caption: '' });
  expect(await keep(new TextEncoder().encode('<svg onload="x">'))).toEqual({
    ok: false,
    issue: { code: 'notAPicture' },
  });
  const large = new Uint8Array(LARGEST_PICTURE_BYTES + 1);
  large.set(PNG);
  expect(await keep(large)).toMatchObject({ ok: false, issue: { code: 'pictureTooLarge' } });
  expect(readdirSync(folder)).toEqual([]);
});

test('pictures go into the backup', async () => {
  const { db, jobId, folder: own, opened, end } = benchOnDisk();
  expectOk(await keepPicture(db, own, jobId, { bytes: PNG, caption: '' }));
  const archive = expectOk(await writeBackup(opened));
  const names: string[] = [];
  await list({ file: archive, onReadEntry: (entry) => names.push(entry.path) });
  expect(names.some((name) => /^pictures\/[0-9a-f]{64}\.png$/.test(name))).toBe(true);
  end();
});

test('a half one from an older version is replaced when the same picture is sent again', async () => {
  const { db, jobId } = readyBench();
  const id = expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: '' }));
  const [name] = readdirSync(path.join(folder, 'pictures'));
  writeFileSync(path.join(folder, 'pictures', name), PNG.subarray(0, 3));
  expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: 'again' }));
  expect(new Uint8Array(await buffer(openPicture(db, folder, id)!.stream))).toEqual(PNG);
  expect(readdirSync(path.join(folder, 'pictures'))).toEqual([name]);
});

test('a picture for a job that is not there is refused and leaves nothing', async () => {
  const { db } = readyBench();
  expect(await keepPicture(db, folder, 999, { bytes: PNG, caption: '' })).toEqual({
    ok: false,
    issue: { code: 'gone' },
  });
  expect(readdirSync(folder)).toEqual([]);
});

test('a copied job has the pictures of the first, and putting one away in it leaves the other’s', async () => {
  const { db, jobId } = readyBench();
  expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: 'the old wheel' }));
  const copyId = expectOk(copyJob(db, jobId));
  const [copied] = listPictures(db, copyId);
  expect(copied.caption).toBe('the old wheel');
  putPictureAway(db, copyId, copied.id);
  expect(listPictures(db, copyId)).toEqual([]);
  expect(listPictures(db, jobId)).toHaveLength(1);
});

test('a photo of what came off stands with its run, and does not go along with a copy of the job', async () => {
  const plate = benchWithPlate();
  const { db, jobId, runId } = plate;
  expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: 'a row is missing', runId }));
  expectOk(await keepPicture(db, folder, jobId, { bytes: PNG, caption: 'the old wheel' }));
  expect(listPicturesOfRun(db, runId).map(({ caption }) => caption)).toEqual(['a row is missing']);
  expect(listPictures(db, expectOk(copyJob(db, jobId))).map(({ caption }) => caption)).toEqual([
    'the old wheel',
  ]);
  const gone = await keepPicture(db, folder, jobId, { bytes: PNG, caption: '', runId: 999 });
  expect(gone).toMatchObject({ ok: false, issue: { code: 'gone' } });
});
