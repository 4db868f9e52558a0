/**
 * Makes the demo bench in the data folder, if there is none yet; `--fresh` clears away an earlier demo's first.
 * Usage: MELLOW_DATA=folder tsx src/demo/run.ts [--fresh]
 */
import { existsSync } from 'node:fs';
import path from 'node:path';
import {
  arrivingFolder,
  DATABASE,
  databaseFile,
  dataFolder,
  holdFolder,
  listOriginals,
  openDb,
  putInPlace,
  readMark,
} from '@/store';
import { describeBenchTrouble } from '@/subjects/workshop/settings/shared';
import { clearDemo, describeClearIssue } from './clear-demo';
import { makeDemo } from './make-demo';
import { makeDemoParts } from './parts';
import { makeDemoRuns } from './runs';

function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

const root = dataFolder();
const hold = holdFolder(root);
if (!hold.ok) refuse(describeBenchTrouble(hold.issue));
if (process.argv.includes('--fresh')) {
  const cleared = clearDemo(root);
  if (!cleared.ok) refuse(describeClearIssue(cleared.issue));
  if (cleared.value.length > 0) console.log(`Not deleted in ${root}: ${cleared.value.join(', ')}`);
}
// Where `bench.json` names a workshop, none is created, even if its database is missing.
const mark = readMark(root);
const isEmpty = !existsSync(databaseFile(root)) && listOriginals(root).length === 0;
if (mark.ok && mark.value === undefined && isEmpty) {
  const folder = arrivingFolder(root);
  const db = openDb(path.join(folder, DATABASE));
  makeDemo(db);
  await makeDemoParts(db, folder);
  await makeDemoRuns(db);
  db.$client.close();
  putInPlace(root, folder, { madeBy: 'demo', at: new Date() });
}
hold.value.release();
