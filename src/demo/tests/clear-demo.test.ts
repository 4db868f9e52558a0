import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { writeMark } from '@/store';
import { clearDemo, describeClearIssue } from '../clear-demo';

let root: string;
beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'mellow-clear-'));
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

function put(...names: readonly string[]): void {
  for (const name of names) {
    mkdirSync(path.dirname(path.join(root, name)), { recursive: true });
    writeFileSync(path.join(root, name), name);
  }
}

const mark = (madeBy: 'demo' | 'person') =>
  writeMark(root, { kind: 'bench', madeBy, current: '.', kept: [] });

test.each([
  ['a stranger’s folder', () => put('thesis.odt', 'photos/1.jpg')],
  ['a bench of one’s own', () => (put('mellow.db', 'meshes/a.stl'), mark('person'))],
  ['a bench from before there were marks', () => put('mellow.db')],
  ['a bench whose mark cannot be read', () => put('mellow.db', 'bench.json')],
])('%s is not cleared, and that is said', (_what, make) => {
  make();
  const before = readdirSync(root);
  const answer = clearDemo(root);
  expect(answer).toMatchObject({ ok: false, issue: { code: 'notTheDemos', path: root } });
  expect(answer.ok ? '' : describeClearIssue(answer.issue)).toContain('nothing was deleted');
  expect(readdirSync(root)).toEqual(before);
});

test('of the demo’s own folder only the bench goes; what else lies there is left and named', () => {
  put('mellow.db', 'meshes/a.stl', 'benches/x/mellow.db', 'arriving-1/half', 'notes.txt', 'photos/1.jpg');
  mark('demo');
  expect(clearDemo(root)).toEqual({ ok: true, value: ['notes.txt', 'photos'] });
  expect(readdirSync(root)).toEqual(['notes.txt', 'photos']);
});

test('an empty folder, or none, is fresh already', () => {
  put('bench.lock');
  expect(clearDemo(root)).toEqual({ ok: true, value: [] });
  expect(clearDemo(path.join(root, 'none'))).toEqual({ ok: true, value: [] });
});
