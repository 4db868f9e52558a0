/**
 * Simulated printers that fail for one cause each (core/simulated/troubles.ts, which does not use the tables of the
 * reader): how often the true cause is first, whether the stated chances are right, and what it takes to fix the fault.
 * Usage: npm run bench:log [-- STORIES].
 */
import { readFailure } from '@/core/log';
import { expectOk } from '@/core/kit';
import { findByGuesses, findByProgram, tellStory, type Told } from '@/testing/log';
import { share } from './world';

const stories = Number(process.argv[2] ?? 300);

function mean(values: readonly number[]): string {
  const average = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - average) ** 2, 0) / (values.length - 1);
  return `${average.toFixed(2)} ± ${Math.sqrt(variance / values.length).toFixed(2)}`;
}

function tell(prints: number): Told[] {
  const told: Told[] = [];
  for (let seed = 1; told.length < stories; seed++) {
    const story = tellStory(seed, prints);
    if (story !== undefined) told.push(story);
  }
  return told;
}

for (const prints of [1, 3]) {
  const told = tell(prints);
  const read = told.map(({ seen, story }) => {
    const { chances } = expectOk(readFailure(seen));
    const order = Object.entries(chances).sort((a, b) => b[1] - a[1]);
    return { chances, order, isFirst: order[0][0] === story.trouble, trouble: story.trouble };
  });
  const among = (most: number) =>
    read.filter(({ order, trouble }) => order.slice(0, most).some(([cause]) => cause === trouble));
  console.log(
    `\n${stories} stories, read after ${prints} ${prints === 1 ? 'print' : 'prints'} with a failure`,
  );
  console.log(
    `true cause first ${share(among(1).length, stories)}, among three ${share(among(3).length, stories)}`,
  );
  console.log('| stated chance | causes | true |');
  for (const [low, high] of [
    [0, 0.1],
    [0.1, 0.3],
    [0.3, 0.5],
    [0.5, 0.7],
    [0.7, 0.9],
    [0.9, 1.01],
  ]) {
    const all = read.flatMap(({ chances, trouble }) =>
      Object.entries(chances).flatMap(([cause, p]) =>
        p >= low && p < high ? [{ p, isTrue: cause === trouble }] : [],
      ),
    );
    if (all.length === 0) continue;
    const told = all.reduce((sum, { p }) => sum + p, 0) / all.length;
    console.log(
      `| ${(100 * told).toFixed(0)} % | ${all.length} | ${share(all.filter(({ isTrue }) => isTrue).length, all.length)} |`,
    );
  }
  const [program, guesses] = [findByProgram, findByGuesses].map((find) => told.map(find));
  console.log('| put right by | prints | hours |');
  console.log(
    `| the program’s tests | ${mean(program.map((each) => each.prints))} | ${mean(program.map(({ hours }) => hours))} |`,
  );
  console.log(
    `| the usual order of guesses | ${mean(guesses.map((each) => each.prints))} | ${mean(guesses.map(({ hours }) => hours))} |`,
  );
}
