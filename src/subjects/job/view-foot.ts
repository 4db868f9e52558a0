import { groupBy } from '@/core/group-by';
import { type Chamfer, chamferFor, type Flare, flareOf, flareOfPrint, pooledScatter } from '@/core/metrology';
import { correctedMm, type Db, instrumentOf, isAtPlate, LEAST_HEIGHT_MM, queries } from '@/store';

/** The foot that a profile's first layers leave. */
export interface FootView extends Flare {
  /** What to draw round the lower edge; undefined while no foot is proven. */
  readonly chamfer?: Chamfer;
  /** Layers that are exposed longer, and how high they reach, mm; undefined where nobody said how many. */
  readonly cause?: { readonly layers: number; readonly heightMm: number };
}

/** Readings that can be compared: of one feature in one print, state and caliper. */
function pairKey({ feature, printId, session }: queries.StandingReading): string {
  return [feature.id, printId, session.state, session.instrumentId].join(' ');
}

/** Flares of each size that was read both near the plate and higher up, of prints since the newest change. */
function flaresOf(db: Db, profileId: number): Flare[] {
  const low = queries
    .listStandingReadings(db, queries.ofProfileBelow(profileId, LEAST_HEIGHT_MM))
    .filter((reading) => isAtPlate(reading) && !reading.session.warm);
  if (low.length === 0) return [];
  const since = queries.listChanges(db, profileId).at(-1)?.at.getTime() ?? -Infinity;
  const madeAt = new Map(queries.listPrintsOfProfile(db, profileId).map((print) => [print.id, print.madeAt]));
  const prints = [...new Set(low.map(({ printId }) => printId))].filter(
    (id) => madeAt.get(id)!.getTime() >= since,
  );
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
  return parted.flatMap(({ own: [{ printed, instrument }], lowMm, highMm }) => {
    const read = { sense: printed.sense, lowMm, highMm, instrument: instrumentOf(instrument) };
    return flareOf(read, pooled) ?? [];
  });
}

/** What the sizes read near the plate say of a profile's foot; undefined while none was read both there and higher up. */
export function viewFoot(db: Db, profileId: number): FootView | undefined {
  const profile = queries.findProfile(db, profileId)?.profile;
  const flare = flareOfPrint(flaresOf(db, profileId));
  if (profile === undefined || flare === undefined) return undefined;
  const { layerMm, settings } = profile;
  const layers = (settings.bottomLayers ?? 0) + (settings.transitionLayers ?? 0);
  const cause = layers === 0 ? undefined : { layers, heightMm: layers * layerMm };
  return { ...flare, chamfer: chamferFor(flare, layerMm), cause };
}
