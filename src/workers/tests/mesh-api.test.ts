import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { checkMesh, readStl, weldCorners, write3mf, writeStl } from '@/core/part/mesh';
import { box } from '@/testing/meshes';
import { MeshApi } from '../mesh-api';

const BY = {
  epsilonX: 0,
  epsilonY: 0,
  epsilonZ: 0,
  skew: 0,
  edgeMm: 0.05,
  insideMm: 0,
  roundMm2: 0,
  zSupportedMm: 0,
  zPlateMm: 0,
};

test('a part is loaded, corrected and measured on both files', () => {
  const api = new MeshApi();
  const loaded = expectOk(api.load(writeStl(box(10, 20, 5))));
  expect(loaded.check.watertight).toBe(true);
  const corrected = api.correct({ by: BY }, [
    { id: 7, kind: { sense: 'outside', shape: 'flat', axis: 'Y' }, anchorMm: [1, 10, 2] },
  ]);
  expect(corrected.sizes[0]).toMatchObject({ id: 7, beforeMm: 20 });
  expect(corrected.sizes[0].afterMm).toBeCloseTo(19.9, 6);
  expect(corrected.watertight).toBe(true);
  const written = checkMesh(weldCorners(expectOk(readStl(corrected.stl)).corners));
  expect(written.bounds.max[0] - written.bounds.min[0]).toBeCloseTo(9.9, 5);
});

test('a part that came as 3MF is handed on as STL, the one that is one already is not', () => {
  const part = expectOk(new MeshApi().load(write3mf(box(10, 20, 5)), undefined, 'part.3mf'));
  expect(checkMesh(weldCorners(expectOk(readStl(part.stl!)).corners)).volumeMm3).toBeCloseTo(1000, 6);
  expect(expectOk(new MeshApi().load(writeStl(box(10, 20, 5)))).stl).toBeUndefined();
});

test('what is no part is refused, and correcting before loading is a mistake of the caller', () => {
  const api = new MeshApi();
  expect(api.load(new Uint8Array(0))).toEqual({ ok: false, issue: { code: 'emptyFile' } });
  expect(() => api.correct({ by: BY }, [])).toThrow(RangeError);
});

test('with a foot the file stands on a smaller base, its sizes higher up unmoved; a thin wall is counted, a low part left', () => {
  const widthAt = (stl: Uint8Array, isLow: boolean) => {
    const { positions } = weldCorners(expectOk(readStl(stl)).corners);
    const xs = [...positions].filter((_, i) => i % 3 === 0 && positions[i + 2] < 1e-6 === isLow);
    return Math.max(...xs) - Math.min(...xs);
  };
  const correct = (part: ReturnType<typeof box>, chamferMm: number) => {
    const api = new MeshApi();
    expectOk(api.load(writeStl(part)));
    return api.correct({ by: BY, chamferMm }, []);
  };
  const block = correct(box(10, 20, 5), 0.2);
  expect(widthAt(block.stl, true)).toBeCloseTo(9.5, 4);
  expect(widthAt(block.stl, false)).toBeCloseTo(9.9, 4);
  expect([block.watertight, block.crossedFacets]).toEqual([true, 0]);
  expect(correct(box(10, 0.4, 5), 0.2).crossedFacets).toBeGreaterThan(0);
  expect(widthAt(correct(box(10, 20, 0.1), 0.2).stl, true)).toBeCloseTo(9.9, 4);
});
