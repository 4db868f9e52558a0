import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { type BendTest, evidenceOf, modulusOf } from '@/core/resin';
import { bendBar } from '@/core/simulated';
import { type Db, queries, tables } from '@/store';
import { resinFile } from '@/subjects/resin/shelf';

/** Weights that the simulated bench hangs, g; a bar is taken as the gauge's. */
const SIMULATED_MASSES_G = [0, 100, 200, 300, 400, 500];

const SIMULATED_BAR = { bend: 'threePoint', spanMm: 80, widthMm: 10, thicknessMm: 4 } as const;

/**
 * Returns what a simulated bending test of this resin reads: its hidden modulus is near the stated one, or anywhere in
 * the range of plastics if none is stated. Undefined in a workshop with real printers only.
 */
export function simulatedBend(db: Db, resinId: number, closing: number): BendTest | undefined {
  const found = queries.findResin(db, resinId);
  const simulated = db
    .select()
    .from(tables.printers)
    .all()
    .some(({ simulatedSeed }) => simulatedSeed !== null);
  if (found === undefined || !simulated) return undefined;
  const stated = modulusOf(evidenceOf({ ...resinFile(found), proofs: [] }));
  const hidden = seededRandom(seedFrom(11, found.resin.name));
  const middle = stated?.value ?? 1200;
  const modulusMPa = middle * Math.exp(0.12 * hidden.normal());
  const random = seededRandom(seedFrom(closing, found.resin.name));
  // A soft bar takes lighter weights, so that it bends as far as a stiff one.
  const scale = Math.min(4, Math.max(0.02, modulusMPa / 1200));
  const masses = SIMULATED_MASSES_G.map((massG) => Math.round(massG * scale));
  return bendBar({ ...SIMULATED_BAR, modulusMPa }, masses, random);
}
