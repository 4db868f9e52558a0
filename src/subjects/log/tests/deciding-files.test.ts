import { expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { boundsOf, readMesh, weldCorners, writeStl } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { tables } from '@/store';
import { benchWithPlate } from '@/testing/plate';
import { decidingFile } from '../index';
import { lightImage, turnedByHalf } from '../deciding-files';

const TETRAHEDRON = Uint32Array.of(0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3);

test('a light image is as large as the plate, a line every 5 mm, every other one heavy', () => {
  const svg = lightImage(120, 70);
  expect(svg).toContain('width="120mm" height="70mm"');
  expect(svg.match(/<path/g)).toHaveLength(25 + 15);
  expect(svg.match(/stroke-width="0.6"/g)).toHaveLength(13 + 8);
});

test('a part turned by a half is the same part at the other side', () => {
  const mesh = { positions: Float64Array.of(1, 2, 3, 4, 5, 6, 7, 8, 9), facets: Uint32Array.of(0, 1, 2) };
  const turned = turnedByHalf(mesh);
  expect([...turned.positions]).toEqual([-1, -2, 3, -4, -5, 6, -7, -8, 9]);
  expect(turnedByHalf(turned)).toEqual(mesh);
});

test('what is built for the tests of a run', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-deciding-'));
  try {
    const { runId, db, jobId } = benchWithPlate();
    const hash = 'a'.repeat(64);
    db.insert(tables.meshes).values({ hash, name: 'part.stl', bytes: 1, createdAt: new Date() }).run();
    db.update(tables.jobs).set({ meshHash: hash }).where(eq(tables.jobs.id, jobId)).run();
    const bench = { db, folder, root: folder };
    const posts = await decidingFile(bench, runId, 'postField');
    expect(posts?.type).toBe('model/stl');
    const soup = expectOk(readMesh(posts!.body as Uint8Array));
    const { min, max } = boundsOf(weldCorners(soup.corners).positions);
    expect(max[0] - min[0]).toBeGreaterThan(80);
    expect((await decidingFile(bench, runId, 'imageCheck'))?.type).toBe('image/svg+xml');
    // Its file is missing, and nothing is built for an inspection of the film.
    expect(await decidingFile(bench, runId, 'turnPart')).toBeUndefined();
    mkdirSync(path.join(folder, 'meshes'));
    const corner = { positions: Float64Array.of(0, 0, 0, 4, 0, 0, 0, 2, 0, 0, 0, 1), facets: TETRAHEDRON };
    writeFileSync(path.join(folder, 'meshes', `${hash}.stl`), writeStl(corner));
    const part = await decidingFile(bench, runId, 'turnPart');
    const turned = boundsOf(weldCorners(expectOk(readMesh(part!.body as Uint8Array)).corners).positions);
    expect([turned.min, turned.max]).toEqual([
      [-4, -2, 0],
      [0, 0, 1],
    ]);
    expect(await decidingFile(bench, runId, 'filmToLight')).toBeUndefined();
    expect(await decidingFile(bench, 99, 'postField')).toBeUndefined();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
