import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { list } from 'tar';
import { LARGEST_PICTURE_BYTES } from '@/core/need';
import { expectOk } from '@/core/result';
import { writeBackup } from '@/subjects/house';
import { copyJob } from '@/subjects/job';
import { readyBench } from '@/testing/bench';
import { keepPicture } from '../keep-picture';
import { putPictureAway } from '../put-picture-away';
import { listPictures, openPicture } from '../view-pictures';

let folder: string;

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'mellow-pictures-'));
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]);

test('a photo is kept with its job under the kind that its bytes say, and put away again', async () => {
  const { db, jobId } = readyBench();
  const id = expectOk(keepPicture(db, folder, jobId, { bytes: PNG, caption: 'the old wheel' }));
  expectOk(
    keepPicture(db, folder, jobId, { bytes: new Uint8Array([0xff, 0xd8, 0xff, 0]), caption: 'again' }),
  );
  expect(listPictures(db, jobId).map(({ type, caption }) => [type, caption])).toEqual([
    ['png', 'the old wheel'],
    ['jpg', 'again'],
  ]);
  const opened = openPicture(db, folder, id)!;
  expect(new Uint8Array(await buffer(opened.stream))).toEqual(PNG);
  expect(opened).toMatchObject({ bytes: PNG.length, type: 'png' });
  putPictureAway(db, id);
  expect(listPictures(db, jobId)).toHaveLength(1);
  expect(openPicture(db, folder, 999)).toBeUndefined();
});

test('what is no picture, or too large, is refused and nothing is written', () => {
  const { db, jobId } = readyBench();
  const keep = (bytes: Uint8Array) => keepPicture(db, folder, jobId, { bytes, caption: '' });
  expect(keep(new TextEncoder().encode('<svg onload="x">'))).toEqual({
    ok: false,
    issue: { code: 'notAPicture' },
  });
  const large = new Uint8Array(LARGEST_PICTURE_BYTES + 1);
  large.set(PNG);
  expect(keep(large)).toMatchObject({ ok: false, issue: { code: 'pictureTooLarge' } });
  expect(readdirSync(folder)).toEqual([]);
});

test('pictures go into the backup', async () => {
  const { db, jobId } = readyBench();
  expectOk(keepPicture(db, folder, jobId, { bytes: PNG, caption: '' }));
  const archive = await writeBackup(db, folder);
  const names: string[] = [];
  await list({ file: archive, onReadEntry: (entry) => names.push(entry.path) });
  expect(names.some((name) => /^pictures\/[0-9a-f]{64}\.png$/.test(name))).toBe(true);
  rmSync(path.dirname(archive), { recursive: true, force: true });
});

test('a copied job has the pictures of the first, and putting one away in it leaves the other’s', () => {
  const { db, jobId } = readyBench();
  expectOk(keepPicture(db, folder, jobId, { bytes: PNG, caption: 'the old wheel' }));
  const copyId = expectOk(copyJob(db, jobId));
  const [copied] = listPictures(db, copyId);
  expect(copied.caption).toBe('the old wheel');
  putPictureAway(db, copied.id);
  expect(listPictures(db, copyId)).toEqual([]);
  expect(listPictures(db, jobId)).toHaveLength(1);
});
