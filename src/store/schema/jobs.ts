import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PrintSetup } from '@/core/part/findings';
import type { Point } from '@/core/part/mesh';
import type { FitClasses, Material, Ruin, Wish } from '@/core/fit/mating';
import type { GaugeSpec } from '@/core/fit/gauges';
import type { Axis, Base, DecisionRule, PartState, Sense, Shape } from '@/core/measure';
import type { Claim, MateOrigin } from '@/core/job/need';
import type { Requirement } from '@/core/resin';
import type { SheetChoices } from '@/core/job/sheets';
import type { SolidRecipe } from '@/core/fit/solids';
import { profiles } from './equipment';
import { resins } from './resins';

/** A thing that must fit, or a gauge: a small piece printed only to be measured. */
export const jobs = sqliteTable('jobs', {
  id: integer().primaryKey({ autoIncrement: true }),
  kind: text().$type<'part' | 'gauge'>().notNull().default('part'),
  name: text().notNull(),
  /** What it must do, in the person's words. */
  need: text().notNull().default(''),
  /** The acceptance test agreed before printing. */
  acceptance: text().notNull().default(''),
  profileId: integer().references(() => profiles.id),
  rule: text().$type<DecisionRule>().notNull().default('guarded'),
  quantity: integer().notNull().default(1),
  /** Day by which it is needed, YYYY-MM-DD; empty when there is none. */
  dueOn: text().notNull().default(''),
  seenFaces: text().notNull().default(''),
  /** Directions in which its seen faces look, in the part's file as it stands. */
  seenDirections: text({ mode: 'json' }).$type<readonly Point[]>().notNull().default([]),
  /** Highest temperature of its life, including production, °C, and what it is. */
  hottestC: real(),
  hottestWhen: text().notNull().default(''),
  /** Temperature at which its fits must be right, °C; null for 20. */
  fitC: real(),
  /** State in which its limits hold: what is read in another state is not judged by them. */
  fitState: text().$type<PartState>().notNull().default('cured'),
  /** Fit bands its fits were agreed with; null while they are still those in the settings. */
  agreedClasses: text({ mode: 'json' }).$type<FitClasses>(),
  loadWords: text().notNull().default(''),
  loadN: real(),
  /** What it touches or is claimed for: each raises its caution. */
  claims: text({ mode: 'json' }).$type<readonly Claim[]>().notNull().default([]),
  /** Requirements of the resin beyond the need, by field of the requirement. */
  requirement: text({ mode: 'json' }).$type<Partial<Requirement>>().notNull().default({}),
  /** Elongation at break that a press or snap of this job asks for, as shares. */
  strainAsked: text({ mode: 'json' })
    .$type<{ readonly press?: number; readonly snap?: number }>()
    .notNull()
    .default({}),
  /** The resin that was chosen for it, by its reasons, under Resin. */
  resinChosenId: integer().references(() => resins.id),
  /** The attempt that was the newest when something changed on which drawn sizes depend. */
  overtakenAttemptId: integer(),
  /** The measuring sheet it is made by, with what was chosen on it. */
  sheet: text({ mode: 'json' }).$type<SheetChoices>(),
  /** Parameters of a gauge that the program builds. */
  gauge: text({ mode: 'json' }).$type<GaugeSpec>(),
  /** How the part is built from its drawn sizes, where the program can. */
  solid: text({ mode: 'json' }).$type<SolidRecipe>(),
  /** The imported part file, before any attempt. */
  meshHash: text(),
  createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
  archivedAt: integer({ mode: 'timestamp_ms' }),
  /** How the part will stand on the plate; null until it is asked. */
  stance: text({ mode: 'json' }).$type<PrintSetup>(),
  /** Counts changes of the job and its features, so that a second window notices. */
  revision: integer().notNull().default(1),
});

/** The body that a feature must fit. */
export const mates = sqliteTable('mates', {
  id: integer().primaryKey({ autoIncrement: true }),
  jobId: integer()
    .notNull()
    .references(() => jobs.id),
  name: text().notNull(),
  sizeMm: real(),
  uMm: real(),
  material: text().$type<Material>().notNull().default('other'),
  /** Bought new, or an old part, as found. */
  origin: text().$type<MateOrigin>().notNull().default('bought'),
  irreplaceable: integer({ mode: 'boolean' }).notNull().default(false),
  /** The size of the measuring sheet that it is; null when it is on none. */
  measure: text(),
});

export const features = sqliteTable(
  'features',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    position: integer().notNull(),
    name: text().notNull(),
    sense: text().$type<Sense>().notNull(),
    shape: text().$type<Shape>().notNull(),
    axis: text().$type<Axis>().notNull(),
    angleRad: real(),
    base: text().$type<Base>(),
    targetMm: real().notNull(),
    /** Limit deviations from the target, signed, mm. */
    lowerDeviationMm: real().notNull(),
    upperDeviationMm: real().notNull(),
    mateId: integer().references(() => mates.id),
    /** The fit with its mate; null if limits were typed by hand. */
    wish: text().$type<Wish>(),
    /** Least and most clearance at 20 °C where they are not the class's own (typed, or from ISO letters), mm. */
    bandLowMm: real(),
    bandHighMm: real(),
    isoFit: text(),
    ruin: text().$type<Ruin>().notNull().default('none'),
    /** Coat on each of its faces, mm. */
    coatMm: real().notNull().default(0),
    /** The size of the measuring sheet that it came from. */
    sheetFeature: text(),
    /** A place on one of its faces in the part's file, mm. */
    anchor: text({ mode: 'json' }).$type<[number, number, number]>(),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('features_of_job').on(table.jobId)],
);
