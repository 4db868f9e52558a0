import path from 'node:path';
import { fail, type Result } from '@/core/kit';
import { type BenchTrouble, type HeldBench, openBenchAt, openHeldBench, type OpenBench } from './bench';

const kept = globalThis as typeof globalThis & { mellowBench?: HeldBench };

/** The data folder of this process. */
export function dataFolder(): string {
  return path.resolve(/* turbopackIgnore: true */ process.cwd(), process.env.MELLOW_DATA ?? 'data');
}

/** The one bench of this process, its folder taken and its database opened at first use. */
export function theBench(): Result<OpenBench, BenchTrouble> {
  if (kept.mellowBench === undefined) {
    const held = openBenchAt(dataFolder());
    if (!held.ok) return fail(held.issue);
    kept.mellowBench = held.value;
  }
  return kept.mellowBench.opened;
}

/** Opens whatever bench the data folder now names; the connection before is closed. */
export function reopenTheBench(): Result<OpenBench, BenchTrouble> {
  const before = kept.mellowBench;
  if (before === undefined) return theBench();
  if (before.opened.ok) before.opened.value.db.$client.close();
  kept.mellowBench = { ...before, opened: openHeldBench(before.root) };
  return kept.mellowBench.opened;
}
