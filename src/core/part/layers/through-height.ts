import { boundsOf, type Mesh } from '@/core/part/mesh';
import { type Column, MOST_COLUMNS, type Window, ZColumns } from './columns';
import { SpotKeeper, type ThinSpot } from './thinnest';

/** Two bodies drawn into one another: they print as one. */
export interface Overlap {
  /** What they share, mm³. */
  readonly volumeMm3: number;
  /** Its middle, mm. */
  readonly middleMm: readonly [number, number, number];
  /** The bodies, by their names in `bodyOf`; twice the same where one crosses itself. */
  readonly bodies: readonly [number, number];
}

/** What a part is along Z. */
export interface ThroughHeight {
  /** Thinnest solid and narrowest air between faces that look against one another along Z. */
  readonly smallestWallZ?: ThinSpot;
  readonly smallestGapZ?: ThinSpot;
  /** Those below the thresholds, the smallest first. */
  readonly thinFloors: readonly ThinSpot[];
  readonly thinRoofs: readonly ThinSpot[];
  /** The largest first. */
  readonly overlaps: readonly Overlap[];
}

interface Options {
  readonly heightMm: number;
  readonly pixelMm: number;
  readonly thinFloorMm: number;
  readonly thinRoofMm: number;
  readonly normals: Float32Array;
  readonly bodyOf: ArrayLike<number> | undefined;
  /** −1 where the whole part is inside out. */
  readonly sense: 1 | -1;
  readonly mostColumns?: number;
}

/** Faces nearer than this are one, mm: two bodies drawn to touch. */
const TOUCHING_MM = 1e-6;
/** Faces look against one another to within 14°, as in the plane of a layer. */
const OPPOSITE = -Math.cos((14 * Math.PI) / 180);
/** Less than this is the rounding of a file, mm³. */
const LEAST_OVERLAP_MM3 = 1e-4;

interface Shared {
  volume: number;
  momentX: number;
  momentY: number;
  momentZ: number;
  readonly min: [number, number];
  readonly max: [number, number];
}

/** Volumes that pairs of bodies share, gathered over the columns of a grid. */
class Sharing {
  readonly pairs = new Map<string, Shared>();

  constructor(private readonly cellMm2: number) {}

  add(bodies: readonly number[], [x, y]: readonly [number, number], from: number, to: number): void {
    for (let i = 0; i < bodies.length; i++)
      for (let j = i + 1; j < bodies.length; j++) {
        const key = bodies[i] < bodies[j] ? `${bodies[i]} ${bodies[j]}` : `${bodies[j]} ${bodies[i]}`;
        this.addPair(key, [x, y], from, to);
      }
  }

  private addPair(key: string, [x, y]: readonly [number, number], from: number, to: number): void {
    let shared = this.pairs.get(key);
    if (shared === undefined) {
      shared = { volume: 0, momentX: 0, momentY: 0, momentZ: 0, min: [x, y], max: [x, y] };
      this.pairs.set(key, shared);
    }
    const volume = (to - from) * this.cellMm2;
    shared.volume += volume;
    shared.momentX += volume * x;
    shared.momentY += volume * y;
    shared.momentZ += (volume * (from + to)) / 2;
    shared.min[0] = Math.min(shared.min[0], x);
    shared.min[1] = Math.min(shared.min[1], y);
    shared.max[0] = Math.max(shared.max[0], x);
    shared.max[1] = Math.max(shared.max[1], y);
  }
}

/** Reads columns from below: stretches of solid and of air, and what is covered twice. */
class ColumnReader {
  readonly floors: SpotKeeper;
  readonly roofs: SpotKeeper;
  private readonly fromMm: number;
  /** Bodies entered and not left yet. */
  private readonly open: number[] = [];
  /** Place of the column, and its crossings at which the solid began and ended last. */
  private x = 0;
  private y = 0;
  private entered = -1;
  private left = -1;

  constructor(
    mesh: Mesh,
    private readonly options: Options,
    private readonly sharing: Sharing,
  ) {
    this.floors = new SpotKeeper(options.thinFloorMm);
    this.roofs = new SpotKeeper(options.thinRoofMm);
    this.fromMm = boundsOf(mesh.positions).min[2];
  }

  take(column: Column, x: number, y: number): void {
    const { open } = this;
    this.x = x;
    this.y = y;
    const { length, z, facet } = column;
    open.length = 0;
    this.entered = this.left = -1;
    for (let i = 0; i < length; i++) {
      if (open.length > 1 && z[i] - z[i - 1] > TOUCHING_MM) this.sharing.add(open, [x, y], z[i - 1], z[i]);
      if (facet[i] >= 0 === (this.options.sense === 1)) this.enter(column, i);
      else if (open.length > 0) this.leave(column, i);
    }
  }

  /** What is entered where another body was just left goes on; else the air between is a gap. */
  private enter(column: Column, i: number): void {
    const { z } = column;
    const { left } = this;
    if (this.open.length === 0 && (left < 0 || z[i] - z[left] > TOUCHING_MM)) {
      if (left >= 0) this.offer(this.roofs, column, left, i);
      this.entered = i;
    }
    this.open.push(this.bodyOf(column.facet[i]));
  }

  private leave(column: Column, i: number): void {
    const { z, facet, length } = column;
    const { open } = this;
    // Nearly always the last one entered, or one that crosses itself.
    const at = open.lastIndexOf(this.bodyOf(facet[i]));
    if (at < 0 || at === open.length - 1) open.pop();
    else open.splice(at, 1);
    if (open.length > 0) return;
    this.left = i;
    if (i + 1 < length && z[i + 1] - z[i] <= TOUCHING_MM) return;
    this.offer(this.floors, column, this.entered, i);
  }

  private bodyOf(told: number): number {
    return this.options.bodyOf?.[told < 0 ? ~told : told] ?? 0;
  }

  /** Offers what lies between two crossings of the column. */
  private offer(keeper: SpotKeeper, { z, facet }: Column, low: number, high: number): void {
    const sizeMm = z[high] - z[low];
    if (sizeMm <= TOUCHING_MM || sizeMm >= keeper.uptoMm) return;
    if (!this.faceOneAnother(facet[low], facet[high])) return;
    const middle = (z[low] + z[high]) / 2;
    const layer = Math.max(0, Math.floor((middle - this.fromMm) / this.options.heightMm));
    const betweenBodies = this.bodyOf(facet[low]) !== this.bodyOf(facet[high]);
    keeper.offer({ sizeMm, layer, atMm: [this.x, this.y, middle], betweenBodies });
  }

  private faceOneAnother(toldA: number, toldB: number): boolean {
    const { normals } = this.options;
    const a = 3 * (toldA < 0 ? ~toldA : toldA);
    const b = 3 * (toldB < 0 ? ~toldB : toldB);
    const dot = normals[a] * normals[b] + normals[a + 1] * normals[b + 1] + normals[a + 2] * normals[b + 2];
    return dot < OPPOSITE;
  }
}

function read(mesh: Mesh, window: Window, options: Options): { reader: ColumnReader; sharing: Sharing } {
  const columns = new ZColumns(mesh, window, options.pixelMm, options.mostColumns);
  const sharing = new Sharing(columns.cellMm2);
  const reader = new ColumnReader(mesh, options, sharing);
  columns.each((column, x, y) => reader.take(column, x, y));
  return { reader, sharing };
}

/** What a pair shares, read once more over its own window, where columns can lie closer. */
function measureOverlap(mesh: Mesh, key: string, rough: Shared, options: Options, pitch: number): Overlap {
  const window: Window = {
    min: [rough.min[0] - pitch, rough.min[1] - pitch],
    max: [rough.max[0] + pitch, rough.max[1] + pitch],
  };
  const finer = { ...options, pixelMm: options.pixelMm / 8, mostColumns: 4 * MOST_COLUMNS };
  const shared = read(mesh, window, finer).sharing.pairs.get(key) ?? rough;
  const { volume, momentX, momentY, momentZ } = shared;
  const [a, b] = key.split(' ').map(Number);
  return {
    volumeMm3: volume,
    middleMm: [momentX / volume, momentY / volume, momentZ / volume],
    bodies: [a, b],
  };
}

/** So many pairs are measured closely; a heap of shells has more than anybody reads. */
const MOST_MEASURED = 12;

/**
 * Walls, gaps and overlaps along Z: thin floors, roofs over narrow gaps, copies stacked too near, bodies drawn into one
 * another. Sizes between parallel faces are exact; the places are columns a pixel apart, further over a wide part. An
 * overlap narrower than the columns lie apart may be missed.
 */
export function readThroughHeight(mesh: Mesh, options: Options): ThroughHeight {
  const { min, max } = boundsOf(mesh.positions);
  const window: Window = { min: [min[0], min[1]], max: [max[0], max[1]] };
  const { reader, sharing } = read(mesh, window, options);
  const rough = [...sharing.pairs].sort(([, a], [, b]) => b.volume - a.volume).slice(0, MOST_MEASURED);
  const pitch = Math.max(options.pixelMm, (max[0] - min[0]) / 500, (max[1] - min[1]) / 500);
  return {
    smallestWallZ: reader.floors.smallest,
    smallestGapZ: reader.roofs.smallest,
    thinFloors: reader.floors.list(),
    thinRoofs: reader.roofs.list(),
    overlaps: rough
      .map(([key, shared]) => measureOverlap(mesh, key, shared, options, pitch))
      .filter(({ volumeMm3 }) => volumeMm3 > LEAST_OVERLAP_MM3)
      .sort((a, b) => b.volumeMm3 - a.volumeMm3),
  };
}
