import { convertExposure } from '@/core/exposure';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries } from '@/store';
import { correctSettings, createProfile } from '@/subjects/signature';
import type { Derived } from './input-light';
import type { DeriveIssue } from './words-light';

const hundredths = (seconds: number) => Number(seconds.toFixed(2));

/**
 * Creates a profile of the same resin and layer height on another printer. Its exposure is the middle of a range, and
 * its bracket starts at the ends of it; the signature uses this profile like any related profile.
 */
export function deriveProfile(db: Db, profileId: number, wanted: Derived): Result<number, DeriveIssue> {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return fail({ code: 'gone' });
  const { exposureS, bottomExposureS, bottomLayers, transitionLayers } = row.profile.settings;
  if (exposureS === undefined) return fail({ code: 'noExposure' });
  if (wanted.printerName === row.printer.name) return fail({ code: 'samePrinter' });
  const there = convertExposure(
    { exposureS, bottomExposureS },
    { engine: wanted.engineFrom, irradiance: wanted.from },
    { engine: wanted.engineTo, irradiance: wanted.to },
  );
  const middleS = hundredths(there.middle);
  return allOrNothing<number, DeriveIssue>(db, (tx) => {
    const made = createProfile(tx, {
      printerName: wanted.printerName,
      simulated: false,
      resinName: row.resin.name,
      profileName: `${row.profile.layerMm} mm, ${middleS} s`,
      layerMm: row.profile.layerMm,
      lot: row.profile.lot,
    });
    if (!made.ok) return made;
    correctSettings(tx, made.value, {
      exposureS: middleS,
      bottomLayers,
      transitionLayers,
      bottomExposureS: there.bottom && hundredths(there.bottom.middle),
      derived: {
        from: `${row.printer.name}, ${exposureS} s`,
        lowS: hundredths(there.low),
        highS: hundredths(there.high),
      },
    });
    return ok(made.value);
  });
}
