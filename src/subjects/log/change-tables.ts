import type { Cause, CauseEdits, Chances } from '@/core/log';
import type { Db } from '@/store';
import { readHouseRules, writeHouseRules } from '@/subjects/workshop/settings';
import type { LineName } from './input-tables';

const keep = (db: Db, change: (edits: CauseEdits) => CauseEdits) =>
  writeHouseRules(db, { causes: change(readHouseRules(db).causes) });

/** The workshop uses its own chances for a piece of evidence, or for a test. */
export function changeLine(db: Db, { of, name }: LineName, chances: Chances): void {
  keep(db, (edits) => ({ ...edits, [of]: { ...edits[of], [name]: chances } }));
}

/** How often each is the cause before this workshop has a log. */
export function changePrior(db: Db, prior: Readonly<Record<Cause, number>>): void {
  keep(db, (edits) => ({ ...edits, prior }));
}

/** Back to ours. */
export function dropEdit(db: Db, line: LineName | { readonly of: 'prior' }): void {
  keep(db, (edits) => {
    if (line.of === 'prior') return { ...edits, prior: undefined };
    const others = Object.entries(edits[line.of] ?? {}).filter(([name]) => name !== line.name);
    return { ...edits, [line.of]: Object.fromEntries(others) };
  });
}
