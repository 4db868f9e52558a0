import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, test } from '@jest/globals';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { mellow as runMellow } from '@/testing/mellow';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-fits-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const mellow = (...words: string[]) => {
  const run = runMellow(...words);
  return { ...run, json: () => run.json() as Record<string, number> };
};

function inFolder(name: string, content: string): string {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  return file;
}

describe('mellow ladder', () => {
  test('gives threshold, width and the gap to draw', () => {
    const rows = ['gap_mm,outcome', '0.1,fused', '0.2,fused', '0.3,free', '0.4,free', '0.5,sloppy'];
    const { status, json } = mellow('ladder', inFolder('outcomes.csv', rows.join('\n')));
    expect(status).toBe(0);
    const report = json();
    expect(Object.keys(report).sort()).toEqual(['g50_mm', 'interval95_mm', 'recommended_mm', 'width_mm']);
    expect(report.g50_mm).toBeGreaterThan(0.2);
    expect(report.recommended_mm).toBeGreaterThan(report.g50_mm);
  });

  test('all fused still computes, and says so beside it; a strange word is refused by its row', () => {
    const fused = mellow('ladder', inFolder('fused.csv', 'gap_mm,outcome\n0.1,fused\n0.2,fused\n'));
    expect(fused.status).toBe(0);
    expect(fused.stderr).toMatch(/Every step up to 0.20 fused/);
    const strange = mellow('ladder', inFolder('strange.csv', 'gap_mm,outcome\n0.1,melted\n'));
    expect(strange.status).toBe(2);
    expect(strange.stderr).toMatch(/melted/);
  });
});

describe('mellow press, snap and iso286', () => {
  const press = [
    'press',
    '--interface',
    '8',
    '--outer',
    '14',
    '--bore',
    '0',
    '--interference',
    '0.05',
    '--hub-e',
    '2100',
  ];
  const rest = [
    '--hub-nu',
    '0.4',
    '--shaft-e',
    '200000',
    '--shaft-nu',
    '0.3',
    '--length',
    '8',
    '--friction',
    '0.3',
  ];

  test('a press fit gives pressure, stress, strain and push; a hub without a wall is refused', () => {
    const { status, json } = mellow(...press, ...rest);
    expect(status).toBe(0);
    expect(json().pressure_MPa).toBeCloseTo(5.52, 1);
    const bare = mellow(...press.with(4, '7'), ...rest);
    expect(bare.status).toBe(2);
    expect(bare.stderr).toMatch(/the hub has no wall/);
  });

  test('a hook gives strain and forces; a slope that locks is refused', () => {
    const hook = [
      '--length',
      '12',
      '--thickness',
      '1.6',
      '--width',
      '4',
      '--deflection',
      '0.7',
      '--modulus',
      '2000',
    ];
    const { json } = mellow('snap', ...hook, '--friction', '0.3', '--lead-deg', '30');
    expect(json().strain).toBeCloseTo(0.01167, 4);
    const locked = mellow('snap', ...hook, '--friction', '0.8', '--lead-deg', '60');
    expect(locked.status).toBe(2);
    expect(locked.stderr).toMatch(/the slope locks/);
  });

  test('letters give limits; what is no fit is told how to be written', () => {
    expect(mellow('iso286', '25', 'H7/g6').json()).toMatchObject({ clearance_um: { min: 7, max: 41 } });
    const wrong = mellow('iso286', '25', 'loose');
    expect(wrong.status).toBe(2);
    expect(wrong.stderr).toMatch(/Enter hole, slash, shaft/);
  });
});

describe('mellow gauge', () => {
  test('writes a closed solid and says what it takes', () => {
    const file = path.join(folder, 'pockets.stl');
    const { status, json } = mellow('gauge', 'pocket', '--from', '2.3', '--count', '5', '-o', file);
    expect(status).toBe(0);
    expect(json()).toMatchObject({ watertight: true, layers: 140 });
    const mesh = weldCorners(expectOk(readStl(new Uint8Array(readFileSync(file)))).corners);
    expect(checkMesh(mesh).watertight).toBe(true);
  });

  test('writes 3MF where the name asks for it; a kind that there is not is told the ones there are', () => {
    const file = path.join(folder, 'hinge.3mf');
    expect(mellow('gauge', 'hinge', '--count', '3', '-o', file).status).toBe(0);
    expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK');
    const strange = mellow('gauge', 'boat', '-o', file);
    expect(strange.status).toBe(2);
    expect(strange.stderr).toMatch(/hinge, ball, links/);
    expect(mellow('gauge', 'hole', '--from', '5').stderr).toMatch(/output file missing/);
  });
});
