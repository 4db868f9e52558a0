import { copiesToStart, packPlate } from '@/core/print';
import { type Db, queries } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import type { JobView } from '@/subjects/job/jobs';
import { layersKey, ASSUMED_BED } from './view-plate';
import { printChances } from './view-print-chance';

/** How many copies to start, and why. */
export interface CopiesAdvice {
  readonly copies: number;
  readonly wanted: number;
  readonly why: 'asked' | 'sure' | 'full';
  /** Chance that one piece comes out whole. */
  readonly p: number;
}

/** More than a plate of small parts ever takes. */
const MOST = 200;

/** How many go on the plate at once; undefined while the layers of the part were not read. */
function roomOf(db: Db, view: JobView, gapMm: number): number | undefined {
  const key = layersKey(view);
  const { profile } = view;
  if (key === undefined || profile === undefined) return undefined;
  const read = queries.layersOfParts(db, [key], profile.profile.layerMm).get(key);
  if (read === undefined) return undefined;
  const plate = profile.printer.rooms.plate;
  const bed = plate === undefined ? ASSUMED_BED : { widthMm: plate[0], depthMm: plate[1] };
  const [widthMm, depthMm] = read.sizeMm;
  return packPlate([{ id: 1, widthMm, depthMm, copies: MOST }], { ...bed, gapMm }).placed.length;
}

/**
 * Returns how many copies of a job to start: as many as are wanted, as many as give them with 95 %, or a full plate.
 */
export function adviseCopies(
  db: Db,
  view: JobView,
  { schools, run }: Pick<HouseRules, 'schools' | 'run'>,
): CopiesAdvice {
  const wanted = Math.max(1, view.job.quantity);
  const { p } =
    view.profile === undefined ? { p: 1 } : printChances(db, run.commonShare)(view.profile.printer.id);
  const room = roomOf(db, view, run.plateGapMm);
  if (schools.spares === 'full' && room !== undefined && room > wanted)
    return { copies: room, wanted, why: 'full', p };
  const sure = copiesToStart(wanted, p);
  if (schools.spares === 'none' || sure === undefined || sure === wanted)
    return { copies: wanted, wanted, why: 'asked', p };
  return { copies: Math.min(sure, room ?? sure), wanted, why: 'sure', p };
}
