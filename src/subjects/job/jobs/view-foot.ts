import { groupBy } from '@/core/kit';
import { type Chamfer, chamferFor, type Flare, flareOf, flareOfPrint, pooledScatter } from '@/core/measure';
import type { ProfileSettings } from '@/core/signature';
import { correctedMm, type Db, instrumentOf, isAtPlate, LEAST_HEIGHT_MM, queries } from '@/store';

/** The elephant's foot of a profile. */
export interface FootView extends Flare {
  /** Chamfer to draw around the lower edge; undefined while there is no significant elephant's foot. */
  readonly chamfer?: Chamfer;
  /** Layers with longer exposure, and their height, mm; undefined if their number is unknown. */
  readonly cause?: { readonly layers: number; readonly heightMm: number };
}

/** Readings that can be compared: of one feature in one print, state and caliper. */
function pairKey({ feature, printId, session }: queries.StandingReading): string {
  return [feature.id, printId, session.state, session.instrumentId].join(' ');
}

/** A flare with the print it was read on. */
interface FlareOfPrint {
  readonly printId: number;
  readonly flare: Flare;
}

/** Flares of each size that was read both near the plate and higher up. */
function flaresOf(db: Db, profileId: number): FlareOfPrint[] {
  const low = queries
    .listStandingReadings(db, queries.ofProfileBelow(profileId, LEAST_HEIGHT_MM))
    .filter((reading) => isAtPlate(reading) && !reading.session.warm);
  if (low.length === 0) return [];
  const prints = [...new Set(low.map(({ printId }) => printId))];
  const all = queries
    .listStandingReadings(db, queries.ofPrints(prints))
    .filter(({ session }) => !session.warm);
  const groups = [...groupBy(all, pairKey).values()];
  const parted = groups.map((own) => ({
    own,
    lowMm: own.filter(isAtPlate).map(correctedMm),
    highMm: own.filter((reading) => !isAtPlate(reading)).map(correctedMm),
  }));
  const pooled = pooledScatter(parted.flatMap(({ lowMm, highMm }) => [lowMm, highMm]));
  return parted.flatMap(({ own: [{ printId, printed, instrument }], lowMm, highMm }) => {
    const read = { sense: printed.sense, lowMm, highMm, instrument: instrumentOf(instrument) };
    const flare = flareOf(read, pooled);
    return flare === undefined ? [] : { printId, flare };
  });
}

/** When each print of a profile was made. */
function makingTimes(db: Db, profileId: number): Map<number, number> {
  const prints = queries.listPrintsOfProfile(db, profileId);
  return new Map(prints.map(({ id, madeAt }) => [id, madeAt.getTime()]));
}

/** An elephant's foot with the settings of its print. */
export interface FootThen extends Flare {
  readonly settings: ProfileSettings;
}

/** The feet of a profile, one for what was read under the same settings: changes stand between them. */
export function listFeet(db: Db, profileId: number): FootThen[] {
  const flares = flaresOf(db, profileId);
  const profile = queries.findProfile(db, profileId)?.profile;
  if (profile === undefined || flares.length === 0) return [];
  const changes = queries.listChanges(db, profileId);
  const madeAt = makingTimes(db, profileId);
  const eraOf = ({ printId }: FlareOfPrint) =>
    changes.filter(({ at }) => at.getTime() <= madeAt.get(printId)!).length;
  return [...groupBy(flares, (flare) => String(eraOf(flare)))].flatMap(([era, own]) => {
    const foot = flareOfPrint(own.map(({ flare }) => flare));
    return foot === undefined ? [] : { ...foot, settings: changes[Number(era)]?.before ?? profile.settings };
  });
}

/**
 * Returns the elephant's foot of a profile from the sizes measured near the plate; undefined while none was measured
 * both there and higher up.
 */
export function viewFoot(db: Db, profileId: number): FootView | undefined {
  const profile = queries.findProfile(db, profileId)?.profile;
  const since = queries.listChanges(db, profileId).at(-1)?.at.getTime() ?? -Infinity;
  const madeAt = makingTimes(db, profileId);
  const standing = flaresOf(db, profileId).filter(({ printId }) => madeAt.get(printId)! >= since);
  const flare = flareOfPrint(standing.map((each) => each.flare));
  if (profile === undefined || flare === undefined) return undefined;
  const { layerMm, settings } = profile;
  const layers = (settings.bottomLayers ?? 0) + (settings.transitionLayers ?? 0);
  const cause = layers === 0 ? undefined : { layers, heightMm: layers * layerMm };
  return { ...flare, chamfer: chamferFor(flare, layerMm), cause };
}
