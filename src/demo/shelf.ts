import { eq } from 'drizzle-orm';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { type Bar, BENCH_LIMITS, SHIPPED_SHELF } from '@/core/resin';
import { expectOk } from '@/core/kit';
import { bendBar } from '@/core/simulated';
import { type Db, queries, tables } from '@/store';
import { askStrain } from '@/subjects/resin/choice';
import { addFeature, createJob, type FeatureInput } from '@/subjects/job/jobs';
import { addBottle, bringAll, keepResinTest, makeBlend } from '@/subjects/resin/shelf';

const idOf = (db: Db, name: string) => queries.findResinByName(db, name)!.id;

/** Bottles of the station: batch, opened, holds and holds still. */
const BOTTLES = [
  ['Slate General', 'SG-0412', '2026-09-14', 1000, 640],
  ['Otter Tough', 'OT-0217', '2026-10-02', 1000, 380],
  ['Kelp Flex', 'KF-0102', '2026-08-20', 500, 310],
  ['Anvil Impact', 'AI-0088', '', 500, 500],
  ['Hearth', 'HT-0031', '2026-05-06', 500, 90],
  ['Glasswort Clear', 'GC-0140', '2026-10-19', 1000, 720],
] as const;

/** The shipped resins with the station's bottles, and a yellowing test of the clear one. */
export function makeShelf(db: Db): void {
  bringAll(db, SHIPPED_SHELF);
  for (const [name, batch, openedOn, fullMl, leftMl] of BOTTLES)
    expectOk(addBottle(db, idOf(db, name), { batch, openedOn, fullMl, leftMl }));
  const shades = [
    [2, 0],
    [4, 0.5],
    [8, 1.5],
    [12, 3],
    [20, 4],
  ] as const;
  const readings = shades.map(([minutes, shade]) => ({ minutes, shade }));
  expectOk(
    keepResinTest(
      db,
      idOf(db, 'Glasswort Clear'),
      { kind: 'yellowing', on: '2026-10-21', test: { readings, accepted: 1.5 } },
      'five offcuts, beside the lid of the white tray',
    ),
  );
}

const BAR: Bar = { bend: 'threePoint', spanMm: 80, widthMm: 10, thicknessMm: 4 };

/** What the blend really is; nobody at the station knows. */
const BLEND_MPA = 1180;

/** A quarter of the flexible resin in the general one, for the hinge: bent, broken, warmed, and left on the sill. */
export function makeHingeBlend(db: Db): void {
  const recipe = [
    { resin: 'Slate General', fraction: 0.75 },
    { resin: 'Kelp Flex', fraction: 0.25 },
  ];
  const blend = expectOk(makeBlend(db, 'Slate with a quarter Kelp', recipe));
  const random = seededRandom(seedFrom(3, 'hinge blend'));
  const masses = [0, 100, 200, 300, 400, 500];
  const prove = (proof: Parameters<typeof keepResinTest>[2], note: string) =>
    expectOk(keepResinTest(db, blend, proof, note));
  prove(
    { kind: 'bend', on: '2026-10-05', test: bendBar({ ...BAR, modulusMPa: BLEND_MPA }, masses, random) },
    'bars cured 9 min, weighed out on the kitchen scale',
  );
  prove(
    {
      kind: 'break',
      on: '2026-10-05',
      test: { bar: { ...BAR, spanMm: 64 }, deflectionsMm: [30], broke: false, limits: BENCH_LIMITS },
    },
    'folded as far as the vice lets it, did not break',
  );
  prove(
    {
      kind: 'sag',
      on: '2026-10-06',
      test: {
        bar: { ...BAR, spanMm: 64 },
        massG: 80,
        bath: 'water',
        thermometerK: 1,
        steps: [
          { tempC: 20, readingMm: 3.02 },
          { tempC: 35, readingMm: 3.06 },
          { tempC: 40, readingMm: 3.12 },
          { tempC: 45, readingMm: 3.24 },
          { tempC: 50, readingMm: 3.71 },
        ],
      },
    },
    'kettle, five minutes a step',
  );
  prove(
    {
      kind: 'creep',
      on: '2026-10-07',
      test: { under: 'its own weight on the sill, in the sun', firstMm: 12.04, weeks: 6, caliperMm: 0.02 },
    },
    'height of the middle over the sill',
  );
}

type JobText = Partial<typeof tables.jobs.$inferInsert>;

function describe(db: Db, jobId: number, text: JobText): void {
  db.update(tables.jobs).set(text).where(eq(tables.jobs.id, jobId)).run();
}

function size(name: string, shape: 'flat' | 'round', targetMm: number, halfMm: number): FeatureInput {
  return {
    name,
    kind: { sense: 'outside', shape, axis: shape === 'round' ? 'XY' : 'X' },
    targetMm,
    lowerDeviationMm: -halfMm,
    upperDeviationMm: halfMm,
  };
}

/** The vane that lives at 92 °C and is snapped in: the resin in the vat softens, the one for heat cracks. */
export function makeVane(db: Db, profileId: number): void {
  const jobId = createJob(db, 'Drying-cabinet vent vane', profileId);
  describe(db, jobId, {
    need: 'Turns the warm air of the drying cabinet. Snapped into its frame by two hooks, taken out to clean.',
    acceptance: 'Snaps in and out ten times, turns by hand, straight after a week in the warm cabinet.',
    createdAt: new Date('2026-11-16T09:00:00Z'),
    hottestC: 92,
    hottestWhen: 'the cabinet, day and night',
    loadWords: 'its own weight and the draught',
    loadN: 1,
    requirement: { stress_MPa: 0.6, smallestFeature_mm: 0.8 },
  });
  expectOk(addFeature(db, jobId, size('Pivot', 'round', 3, 0.06)));
  expectOk(addFeature(db, jobId, size('Blade width', 'flat', 42, 0.15)));
  expectOk(askStrain(db, jobId, { kind: 'snap', strain: 0.015, use: 'repeated' }));
}

/** The window that must stay clear: the one clear resin yellows in the lamp. */
export function makeSightGlass(db: Db, profileId: number): void {
  const jobId = createJob(db, 'Sight-glass window', profileId);
  describe(db, jobId, {
    need: 'Lets the float be read through the well’s lid. Must stay clear; water splashes on it, it holds no pressure.',
    acceptance: 'The float mark is readable from one metre, a month after installation.',
    createdAt: new Date('2026-11-12T09:00:00Z'),
    hottestC: 35,
    hottestWhen: 'a summer day under the lid',
    requirement: { clear: true, stress_MPa: 0.2, smallestFeature_mm: 0.6 },
  });
  expectOk(addFeature(db, jobId, size('Rim', 'round', 28, 0.1)));
  expectOk(addFeature(db, jobId, size('Lip', 'flat', 6, 0.1)));
}
