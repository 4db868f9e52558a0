import { BRACKET_SLOT_MM, BRACKET_WALL_MM } from '@/core/fit/gauges';
import {
  bracketExposures,
  type BracketIssue,
  type BracketVerdict,
  type EdgeObservation,
  edgeOfWall,
  readBracket,
  type WallDoubts,
  type WallEdge,
} from '@/core/exposure';
import type { Result } from '@/core/kit';
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
  /** What to print next, s; empty if the printed exposures are certain enough. */
  readonly next: readonly number[];
  /** Undefined while no gauge was printed. */
  readonly verdict?: Result<BracketVerdict, BracketIssue>;
}

/** Without better data the exposure is within a factor of two of the present one. */
const WITHIN = 2;
const FIRST_RATIO = 1.4;
/** Resins shrink by 0.3 ± 0.4 %; a wall is printed and read to 0.016, by a caliper of 0.02. */
const DOUBTS: WallDoubts = {
  shrinkMean: -0.003,
  shrinkSd: 0.004,
  ownSdMm: 0.016,
  sharedSdMm: 0.02 / Math.sqrt(3),
};

/** Growth of edges by a gauge's wall; undefined where nobody read it. */
function edgeOf({ exposureS, wallMm }: Pick<GaugeView, 'exposureS' | 'wallMm'>): WallEdge | undefined {
  if (wallMm === undefined) return undefined;
  const edge = edgeOfWall({ drawnMm: BRACKET_WALL_MM, readMm: wallMm }, DOUBTS, exposureS);
  return edge.ok ? edge.value : undefined;
}

function gaugesOf(db: Db, profileId: number): GaugeView[] {
  return queries.listBracketGauges(db, profileId).map(({ id, exposureS, held, bridged, wallMm }) => ({
    id,
    exposureS,
    became: !held ? 'lost' : bridged === true ? 'closed' : 'open',
    wallMm: wallMm ?? undefined,
  }));
}

/**
 * Returns what the walls of a profile's gauges say about edges at their exposures. What they share counts in each as
 * its own, multiplied by the number of walls: so their mean is no more certain than what they share.
 */
export function edgesOfGauges(db: Db, profileId: number): EdgeObservation[] {
  const edges = gaugesOf(db, profileId).flatMap((gauge) => edgeOf(gauge) ?? []);
  return edges.map(({ exposureS, edgeMm, ownSdMm, sharedSdMm }) => ({
    exposureS,
    edgeMm,
    sdMm: Math.hypot(ownSdMm, Math.sqrt(edges.length) * sharedSdMm),
  }));
}

/** As printers take them: hundredths of a second. */
const nextOf = (exposures: readonly number[] = []) => exposures.map((seconds) => Number(seconds.toFixed(2)));

/** The exposures between which it must be: as copied from another printer, or within a factor of two. */
function rangeOf(db: Db, profileId: number, aboutS: number): { lowS: number; highS: number } {
  const { derived } = queries.findProfile(db, profileId)?.profile.settings ?? {};
  return derived ?? { lowS: aboutS / WITHIN, highS: aboutS * WITHIN };
}

/** Three in equal ratio: both ends and the middle of the range from another printer, closer together without one. */
function firstThree(db: Db, profileId: number, aboutS: number): number[] {
  const { derived } = queries.findProfile(db, profileId)?.profile.settings ?? {};
  if (derived === undefined) return bracketExposures(aboutS, FIRST_RATIO);
  const { lowS, highS } = derived;
  return bracketExposures(Math.sqrt(lowS * highS), Math.sqrt(highS / lowS));
}

/** Returns what the gauges of a profile say about its exposure. */
export function viewBracket(db: Db, profileId: number, aboutS: number): BracketView {
  const gauges = gaugesOf(db, profileId);
  const edges = gauges.map(edgeOf);
  const verdict = readBracket({
    ...rangeOf(db, profileId, aboutS),
    slotMm: BRACKET_SLOT_MM,
    sharedSdMm: edges.find((edge) => edge !== undefined)?.sharedSdMm,
    outcomes: gauges.map(({ exposureS, became }, i) => ({
      exposureS,
      held: became !== 'lost',
      bridged: became === 'lost' ? undefined : became === 'closed',
      edge: edges[i] && { mm: edges[i].edgeMm, sdMm: edges[i].ownSdMm },
    })),
  });
  return {
    gauges,
    next: nextOf(gauges.length === 0 || !verdict.ok ? firstThree(db, profileId, aboutS) : verdict.value.next),
    verdict: gauges.length === 0 ? undefined : verdict,
  };
}
