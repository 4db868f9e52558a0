import { eq } from 'drizzle-orm';
import { BLOCK_SIZES, FEW_SIZES, type BlockSize } from '@/core/gauges';
import { expectOk } from '@/core/result';
import { queries, tables, type Db } from '@/db';
import { notePrint } from '@/services/draw-next';
import { createInstrument, createProfile } from '@/services/equipment';
import { keepStrength } from '@/services/fit-desk';
import { createGauge } from '@/services/gauges';
import { writeHouseRules } from '@/services/house-rules';
import { readAll } from './hands';
import { makeBushing, makeComb, makeHinge, makeLadder, makeTiltHead } from './jobs';

function makeEquipment(db: Db) {
  const longBench = { printerName: 'Long Bench', pixelMm: 0.022, standIn: true, layerMm: 0.05 };
  const oldAmber = { printerName: 'Old Amber', pixelMm: 0.047, standIn: true, layerMm: 0.05 };
  const profile = (machine: typeof longBench, resinName: string, profileName: string, lot: string) =>
    expectOk(createProfile(db, { ...machine, resinName, profileName, lot }));
  return {
    otter: profile(longBench, 'Otter Tough', '0.05 mm, 2.4 s', 'lot 17'),
    slate: profile(longBench, 'Slate General', '0.05 mm, 2.1 s', 'lot 4'),
    kelp: profile(oldAmber, 'Kelp Flex', '0.05 mm, 9 s', 'lot 2'),
    caliper: expectOk(
      createInstrument(db, {
        name: 'Bench caliper',
        mpeMm: 0.02,
        resolutionMm: 0.01,
        jawFlatMm: 0.3,
        jawFlatUnknown: false,
        standIn: true,
      }),
    ),
  };
}

/** What the made-up resins stand, as their made-up sheets say. */
const STRENGTHS = {
  'Otter Tough': { modulusMPa: 1750, strengthMPa: 42, breakStrain: 0.38 },
  'Slate General': { modulusMPa: 2300, strengthMPa: 55, breakStrain: 0.07 },
  'Kelp Flex': { modulusMPa: 60, strengthMPa: 9, breakStrain: 1.1 },
} as const;

function keepStrengths(db: Db): void {
  for (const [name, strength] of Object.entries(STRENGTHS)) {
    const resin = db.select().from(tables.resins).where(eq(tables.resins.name, name)).get()!;
    keepStrength(db, resin.id, strength);
  }
}

function makeBlock(
  db: Db,
  name: string,
  profileId: number,
  sizes: readonly BlockSize[],
  instrumentId: number,
): void {
  const jobId = expectOk(createGauge(db, { name, profileId, spec: { kind: 'block', sizes } }));
  notePrint(db, queries.listAttempts(db, jobId).at(-1)!.id, 1, jobId);
  readAll(db, jobId, instrumentId, 3);
}

/**
 * Fills an empty bench with the tide station's: two printers, three resins, two blocks measured, two ladders tried, a comb
 * finished, a bushing printed and not yet read, a hinge and a tilt head designed.
 */
export function makeDemo(db: Db): void {
  writeHouseRules(db, { benchName: 'Tern Rock bench', letterKeys: true });
  const { otter, slate, caliper } = makeEquipment(db);
  keepStrengths(db);
  makeBlock(db, 'Signature block, 24 sizes', otter, BLOCK_SIZES, caliper);
  makeBlock(db, 'Signature block, six sizes', slate, FEW_SIZES, caliper);
  makeLadder(db, slate, 'plane');
  makeLadder(db, slate, 'height');
  makeComb(db, slate, caliper);
  makeTiltHead(db, slate);
  makeHinge(db, slate);
  makeBushing(db, otter, caliper);
}
