import type { ResinTest, ResinFile } from '@/core/resin';
import { queries } from '@/store';

/** A test with its day, as the core takes it. */
export function resinTestOf({ test, on }: queries.ProofRow): ResinTest {
  return { ...test, on };
}

/** A resin as the core takes it. */
export function resinFile({ resin, proofs }: queries.ShelvedResin): ResinFile {
  return { name: resin.name, sheet: resin.sheet, proofs: proofs.map(resinTestOf) };
}
