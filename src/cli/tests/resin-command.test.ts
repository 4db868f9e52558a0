import { afterAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SHIPPED_SHELF } from '@/core/resin';
import { formatShelfJson } from '@/subjects/resin/shelf/shared';
import { mellow as runMellow } from '@/testing/mellow';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-resin-'));

afterAll(() => rmSync(folder, { recursive: true, force: true }));

const mellow = (...words: string[]) => runMellow('resin', 'rank', ...words);

function inFolder(name: string, content: string): string {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  return file;
}

const VANE = JSON.stringify({ serviceMax_C: 92, stress_MPa: 0.6, strainMax: 0.045, washWith: ['alcohol'] });

test('the shipped shelf against the vane: one is ranked with its margins, the others with their reasons', () => {
  const { status, stdout } = mellow(inFolder('vane.json', VANE), '--json');
  expect(status).toBe(0);
  const { ranked, rejected } = JSON.parse(stdout) as {
    ranked: { resin: string; margins: { requirement: string }[] }[];
    rejected: { resin: string; reasons: object[] }[];
  };
  expect(ranked.map(({ resin }) => resin)).toEqual(['Anvil Impact']);
  expect(ranked[0].margins.map(({ requirement }) => requirement)).toEqual(['heat', 'strain', 'wash']);
  expect(rejected.find(({ resin }) => resin === 'Hearth')?.reasons).toEqual([
    { requirement: 'strain', need: 0.045, have: 0.016 },
  ]);
  expect(rejected.find(({ resin }) => resin === 'Kelp Flex')?.reasons).toEqual([
    { requirement: 'heat', need: 107, have: null },
  ]);
});

test('an own shelf by its file gives the same; a bad one and a strange field are refused with exit 2', () => {
  const vane = inFolder('vane.json', VANE);
  const shelf = inFolder('shelf.json', formatShelfJson(SHIPPED_SHELF));
  expect(mellow(vane, '--resins', shelf, '--json').stdout).toBe(mellow(vane, '--json').stdout);
  const bad = mellow(vane, '--resins', inFolder('bad.json', '{"kind":"shelf","resins":[{"name":""}]}'));
  expect(bad.status).toBe(2);
  expect(bad.stderr).toContain('resin 1: name');
  const strange = mellow(inFolder('strange.json', '{"heat":3}'));
  expect(strange.status).toBe(2);
  expect(strange.stderr).toContain('there is no field heat');
});
