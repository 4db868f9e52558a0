import { and, eq, isNull, ne } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** A creep check that waits for its second reading. */
interface CreepReminder {
  readonly resinId: number;
  readonly resin: string;
  readonly under: string;
  readonly dueOn: string;
  readonly isDue: boolean;
}

/** Every creep check under way, the one that is due first. */
export function listCreepChecks(db: Db, today: string): CreepReminder[] {
  const { proofs, resins } = tables;
  return db
    .select({ proof: proofs, resin: resins })
    .from(proofs)
    .innerJoin(resins, eq(proofs.resinId, resins.id))
    .where(and(isNull(proofs.removedAt), ne(proofs.dueOn, '')))
    .orderBy(proofs.dueOn)
    .all()
    .map(({ proof, resin }) => ({
      resinId: resin.id,
      resin: resin.name,
      under: proof.test.kind === 'creep' ? proof.test.test.under : '',
      dueOn: proof.dueOn,
      isDue: proof.dueOn <= today,
    }));
}
