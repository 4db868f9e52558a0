import { afterAll, describe, expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkMesh, readStl, weldCorners, writeStl } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { COMMANDS, GROUPS } from '../commands';
import { loadTestKernel } from '@/testing/kernel';
import { mellow } from '@/testing/mellow';
import { printedSolids, seatedMesh } from '@/testing/printed-solids';
import { box, joined, moved } from '@/testing/meshes';
import type { ExpectedSignature } from '@/testing/reference';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-cli-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const inFolder = (name: string, content: string | Uint8Array) => {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  return file;
};

describe('mellow signature', () => {
  test('one JSON object on standard output, remarks on standard error', () => {
    const rows = readFileSync('reference/signature-12.readings.csv', 'utf8').trim().split('\n');
    const low = inFolder(
      'low.csv',
      [`${rows[0]},height_mm`, ...rows.slice(1).map((row, i) => `${row},${i === 0 ? 0.3 : 5}`)].join('\n'),
    );
    const { status, stdout, stderr } = mellow('signature', low, '--json');
    expect(status).toBe(0);
    expect(() => JSON.parse(stdout) as unknown).not.toThrow();
    expect(stderr).toContain('line 2: ring outer was measured 0.3 mm above the plate');
  });

  test.each([
    [['signature'], "Missing required argument 'READINGS.csv'. See mellow signature --help."],
    [['signature', 'nowhere.csv'], 'nowhere.csv: no such file'],
    [['signature', 'src'], 'src: this is a folder'],
    [['signature', 'reference/README.md'], 'line 1: the columns'],
    [['signature', 'reference/signature-12.readings.csv', '--mpe', 'abc'], '--mpe: “abc” is not a number'],
    [
      ['signature', 'reference/signature-12.readings.csv', '--state', 'wet'],
      '--state: “wet” is not valid. Use one of',
    ],
    [
      ['signature', 'reference/signature-12.readings.csv', '--stat', 'cured'],
      "Unknown option '--stat'. Did you mean --state?",
    ],
    [['signature', 'reference/signature-12.readings.csv', '--mpe'], 'argument missing'],
    [['signatur'], "Unknown command 'signatur'. Did you mean signature?"],
    [['mesh', 'chek'], "Unknown command 'chek'. Did you mean check? See mellow mesh --help."],
    [['mesh', 'check', 'a.stl', '--lyer', '1'], 'Did you mean --layer? See mellow mesh check --help.'],
    [['iso286', '25', 'H7/g6', 'more'], 'Too many arguments'],
  ])('unusable input ends with 2 and one line (%#)', (words, sentence) => {
    const { status, stdout, stderr } = mellow(...words);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(sentence);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});

interface CheckedMesh {
  readonly islands: readonly object[];
  readonly cups: readonly { readonly volume_mm3: number; readonly vent_mm: readonly number[] }[];
  readonly traps: readonly object[];
  readonly overhang_mm2: readonly number[];
  readonly smallestWall_mm: number;
}

describe('help', () => {
  test('names every command, and each tells what it takes, with an example', () => {
    const { status, stdout, stderr } = mellow('--help');
    expect([status, stderr]).toEqual([0, '']);
    for (const name of [
      ...Object.keys(COMMANDS).filter((each) => !each.includes(' ')),
      ...Object.keys(GROUPS),
    ])
      expect(stdout).toContain(`  ${name}`);
  });

  test.each(Object.entries(COMMANDS))('of %s', (name, { takes, options = [], example }) => {
    const { status, stdout } = mellow(...name.split(' '), '--help');
    expect(status).toBe(0);
    expect(stdout).toContain(`Usage: mellow ${name}`);
    for (const [argument] of takes) expect(stdout).toContain(argument);
    for (const [flags] of options) expect(stdout).toContain(flags);
    expect(stdout).toContain(example);
  });

  test('a group without its command shows its help and ends with 2; so does nothing at all', () => {
    for (const words of [[], ['mesh']]) {
      const { status, stderr } = mellow(...words);
      expect([status, stderr.includes('Usage: mellow')]).toEqual([2, true]);
    }
  });

  test('the version is that of the package', () => {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
    expect(mellow('--version').stdout.trim()).toBe(version);
  });
});

describe('mellow mesh', () => {
  const part = inFolder('box.stl', writeStl(box(10, 20, 5)));

  test('check counts, measures and says whether it is closed', () => {
    const { status, stdout } = mellow('mesh', 'check', part, '--json');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'stl-binary',
      facets: 12,
      vertices: 8,
      watertight: true,
      shells: 1,
      bounds_mm: { min: [-5, -10, 0], max: [5, 10, 5] },
    });
  });

  test('check cuts the layers that are asked for, and says whether the plate holds it', () => {
    const { stdout } = mellow('mesh', 'check', part, '--layer', '0.5', '--plate', '20x10x160', '--json');
    const { layers, fitsPlate } = JSON.parse(stdout) as {
      layers: { count: number; area_mm2: number[]; first_mm2: number; peak: object };
      fitsPlate: boolean;
    };
    expect(layers.count).toBe(10);
    for (const area of layers.area_mm2) expect(area).toBeCloseTo(200, 6);
    expect(layers.first_mm2).toBeCloseTo(200, 6);
    expect(fitsPlate).toBe(true);
    expect(mellow('mesh', 'check', part, '--plate', '9x20x160').stdout).toContain('"fitsPlate": false');
  });

  test('check reads the layers: what sucks, where a hole would free it, and not on supports', async () => {
    const { mouthDown } = printedSolids(await loadTestKernel());
    const cup = inFolder('cup.stl', writeStl(seatedMesh(mouthDown)));
    const options = ['--layer', '0.2', '--pixel', '0.1', '--json'];
    const onPlate = JSON.parse(mellow('mesh', 'check', cup, ...options).stdout) as CheckedMesh;
    expect(onPlate.cups).toHaveLength(1);
    // π·8²·10 of air under a roof at 10 mm, open at the plate.
    expect(onPlate.cups[0].volume_mm3 / 2010.6).toBeCloseTo(1, 2);
    expect(onPlate.cups[0]).toMatchObject({ fromLayer: 0, toLayer: 49 });
    expect(Math.hypot(onPlate.cups[0].vent_mm[0], onPlate.cups[0].vent_mm[1])).toBeGreaterThan(8);
    expect(onPlate.islands).toEqual([]);
    expect(onPlate.overhang_mm2).toHaveLength(60);
    expect(onPlate.smallestWall_mm).toBeCloseTo(1.5, 2);
    expect(onPlate).toMatchObject({ fitsPlate: null, voids: [], invertedShells: 0, enclosedVoids: 0 });
    const lifted = JSON.parse(mellow('mesh', 'check', cup, '--lift', '5', ...options).stdout) as CheckedMesh;
    expect([lifted.cups.length, lifted.islands.length, lifted.traps.length]).toEqual([0, 1, 1]);
  });

  test('check finds bodies drawn into one another, and walls and gaps along Z', () => {
    const bodies = joined(box(10, 10, 4), moved(box(10, 10, 4), [6, 0, 2]));
    const stacked = joined(bodies, moved(box(3, 3, 1), [-3.5, 0, 4.3]));
    const file = inFolder('stacked.stl', writeStl(stacked));
    const { stdout } = mellow('mesh', 'check', file, '--layer', '0.1', '--pixel', '0.1', '--json');
    const { overlaps, smallestWallZ_mm, smallestGapZ_mm } = JSON.parse(stdout) as {
      overlaps: { volume_mm3: number; x_mm: number; y_mm: number; z_mm: number }[];
      smallestWallZ_mm: number;
      smallestGapZ_mm: number;
    };
    expect(overlaps).toHaveLength(1);
    expect(overlaps[0].volume_mm3 / 80).toBeCloseTo(1, 2);
    expect([overlaps[0].x_mm, overlaps[0].z_mm]).toEqual([expect.closeTo(3, 1), expect.closeTo(3, 1)]);
    expect(smallestWallZ_mm).toBeCloseTo(1, 5);
    expect(smallestGapZ_mm).toBeCloseTo(0.3, 5);
  });

  test('a part drawn in metres is read and remarked on', () => {
    const metres = inFolder('metres.stl', writeStl(box(0.03, 0.02, 0.01)));
    const { status, stderr } = mellow('mesh', 'check', metres, '--json');
    expect(status).toBe(0);
    expect(stderr).toContain('drawn in metres? If so, scale the file by 1000');
  });

  test('features lists the sizes that a file carries', () => {
    const { status, stdout } = mellow('mesh', 'features', part, '--json');
    expect(status).toBe(0);
    const { features } = JSON.parse(stdout) as {
      features: { kind: string; axis: string; nominal_mm: number }[];
    };
    const sizes = features.map(({ kind, axis, nominal_mm }) => [
      kind,
      axis,
      Math.round(1e3 * nominal_mm) / 1e3,
    ]);
    expect(sizes.sort()).toEqual([
      ['height', 'Z', 5],
      ['width', 'X', 10],
      ['width', 'Y', 20],
    ]);
  });

  test('correct writes the part that the signature asks for', () => {
    const signature = mellow('signature', 'reference/signature-11.readings.csv', '--json');
    const signatureFile = inFolder('signature.json', signature.stdout);
    const out = path.join(folder, 'out.stl');
    const { status, stdout } = mellow('mesh', 'correct', part, '--signature', signatureFile, '-o', out);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ watertight: true, crossedFacets: 0 });
    const { features } = JSON.parse(stdout) as { features: { asked_mm: number; corrected_mm: number }[] };
    expect(features).toHaveLength(3);
    for (const { asked_mm, corrected_mm } of features)
      expect(Math.abs(asked_mm - corrected_mm)).toBeLessThan(0.002);
    const { parameters } = JSON.parse(signature.stdout) as ExpectedSignature;
    const mean = (name: string) => parameters.find((each) => each.name === name)!.mean;
    const check = checkMesh(weldCorners(expectOk(readStl(readFileSync(out))).corners));
    // Height on the plate: (5 − z_p)/(1 + ε_Z)
    expect(check.bounds.max[2]).toBeCloseTo((5 - mean('zPlate')) / (1 + mean('epsilonZ')), 4);
  });

  test.each([
    [['mesh', 'check', inFolder('empty.stl', '')], 'the file is empty'],
    [['mesh', 'check', inFolder('cut.stl', writeStl(box(1, 1, 1)).slice(0, 200))], 'the file is incomplete'],
    [
      ['mesh', 'check', inFolder('text.stl', 'dear modeller')],
      'this file is not STL, OBJ, PLY or 3MF. Export the part in one of these formats.',
    ],
    [['mesh', 'check', part, '--plate', 'large'], '“large” is not a plate size'],
    [['mesh', 'check', part, '--lift=-1'], 'at least 0'],
    [['mesh', 'check', part, '--layer', '0.00001'], 'more than 100000 layers'],
    [['mesh', 'correct', part, '-o', 'x.stl'], '--signature'],
    [['mesh', 'correct', part, '--signature', 'reference/readings.json'], '-o OUT.stl'],
    [
      ['mesh', 'correct', part, '--signature', 'reference/readings.json', '-o', path.join(folder, 'no.stl')],
      ': “parameters” is missing.',
    ],
    [
      ['mesh', 'correct', part, '--signature', 'reference/README.md', '-o', path.join(folder, 'no.stl')],
      'not valid JSON',
    ],
  ])('unusable input ends with 2 and a sentence (%#)', (words, sentence) => {
    const { status, stderr } = mellow(...words);
    expect(status).toBe(2);
    expect(stderr).toContain(sentence);
    expect(existsSync(path.join(folder, 'no.stl'))).toBe(false);
  });
});
