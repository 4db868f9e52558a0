import { groupBy } from '@/core/kit';
import { type LyingPiece, findPlaceIssues, type PlaceIssue, type PlateAreas } from '@/core/print';
import { type Db, queries } from '@/store';
import { type JobView, partOfJob, type PartView, viewPart } from '@/subjects/job/jobs';

/** A plate, mm; one with unknown size is assumed to be the smallest usual one. */
export interface Bed {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  readonly isKnown: boolean;
}

export const ASSUMED_BED: Bed = { widthMm: 120, depthMm: 68, heightMm: 150, isKnown: false };

/** The plate of the printer of a run. Throws RangeError where there is no such run. */
export function bedOf(db: Db, runId: number): Bed {
  const run = queries.findRun(db, runId);
  const plate = run && queries.findProfile(db, run.profileId)?.printer.rooms.plate;
  if (run === undefined) throw new RangeError(`bedOf: there is no run ${runId}`);
  if (plate === undefined) return ASSUMED_BED;
  const [widthMm, depthMm, heightMm] = plate;
  return { widthMm, depthMm, heightMm, isKnown: true };
}

/** One copy on the plate. */
export interface PlatePiece {
  readonly id: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly isTurned: boolean;
  /** What came of it. */
  readonly print?: { readonly id: number; readonly name: string };
}

/** An attempt on the plate with its copies. */
export interface PlateItem {
  readonly attemptId: number;
  readonly attemptNumber: number;
  readonly job: {
    readonly id: number;
    readonly name: string;
    readonly isGauge: boolean;
    readonly quantity: number;
  };
  /** Name of its layers and address of its file. */
  readonly part?: { readonly key: string; readonly source: string };
  /** Length, width and height as it stands, with what lifts it; undefined while its layers were not read. */
  readonly sizeMm?: readonly [number, number, number];
  readonly layers?: queries.PartLayers;
  /** Hollowed with so thick a wall, mm; undefined: solid. */
  readonly wallMm?: number;
  /** Supports below it that are not in its file, mm; undefined: none. */
  readonly liftMm?: number;
  readonly pieces: readonly PlatePiece[];
}

/**
 * Name under which the layers of a job's part are kept: a file's hash is the same for all jobs, sizes are those of one
 * job; a shell is not the full part. Undefined: it has no file.
 */
export function layersKey(view: PartView, wallMm: number | null = null): string | undefined {
  const part = partOfJob(view);
  if (part === undefined) return undefined;
  const full = part.source.startsWith('/api/meshes/') ? part.key : `job ${view.job.id} ${part.key}`;
  return wallMm === null ? full : `${full} wall ${wallMm}`;
}

/** What lies on a plate, attempt by attempt. */
export function viewItems(db: Db, runId: number): PlateItem[] {
  const run = queries.findRun(db, runId);
  const layerMm = run && queries.findProfile(db, run.profileId)?.profile.layerMm;
  if (layerMm === undefined) return [];
  const rows = queries.listPieces(db, runId);
  const views = new Map([...new Set(rows.map(({ job }) => job.id))].map((id) => [id, viewPart(db, id)!]));
  const keys = rows.flatMap(({ job, piece }) => layersKey(views.get(job.id)!, piece.wallMm) ?? []);
  const layers = queries.layersOfParts(db, [...new Set(keys)], layerMm);
  return [...groupBy(rows, ({ attempt }) => attempt.id).values()].map((own): PlateItem => {
    const { attempt, job, piece: first } = own[0];
    const view = views.get(job.id)!;
    const key = layersKey(view, first.wallMm);
    const read = key === undefined ? undefined : layers.get(key);
    const liftMm = job.stance?.kind === 'supports' ? job.stance.liftMm : undefined;
    return {
      attemptId: attempt.id,
      attemptNumber: attempt.number,
      job: { id: job.id, name: job.name, isGauge: job.kind === 'gauge', quantity: job.quantity },
      part: key === undefined ? undefined : { key, source: partOfJob(view)!.source },
      layers: read,
      sizeMm: read && [read.sizeMm[0], read.sizeMm[1], read.sizeMm[2] + (liftMm ?? 0)],
      liftMm,
      wallMm: first.wallMm ?? undefined,
      pieces: own.map(({ piece, print }) => ({
        id: piece.id,
        xMm: piece.xMm,
        yMm: piece.yMm,
        isTurned: piece.isTurned,
        print: print === null ? undefined : { id: print.id, name: print.name },
      })),
    };
  });
}

/** Pieces of all items at their places, without parts that were not read, with their ids. */
export function lyingPieces(items: readonly PlateItem[]): (LyingPiece & { readonly id: number })[] {
  return items.flatMap(({ sizeMm, pieces }) =>
    sizeMm === undefined ? [] : pieces.map((piece) => ({ ...piece, widthMm: sizeMm[0], depthMm: sizeMm[1] })),
  );
}

/** What is wrong with where pieces lie, by the id of the piece. */
export function placeIssuesOf(
  items: readonly PlateItem[],
  bed: Bed,
  gapMm: number,
): ReadonlyMap<number, PlaceIssue> {
  const lying = lyingPieces(items);
  return new Map([...findPlaceIssues(lying, { ...bed, gapMm })].map(([at, issue]) => [lying[at].id, issue]));
}

/** Areas of the layers of the whole plate, mm²; undefined while a part on it was not read. */
export function plateAreas(items: readonly PlateItem[], layerMm: number): PlateAreas | undefined {
  if (items.length === 0 || items.some(({ layers }) => layers === undefined)) return undefined;
  const stacks = items.map(({ layers, liftMm = 0, pieces }) => ({
    own: layers!.areasMm2,
    below: Math.ceil(liftMm / layerMm - 1e-9),
    isSupported: liftMm > 0,
    copies: pieces.length,
  }));
  const count = Math.max(...stacks.map(({ own, below }) => own.length + below));
  const [all, supported] = [new Float64Array(count), new Float64Array(count)];
  for (const { own, below, isSupported, copies } of stacks)
    own.forEach((area, i) => {
      all[below + i] += copies * area;
      if (isSupported) supported[below + i] += copies * area;
    });
  return { all, supported };
}

/** Mean thickness of a job's part, twice its volume over its surface, mm; undefined while its layers were not read. */
export function meanWallMm(db: Db, view: JobView): number | undefined {
  const key = layersKey(view);
  const layerMm = view.profile?.profile.layerMm;
  if (key === undefined || layerMm === undefined) return undefined;
  const read = queries.layersOfParts(db, [key], layerMm).get(key);
  return read === undefined || read.surfaceMm2 === 0 ? undefined : (2 * read.volumeMm3) / read.surfaceMm2;
}
