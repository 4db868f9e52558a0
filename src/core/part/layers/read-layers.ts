import { boundsOf, type Mesh, type Progress } from '@/core/part/mesh';
import { LayerCutter, type Cuts } from './cutter';
import { facetNormals } from './facet-normals';
import { AirGraph, type Hollows } from './air-graph';
import { middleOfLayer, planLayers } from './layer-plan';
import { overhangArea } from './overhang';
import { IslandFinder, type Island } from './islands';
import { eachAirOverlap, LayerRegions } from './regions';
import { gridOver, SpanRows } from './span-rows';
import type { LayerSweep } from './sweep';
import { readThroughHeight, type ThroughHeight } from './through-height';
import { farPitch, Thinnest, type ThinSpot } from './thinnest';

export interface ReadingOptions {
  /** Height of a layer, mm. */
  readonly heightMm: number;
  /** Pixel of the printer, mm: rows lie that far apart. */
  readonly pixelMm: number;
  /** The part stands on supports: the plate closes nothing and holds nothing. */
  readonly onSupports: boolean;
  /** What leans further than this from the layer below hangs, mm. Default: one layer height, a slope of 45°. */
  readonly selfSupportingMm?: number;
  /** Walls and gaps below these are listed one by one, mm. */
  readonly thinWallMm: number;
  readonly thinGapMm: number;
  /** The same for what is measured along Z. */
  readonly thinFloorMm: number;
  readonly thinRoofMm: number;
  /** Which body each facet belongs to, where it is known. */
  readonly bodyOf?: ArrayLike<number>;
}

export const READING_DEFAULTS: ReadingOptions = Object.freeze({
  heightMm: 0.05,
  pixelMm: 0.035,
  onSupports: false,
  thinWallMm: 0,
  thinGapMm: 0,
  thinFloorMm: 0,
  thinRoofMm: 0,
});

/** Hollows narrower than so many pixels suck on nothing and hold nothing. */
const HOLLOW_PIXELS = 5;

/** A part as the printer will meet it, layer by layer. */
export interface LayerReading extends LayerSweep, Hollows, ThroughHeight {
  readonly pixelMm: number;
  readonly islands: readonly Island[];
  /** Area of each layer beyond a self-supporting step from the one below, mm². */
  readonly overhangMm2: Float64Array;
  readonly smallestWall?: ThinSpot;
  readonly smallestGap?: ThinSpot;
  /** Walls and gaps below the thresholds, the smallest first. */
  readonly thinWalls: readonly ThinSpot[];
  readonly thinGaps: readonly ThinSpot[];
}

/** Area by the contours' crosses (Green) around a near point, and their length. */
function measureCuts({ ends, count }: Cuts, [centreX, centreY]: readonly [number, number]): [number, number] {
  let [area2, perimeter] = [0, 0];
  for (let at = 0; at < 4 * count; at += 4) {
    const [px, py] = [ends[at] - centreX, ends[at + 1] - centreY];
    const [qx, qy] = [ends[at + 2] - centreX, ends[at + 3] - centreY];
    area2 += px * qy - qx * py;
    perimeter += Math.sqrt((qx - px) * (qx - px) + (qy - py) * (qy - py));
  }
  return [area2 / 2, perimeter];
}

function areaOfRows({ left, right, count, grid }: SpanRows): number {
  let length = 0;
  for (let i = 0; i < count; i++) length += right[i] - left[i];
  return length * grid.pitchMm;
}

/** Sixth parts of the signed volume: negative where the whole part is inside out. */
function isInsideOut({ positions, facets }: Mesh): boolean {
  let volume = 0;
  const ox = positions[0];
  const oy = positions[1];
  const oz = positions[2];
  for (let i = 0; i < facets.length; i += 3) {
    const a = 3 * facets[i];
    const b = 3 * facets[i + 1];
    const c = 3 * facets[i + 2];
    const bx = positions[b] - ox;
    const by = positions[b + 1] - oy;
    const bz = positions[b + 2] - oz;
    const cx = positions[c] - ox;
    const cy = positions[c + 1] - oy;
    const cz = positions[c + 2] - oz;
    volume +=
      (positions[a] - ox) * (by * cz - bz * cy) +
      (positions[a + 1] - oy) * (bz * cx - bx * cz) +
      (positions[a + 2] - oz) * (bx * cy - by * cx);
  }
  return volume < 0;
}

/** The state of one reading: two layers at a time, one below the other. */
class LayerReader {
  private readonly sense: 1 | -1;
  private here: SpanRows;
  private below: SpanRows;
  private regions = new LayerRegions();
  private regionsBelow = new LayerRegions();
  /** What region 1 of the layer below is called in the graph of air. */
  private firstAirBelow = 1;
  private readonly air = new AirGraph();
  private readonly thinnest: Thinnest;
  private readonly throughHeight: ThroughHeight;
  private readonly islands: IslandFinder;
  private readonly areaMm2: Float64Array;
  private readonly perimeterMm: Float64Array;
  private readonly overhangMm2: Float64Array;
  private readonly centre: readonly [number, number];
  private readonly plan;

  constructor(
    mesh: Mesh,
    private readonly options: ReadingOptions,
  ) {
    this.plan = planLayers(mesh, options.heightMm);
    const { min, max } = boundsOf(mesh.positions);
    this.centre = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2];
    const rows = gridOver(0, [min[1], max[1]], options.pixelMm);
    this.here = new SpanRows(rows);
    this.below = new SpanRows(rows);
    this.sense = isInsideOut(mesh) ? -1 : 1;
    this.islands = new IslandFinder(options.pixelMm, options.onSupports);
    const columns = new SpanRows(gridOver(1, [min[0], max[0]], farPitch(options.pixelMm)));
    const normals = facetNormals(mesh);
    this.thinnest = new Thinnest({ normals, bodyOf: options.bodyOf }, { ...options, columns });
    this.throughHeight = readThroughHeight(mesh, {
      ...options,
      normals,
      bodyOf: options.bodyOf,
      sense: this.sense,
    });
    this.areaMm2 = new Float64Array(this.plan.count);
    this.perimeterMm = new Float64Array(this.plan.count);
    this.overhangMm2 = new Float64Array(this.plan.count);
  }

  take(layer: number, cuts: Cuts): void {
    const zMm = middleOfLayer(this.plan, layer);
    [this.here, this.below] = [this.below, this.here];
    [this.regions, this.regionsBelow] = [this.regionsBelow, this.regions];
    this.here.fill(cuts, this.sense);
    const [area, perimeter] = measureCuts(cuts, this.centre);
    this.areaMm2[layer] = this.here.overlapping ? areaOfRows(this.here) : area * this.sense;
    this.perimeterMm[layer] = perimeter;
    this.regions.label(this.here);
    const firstAir = this.air.addLayer(this.regions.airs);
    const [here, below] = [
      { rows: this.here, regions: this.regions },
      { rows: this.below, regions: this.regionsBelow },
    ];
    this.islands.take(layer, zMm, cuts, here, below);
    this.linkAir(layer, firstAir);
    this.firstAirBelow = firstAir;
    this.overhangMm2[layer] = this.hangingArea(layer);
    this.thinnest.take(layer, zMm, cuts, this.here, this.sense);
  }

  private linkAir(layer: number, firstAir: number): void {
    const { here, below, regions, regionsBelow, air } = this;
    if (layer === 0 || (regions.airs.length === 1 && regionsBelow.airs.length === 1)) return;
    const nameOf = (region: number, first: number) => (region === 0 ? 0 : first + region - 1);
    const link = (lower: number, upper: number) =>
      air.link(
        nameOf(lower < 0 ? 0 : regionsBelow.airOf[lower], this.firstAirBelow),
        nameOf(upper < 0 ? 0 : regions.airOf[upper], firstAir),
      );
    const [from, to] = [Math.min(here.rowFrom, below.rowFrom), Math.max(here.rowTo, below.rowTo)];
    for (let row = from; row < to; row++) eachAirOverlap(below, row, here, row, link);
  }

  private hangingArea(layer: number): number {
    const { onSupports, selfSupportingMm, heightMm } = this.options;
    if (layer === 0) return onSupports ? this.areaMm2[0] : 0;
    return overhangArea(this.here, this.below, selfSupportingMm ?? heightMm);
  }

  finish(): LayerReading {
    const { onSupports, pixelMm, heightMm } = this.options;
    return {
      ...this.plan,
      ...this.air.listHollows(heightMm, this.plan.fromMm, {
        onSupports,
        leastMm2: (HOLLOW_PIXELS * pixelMm) ** 2,
      }),
      pixelMm,
      areaMm2: this.areaMm2,
      perimeterMm: this.perimeterMm,
      overhangMm2: this.overhangMm2,
      islands: this.islands.islands,
      smallestWall: this.thinnest.walls.smallest,
      smallestGap: this.thinnest.gaps.smallest,
      thinWalls: this.thinnest.walls.list(),
      thinGaps: this.thinnest.gaps.list(),
      ...this.throughHeight,
    };
  }
}

/** What a sweep alone tells: areas, with nothing said yet of what lies between the layers. */
export function roughReading(sweep: LayerSweep, pixelMm: number): LayerReading {
  return {
    ...sweep,
    pixelMm,
    overhangMm2: new Float64Array(sweep.count),
    islands: [],
    cups: [],
    traps: [],
    voids: [],
    thinWalls: [],
    thinGaps: [],
    thinFloors: [],
    thinRoofs: [],
    overlaps: [],
  };
}

/**
 * Reads a mesh as the printer will: areas, islands, overhang, hollows, walls and gaps, in one pass over its layers.
 * Rows lie a pixel apart and their ends are exact; two layers are in memory at a time. Cost: facets plus layers × (pieces
 * of contour + crossings with the rows). Progress is the share of layers. Throws RangeError like `planLayers`.
 */
export function readLayers(
  mesh: Mesh,
  options: Partial<ReadingOptions> = {},
  onProgress: Progress = () => {},
): LayerReading {
  const given = { ...READING_DEFAULTS, ...options };
  const plan = planLayers(mesh, given.heightMm);
  const cutter = new LayerCutter(mesh, plan);
  const reader = new LayerReader(mesh, given);
  for (let layer = 0; layer < plan.count; layer++) {
    reader.take(layer, cutter.cutNext());
    if (layer % 64 === 0) onProgress(layer / plan.count);
  }
  return reader.finish();
}
