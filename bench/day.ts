/**
 * The day beside the rules that one would use by hand: weighted minutes late of 20 jobs over two printers, a wash and a
 * lamp, one person in working hours, over days drawn by seed. Usage: npm run bench:day [-- DAYS].
 */
import { seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { type Day, type DayJob, dispatchRules, planDay, type Worth } from '@/core/print';

const DAY_MIN = 1440;
const HOURS = 8 * 60;

function drawDay(seed: number): Day {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => Math.round(low + (high - low) * random.uniform());
  const jobs = Array.from({ length: 20 }, (_, i): DayJob => {
    const printer = random.uniform() < 0.5 ? 'A' : 'B';
    return {
      id: `job ${i}`,
      dueMin: between(0.3 * DAY_MIN, 6 * DAY_MIN),
      weight: between(1, 4),
      releaseMin: between(0, DAY_MIN),
      steps: [
        { id: 'print', station: printer, minutes: between(60, 420), attendStartMin: 10, holds: true },
        { id: 'unload', station: printer, minutes: 10, attended: true },
        { id: 'wash', station: 'wash', minutes: between(8, 20), attendStartMin: 3 },
        { id: 'cure', station: 'lamp', minutes: between(20, 60), attendStartMin: 2 },
      ],
    };
  });
  const presence = Array.from({ length: 12 }, (_, d) => [d * DAY_MIN, d * DAY_MIN + HOURS] as const);
  return { presence, jobs };
}

const days = Number(process.argv[2] ?? 10);
const sums = new Map<string, number[]>();
const note = (name: string, { tardinessMin }: Worth) =>
  sums.set(name, [...(sums.get(name) ?? []), tardinessMin / 60]);
const seconds: number[] = [];
for (let seed = 1; seed <= days; seed++) {
  const day = drawDay(seed);
  for (const { name, worth } of dispatchRules(day)) note(name, worth);
  const from = performance.now();
  const plan = expectOk(planDay(day, { seed }));
  seconds.push((performance.now() - from) / 1000);
  note('planned', plan.worth);
  note('nothing can be better than', plan.bound);
}
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
console.log(`${days} days of 20 jobs over four stations: weighted hours late, mean`);
for (const [name, values] of sums) console.log(`| ${name} | ${mean(values).toFixed(1)} |`);
console.log(`planned in ${mean(seconds).toFixed(2)} s, at most ${Math.max(...seconds).toFixed(2)} s`);
