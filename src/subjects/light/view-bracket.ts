import { BRACKET_SLOT_MM, BRACKET_WALL_MM } from '@/core/gauges';
import { bracketExposures, type BracketIssue, type BracketVerdict, readBracket } from '@/core/light';
import type { Result } from '@/core/result';
import { type Db, queries } from '@/store';

/** A gauge of a bracket on record. */
export interface GaugeView {
  readonly id: number;
  readonly exposureS: number;
  readonly became: 'lost' | 'open' | 'closed';
  readonly wallMm?: number;
}

export interface BracketView {
  readonly gauges: readonly GaugeView[];
  /** What to print next, s; empty where what was printed is sure enough. */
  readonly next: readonly number[];
  /** Undefined while no gauge was printed. */
  readonly verdict?: Result<BracketVerdict, BracketIssue>;
}

/** Where nobody knows better the exposure lies within a factor of two of what is printed with. */
const WITHIN = 2;
const FIRST_RATIO = 1.4;
/** A wall of 4 mm shrinks by 0.3 ± 0.4 %, as resins do; growth of an edge is half of what is left. */
const SHRINK = { mean: 0.003, sd: 0.004 } as const;
/** One reading and one print of a wall, and what a caliper is wrong by each time, mm. */
const READ_SD_MM = 0.016;
const BIAS_SD_MM = 0.02 / Math.sqrt(3);
/** Shrink and bias are the same for all gauges. */
const SHARED_SD_MM = Math.hypot(BIAS_SD_MM, BRACKET_WALL_MM * SHRINK.sd) / 2;

/** Growth of edges by a wall's reading, mm on each face. */
function edgeOfWall(wallMm: number) {
  const mm = (wallMm - BRACKET_WALL_MM * (1 - SHRINK.mean)) / 2;
  return { mm, sdMm: READ_SD_MM / 2 };
}

/** As printers take them: hundredths of a second. */
const nextOf = (exposures: readonly number[] = []) => exposures.map((seconds) => Number(seconds.toFixed(2)));

/** What the gauges of a profile say of its exposure. */
export function viewBracket(db: Db, profileId: number, aboutS: number): BracketView {
  const gauges = queries
    .listBracketGauges(db, profileId)
    .map(({ id, exposureS, held, bridged, wallMm }): GaugeView => ({
      id,
      exposureS,
      became: !held ? 'lost' : bridged === true ? 'closed' : 'open',
      wallMm: wallMm ?? undefined,
    }));
  const verdict = readBracket({
    lowS: aboutS / WITHIN,
    highS: aboutS * WITHIN,
    slotMm: BRACKET_SLOT_MM,
    sharedSdMm: SHARED_SD_MM,
    outcomes: gauges.map(({ exposureS, became, wallMm }) => ({
      exposureS,
      held: became !== 'lost',
      bridged: became === 'lost' ? undefined : became === 'closed',
      edge: wallMm === undefined ? undefined : edgeOfWall(wallMm),
    })),
  });
  return {
    gauges,
    next: nextOf(
      gauges.length === 0 || !verdict.ok ? bracketExposures(aboutS, FIRST_RATIO) : verdict.value.next,
    ),
    verdict: gauges.length === 0 ? undefined : verdict,
  };
}
