import { learnRatio, learnSupportShare, type WayAsk } from '@/core/print';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import type { JobView } from '@/subjects/job/jobs';
import { programOf } from '@/subjects/signature';
import { type PrintChance, printChances } from './view-print-chance';
import { LOSS_SHARE, listTimed, otherInVat } from './view-forecast';
import { attendedOf, ratesOf } from './rates-of-house';
import { ASSUMED_BED } from './view-plate';

/** What the print options of a job depend on, except the orientations, which come from its file. */
export interface WaysView {
  readonly ask: Omit<WayAsk, 'poses' | 'volumeMm3'>;
  readonly print: PrintChance;
  /** Chance that the sizes of a piece are in their limits; undefined: nothing was expected of them. */
  readonly sizes?: number;
  /** The preferred layer height, mm. */
  readonly likedMm: number;
}

const LIKED_MM = { fine: 0.025, middle: 0.05, coarse: 0.1 } as const;
const STANDARD_MM = [0.025, 0.05, 0.1] as const;

/** More than this many high nobody watches any more. */
const STACK_UP_TO = 3;

/** Everything except the orientations; undefined if no printer and resin are chosen. */
export function viewWays(
  db: Db,
  view: JobView,
  house: Pick<HouseRules, 'schools' | 'run' | 'changeoverMl'>,
): WaysView | undefined {
  const { profile, job, attempts } = view;
  if (profile === undefined) return undefined;
  const chanceOn = printChances(db, house.run.commonShare);
  const machines = queries
    .listProfiles(db)
    .filter(({ resin }) => resin.id === profile.resin.id)
    .map((row) => {
      const plate = row.printer.rooms.plate;
      const bed =
        plate === undefined ? ASSUMED_BED : { widthMm: plate[0], depthMm: plate[1], heightMm: plate[2] };
      return {
        profileId: row.profile.id,
        printer: row.printer.name,
        program: programOf(row).program,
        layerMm: row.profile.layerMm,
        lnRatio: learnRatio(listTimed(db, row.printer.id)).ln,
        p: chanceOn(row.printer.id).p,
        bed,
        changeoverMl: row.printer.vatResinId === row.resin.id ? 0 : house.changeoverMl,
        vatHolds: otherInVat(db, row),
      };
    });
  const chances = (attempts.at(-1)?.drawn ?? []).flatMap(({ chance }) => chance ?? []);
  const sizes = chances.length === 0 ? undefined : chances.reduce((all, chance) => all * chance, 1);
  const print = chanceOn(profile.printer.id);
  const weighings = queries
    .listWeighings(db, profile.printer.id)
    .map(({ supports, parts }) => ({ supports, part: parts }));
  return {
    ask: {
      machines,
      layersMm: STANDARD_MM,
      good: Math.max(1, job.quantity),
      sizes: sizes ?? 1,
      commonShare: print.commonShare,
      supportShare: Math.exp(learnSupportShare(weighings).ln),
      lossShare: LOSS_SHARE,
      gapMm: house.run.plateGapMm,
      stackUpTo: house.schools.stacking === 'whereTold' ? STACK_UP_TO : 1,
      attended: attendedOf(house),
      rates: ratesOf(house),
    },
    print,
    sizes,
    likedMm: LIKED_MM[house.schools.layerHeight],
  };
}
