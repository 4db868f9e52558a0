import { BLOCK_SIZES, type BlockSize, FEW_SIZES } from '@/core/fit/gauges';
import { expectOk } from '@/core/kit';
import { type Db, queries } from '@/store';
import { createInstrument } from '@/subjects/measure/calipers';
import { createGauge } from '@/subjects/fit/gauges';
import { writeHouseRules } from '@/subjects/workshop/settings';
import { RUN_DEFAULTS } from '@/subjects/workshop/settings/shared';
import { notePrint } from '@/subjects/job/jobs';
import { deriveProfile, printSimulatedGauges, viewBracket } from '@/subjects/exposure';
import { correctSettings, createProfile } from '@/subjects/signature';
import { listVats, loadVat } from '@/subjects/resin/shelf';
import { readAll } from './hands';
import { makeBushing, makeRack, makeHinge, makeGapTest, makeTiltHead } from './jobs';
import { makeHingeBlend, makeShelf, makeSightGlass, makeVane } from './shelf';

/** What Old Amber exposes Kelp Flex: a colour panel, so some four times what a monochrome one takes. */
const KELP_S = 9;

function makeEquipment(db: Db) {
  const longBench = { printerName: 'Long Bench', pixelMm: 0.022, simulated: true, layerMm: 0.05 };
  const oldAmber = { printerName: 'Old Amber', pixelMm: 0.047, simulated: true, layerMm: 0.05 };
  const profile = (machine: typeof longBench, resinName: string, profileName: string, lot: string) =>
    expectOk(createProfile(db, { ...machine, resinName, profileName, lot }));
  const otter = profile(longBench, 'Otter Tough', '0.05 mm, 2.4 s', 'lot 17');
  expectOk(
    correctSettings(db, otter, {
      exposureS: 2.4,
      bottomLayers: 5,
      bottomExposureS: 20,
      transitionLayers: 4,
      film: 'clear film',
      wash: 'alcohol, 2 × 3 min',
      cure: '60 °C, 20 min',
    }),
  );
  const slate = profile(longBench, 'Slate General', '0.05 mm, 2.1 s', 'lot 4');
  expectOk(correctSettings(db, slate, { exposureS: 2.1 }));
  const kelp = profile(oldAmber, 'Kelp Flex', '0.05 mm, 9 s', 'lot 2');
  expectOk(correctSettings(db, kelp, { exposureS: KELP_S }));
  return {
    otter,
    slate,
    caliper: expectOk(
      createInstrument(db, {
        name: 'Bench caliper',
        mpeMm: 0.02,
        resolutionMm: 0.01,
        jawFlatMm: 0.3,
        jawFlatUnknown: false,
        simulated: true,
      }),
    ),
  };
}

/** Old Amber takes Slate General over from Long Bench; three small gauges told where its exposure lies. */
function deriveOldAmber(db: Db, slate: number): void {
  const there = { printerName: 'Old Amber', engineFrom: 'mono', engineTo: 'colour' } as const;
  const derived = expectOk(deriveProfile(db, slate, there));
  const nowS = queries.findProfile(db, derived)!.profile.settings.exposureS!;
  expectOk(printSimulatedGauges(db, derived, { nowS, exposuresS: viewBracket(db, derived, nowS).next }));
}

/** What stands in which vat: changing over costs time and resin. */
function fillVats(db: Db): void {
  const inVat = { 'Long Bench': 'Slate General', 'Old Amber': 'Kelp Flex' };
  for (const { id, printer } of listVats(db)) {
    const resin = queries.findResinByName(db, inVat[printer as keyof typeof inVat]);
    loadVat(db, id, resin?.id, '2026-11-18');
  }
}

function makeBlock(
  db: Db,
  instrumentId: number,
  { name, profileId, sizes }: { name: string; profileId: number; sizes: readonly BlockSize[] },
): void {
  const jobId = expectOk(createGauge(db, { name, profileId, spec: { kind: 'block', sizes } }));
  notePrint(db, queries.listAttempts(db, jobId).at(-1)!.id);
  readAll(db, jobId, instrumentId, 3);
}

/**
 * Fills an empty workshop with the tide station's data: two printers, eight resins and a tested blend, two blocks
 * measured, two gap tests tried, a rack finished, a bushing printed and not yet measured, a hinge and a tilt head
 * designed, a vane and a sight glass whose resin is still open.
 */
export function makeDemo(db: Db): void {
  writeHouseRules(db, {
    benchName: 'Tern Rock bench',
    letterKeys: true,
    liquids: ['alcohol', 'water'],
    roomC: 22,
    // Two people live at the station.
    run: {
      ...RUN_DEFAULTS,
      presence: Array.from({ length: 7 }, () => [{ fromMin: 7 * 60, toMin: 22 * 60 }]),
    },
  });
  const { otter, slate, caliper } = makeEquipment(db);
  makeShelf(db);
  fillVats(db);
  makeBlock(db, caliper, { name: 'Signature block, 24 sizes', profileId: otter, sizes: BLOCK_SIZES });
  makeBlock(db, caliper, { name: 'Signature block, six sizes', profileId: slate, sizes: FEW_SIZES });
  makeGapTest(db, slate, 'plane');
  makeGapTest(db, slate, 'height');
  makeRack(db, slate, caliper);
  makeTiltHead(db, slate);
  makeHinge(db, slate);
  makeBushing(db, otter, caliper);
  makeHingeBlend(db);
  makeVane(db, slate);
  makeSightGlass(db, slate);
  deriveOldAmber(db, slate);
}
