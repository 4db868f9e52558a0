import { integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

export const printers = sqliteTable('printers', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  /** Pixel pitch of its panel; null when anti-aliasing hides it or nobody knows. */
  pixelMm: real(),
  /** Seed of the simulated process behind a stand-in printer; null for a real machine. */
  standInSeed: integer(),
});

export const resins = sqliteTable('resins', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  /** Linear shrink from its datasheet as a share; volumetric figures do not belong here. */
  linearShrink: real(),
  /** Cured, at room temperature: flexural or tensile modulus and strength, MPa; elongation at break as a share. */
  modulusMPa: real(),
  strengthMPa: real(),
  breakStrain: real(),
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
  jawFlatUnknown: integer({ mode: 'boolean' }).notNull().default(false),
  /** Seed of a simulated caliper; null for a real one. */
  standInSeed: integer(),
});
