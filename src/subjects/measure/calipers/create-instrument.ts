import { fail, ok, type Result } from '@/core/kit';
import { seedOfName } from '@/core/simulated';
import { type Db, tables } from '@/store';
import type { InstrumentIssue } from './words-issues';

interface NewInstrument {
  readonly name: string;
  readonly mpeMm: number;
  readonly resolutionMm: number;
  readonly jawFlatMm?: number;
  readonly jawFlatUnknown: boolean;
  /** Of steel; true when left out. */
  readonly steel?: boolean;
  readonly simulated: boolean;
}

export function createInstrument(db: Db, wanted: NewInstrument): Result<number, InstrumentIssue> {
  const { simulated, ...row } = wanted;
  const made = db
    .insert(tables.instruments)
    .values({ ...row, simulatedSeed: simulated ? seedOfName(wanted.name) : null })
    .onConflictDoNothing()
    .returning()
    .get();
  return made === undefined ? fail({ code: 'nameTaken', name: wanted.name }) : ok(made.id);
}
