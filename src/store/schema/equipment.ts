import { integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Rooms } from '@/core/findings';
import { resins } from './resins';

export const printers = sqliteTable('printers', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  /** Pixel pitch of its panel; null when anti-aliasing hides it or nobody knows. */
  pixelMm: real(),
  /** Wavelength that it cures with, nm; null when nobody said. */
  lightNm: real(),
  /** Seed of the simulated process behind a simulated printer; null for a real machine. */
  simulatedSeed: integer(),
  /** Resin that stands in its vat, and since which day; null when it is empty or nobody said. */
  vatResinId: integer().references(() => resins.id),
  vatSince: text().notNull().default(''),
  /** Room on its plate, in its bath and under its lamp, mm; those not known are left out. */
  rooms: text({ mode: 'json' }).$type<Rooms>().notNull().default({}),
  /** Seconds that one ordinary layer takes, lift and rest included; null when nobody looked. */
  layerSeconds: real(),
});

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
    /** Written anew with every change of what its signature is learned from. */
    evidenceKey: text()
      .notNull()
      .$defaultFn(() => crypto.randomUUID()),
  },
  (table) => [uniqueIndex('profiles_once').on(table.printerId, table.resinId, table.name)],
);

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
