import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Rooms } from '@/core/part/findings';
import type { ChangeKind, ProfileSettings } from '@/core/signature';
import type { TroubleSet } from '@/core/simulated';
import { resins } from './resins';

export const printers = sqliteTable('printers', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  /** Pixel pitch of its screen; null if anti-aliasing hides it or it is unknown. */
  pixelMm: real(),
  /** Wavelength that it cures with, nm; null if unknown. */
  lightNm: real(),
  /** Seed of the simulated process behind a simulated printer; null for a real machine. */
  simulatedSeed: integer(),
  /** Resin in its vat, and since which day; null if it is empty or unknown. */
  vatResinId: integer().references(() => resins.id),
  vatSince: text().notNull().default(''),
  /** Room on its plate, in its bath and under its lamp, mm; those not known are left out. */
  rooms: text({ mode: 'json' }).$type<Rooms>().notNull().default({}),
  /** Seconds that one ordinary layer takes, lift and rest included; null when nobody looked. */
  layerSeconds: real(),
  /** When it was named here; null for those named before that was kept. */
  addedAt: integer({ mode: 'timestamp_ms' }),
  /** Size of its plate and its costs; unknown values are left out. */
  card: text({ mode: 'json' }).$type<DeviceCard>().notNull().default({}),
  /** Fault of a simulated printer; null if it has none. */
  trouble: text({ mode: 'json' }).$type<TroubleSet>(),
});

/** Numbers of a device, as they are asked for by whoever repairs it. */
export interface DeviceCard {
  readonly serial?: string;
  /** Days as YYYY-MM-DD. */
  readonly boughtOn?: string;
  readonly warrantyUntil?: string;
  readonly firmware?: string;
  readonly note?: string;
}

/** A printer with a resin and its settings: what one signature belongs to. */
export const profiles = sqliteTable(
  'profiles',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    printerId: integer()
      .notNull()
      .references(() => printers.id),
    resinId: integer()
      .notNull()
      .references(() => resins.id),
    name: text().notNull(),
    layerMm: real().notNull(),
    lot: text().notNull().default(''),
    /** What else it is printed under, as far as somebody said. */
    settings: text({ mode: 'json' }).$type<ProfileSettings>().notNull().default({}),
    /** The feature that is read on every print, so that a walk of the process is seen; chosen once. */
    controlFeatureId: integer(),
    /** Replaced with every change of the data of its signature. */
    evidenceKey: text()
      .notNull()
      .$defaultFn(() => crypto.randomUUID()),
  },
  (table) => [uniqueIndex('profiles_once').on(table.printerId, table.resinId, table.name)],
);

/** A change of what a profile is printed under: what was known of it holds less since. */
export const profileChanges = sqliteTable(
  'profile_changes',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    profileId: integer()
      .notNull()
      .references(() => profiles.id),
    kinds: text({ mode: 'json' }).$type<readonly ChangeKind[]>().notNull(),
    /** Prints made earlier were made before it. */
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    /** Lot, layer height and settings before and after. */
    before: text({ mode: 'json' }).$type<ProfileSettings>().notNull(),
    after: text({ mode: 'json' }).$type<ProfileSettings>().notNull(),
    note: text().notNull().default(''),
    notedAt: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('changes_of_profile').on(table.profileId)],
);

/** Signatures of other workshops, imported by file: profiles of the printer or the resin that they name use them. */
export const foreignLaws = sqliteTable('foreign_laws', {
  id: integer().primaryKey({ autoIncrement: true }),
  /** What it is called here, and where it came from. */
  name: text().notNull(),
  printerId: integer().references(() => printers.id),
  resinId: integer().references(() => resins.id),
  mean: text({ mode: 'json' }).$type<number[]>().notNull(),
  /** Over the parameters, row-major. */
  covariance: text({ mode: 'json' }).$type<number[]>().notNull(),
  addedAt: integer({ mode: 'timestamp_ms' }).notNull(),
  removedAt: integer({ mode: 'timestamp_ms' }),
});

export const instruments = sqliteTable('instruments', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  mpeMm: real().notNull(),
  resolutionMm: real().notNull(),
  /** Flats of the inside jaws, mm; null when not stated, see jawFlatUnknown. */
  jawFlatMm: real(),
  /** Of steel, so that its scale grows with its warmth; a plastic or carbon one is taken as not growing. */
  steel: integer({ mode: 'boolean' }).notNull().default(true),
  jawFlatUnknown: integer({ mode: 'boolean' }).notNull().default(false),
  /** Seed of a simulated caliper; null for a real one. */
  simulatedSeed: integer(),
});

/** Strips cured on the bare film and read once: what the light of a printer does in a resin. */
export const strips = sqliteTable(
  'strips',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    printerId: integer()
      .notNull()
      .references(() => printers.id),
    resinId: integer()
      .notNull()
      .references(() => resins.id),
    unit: text().$type<'s' | 'mJ/cm²'>().notNull(),
    exposure: real().notNull(),
    depthMm: real().notNull(),
    instrumentId: integer()
      .notNull()
      .references(() => instruments.id),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('strips_of_light').on(table.printerId, table.resinId)],
);

/** Small gauges printed at several exposures of one profile: what became of each. */
export const bracketGauges = sqliteTable(
  'bracket_gauges',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    profileId: integer()
      .notNull()
      .references(() => profiles.id),
    exposureS: real().notNull(),
    held: integer({ mode: 'boolean' }).notNull(),
    /** Its slot closed; null where it was lost. */
    bridged: integer({ mode: 'boolean' }),
    /** Its measured wall; null if it was not measured. */
    wallMm: real(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('gauges_of_bracket').on(table.profileId)],
);
