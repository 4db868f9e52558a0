import { Z_90 } from '@/core/kit/numerics';
import { desc, eq } from 'drizzle-orm';
import {
  finishOf,
  learnRatio,
  learnSupportShare,
  outlookOf,
  plannedSeconds,
  type PlateAreas,
  type SettingChange,
  settingChanges,
  type SupportShare,
  type TimedPrint,
  type VatOutlook,
} from '@/core/print';
import { type Db, queries, tables } from '@/store';
import { type ProfileProgram, programOf, snapshotOf } from '@/subjects/signature';

/** What drips and is wiped, as a share of what cures; and what wets an empty vat, ml: usual. */
export const LOSS_SHARE = 0.05;
const WETTING_ML = 4;

/** A share of supports that is none, for sure. */
const NONE: SupportShare = { ln: -Infinity, sd: 0 };

export type Vat = typeof tables.vats.$inferSelect;

/** What a plate takes: hours, resin, and when to pour. */
export interface PlateForecast extends ProfileProgram {
  readonly layers: number;
  readonly plannedS: number;
  /** Earlier prints of this printer whose end was seen. */
  readonly timed: readonly TimedPrint[];
  readonly finish: ReturnType<typeof finishOf>;
  /** Weighings that the share of supports is known by; undefined: nothing on the plate gets supports. */
  readonly supports?: { readonly share: SupportShare; readonly weighings: number };
  /** With another resin in it it counts as empty: that one comes out first. */
  readonly vat?: Vat;
  /** The other resin. */
  readonly vatHolds?: string;
  /** Undefined where the vat is not known; 'tooMuch': one layer uses more than a full vat has. */
  readonly outlook?: VatOutlook | 'tooMuch';
  /** Without a look at the vat: what the print takes at the median share, ml. */
  readonly resinMl: number;
}

/** Runs of a printer that somebody, or the printer itself, saw end. */
export function listTimed(db: Db, printerId: number): TimedPrint[] {
  return queries.listEndedRuns(db, printerId).flatMap(({ plan, startedAt, endedAt, isTimed, outcome }) => {
    if (!isTimed || outcome !== 'done' || plan === null || startedAt === null || endedAt === null) return [];
    return {
      plannedS: plan.plannedS,
      realS: ((endedAt.getTime() - startedAt.getTime()) / 1000) * plan.speed,
    };
  });
}

/** Times of an outlook on the printer's own clock: pouring at the middle, the last safe moment by its fastest pace. */
function paced(outlook: VatOutlook, timed: readonly TimedPrint[]): VatOutlook {
  const { ln, sd } = learnRatio(timed);
  const { plan, lastSafeS } = outlook;
  return {
    ...outlook,
    plan: {
      ...plan,
      durationS: plan.durationS * Math.exp(ln),
      topUps: plan.topUps.map((topUp) => ({ ...topUp, clockS: topUp.clockS * Math.exp(ln) })),
    },
    lastSafeS: lastSafeS === undefined ? undefined : lastSafeS * Math.exp(ln - Z_90 * sd),
  };
}

/** Name of the resin in a printer's vat; undefined if it is the wanted one, or unknown. */
export function otherInVat(db: Db, { printer, resin }: queries.ProfileRow): string | undefined {
  if (printer.vatResinId === null || printer.vatResinId === resin.id) return undefined;
  return queries.findResin(db, printer.vatResinId)?.resin.name;
}

function vatFor(db: Db, printerId: number, isOther: boolean): Vat | undefined {
  const vat = db.select().from(tables.vats).where(eq(tables.vats.printerId, printerId)).get();
  return vat === undefined || !isOther ? vat : { ...vat, levelMl: 0, lots: [] };
}

/** Hours and resin of these layers with this profile. */
export function forecastOf(db: Db, row: queries.ProfileRow, areas: PlateAreas): PlateForecast {
  const { printer } = row;
  const known = programOf(row);
  const layers = areas.all.length;
  const plannedS = plannedSeconds(layers, known.program);
  const timed = listTimed(db, printer.id);
  const hasSupports = Array.from(areas.supported).some((area) => area > 0);
  const weighings = queries
    .listWeighings(db, printer.id)
    .map(({ supports, parts }) => ({ supports, part: parts }));
  const share = hasSupports ? learnSupportShare(weighings) : NONE;
  const vatHolds = otherInVat(db, row);
  const vat = vatFor(db, printer.id, vatHolds !== undefined);
  const usesMl = outlookOf(
    areas,
    known.program,
    { levelMl: 1e9, capacityMl: 1e9, floorMl: 0, wettingMl: 0, lossShare: LOSS_SHARE },
    share,
  ).plan.resinMl;
  return {
    ...known,
    layers,
    plannedS,
    timed,
    finish: finishOf(plannedS, timed),
    supports: hasSupports ? { share, weighings: weighings.length } : undefined,
    vat,
    vatHolds,
    outlook: vat && outlookIn(vat),
    resinMl: usesMl,
  };

  function outlookIn({ levelMl, capacityMl, floorMl }: Vat): PlateForecast['outlook'] {
    const wettingMl = levelMl > 0 ? 0 : WETTING_ML;
    try {
      return paced(
        outlookOf(
          areas,
          known.program,
          { levelMl, capacityMl, floorMl, wettingMl, lossShare: LOSS_SHARE },
          share,
        ),
        timed,
      );
    } catch (error) {
      if (error instanceof RangeError) return 'tooMuch';
      throw error;
    }
  }
}

/** What differs between the settings now and those of the last run with this profile; undefined where there was none. */
export function changesSinceLast(
  db: Db,
  row: queries.ProfileRow,
): { readonly runId: number; readonly changes: SettingChange[] } | undefined {
  const { runs } = tables;
  const last = db
    .select()
    .from(runs)
    .where(eq(runs.profileId, row.profile.id))
    .orderBy(desc(runs.startedAt))
    .all()
    .find(({ plan }) => plan !== null);
  if (last === undefined) return undefined;
  return { runId: last.id, changes: settingChanges(last.plan!.settings, snapshotOf(row)) };
}
