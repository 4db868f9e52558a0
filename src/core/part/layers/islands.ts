import type { Cuts } from './cutter';
import { loopsOfFacets } from './loops';
import { eachSolidOverlap, type LayerRegions } from './regions';
import type { SpanRows } from './span-rows';

/** A region that nothing below holds. */
export interface Island {
  /** Where it begins. */
  readonly layer: number;
  readonly atMm: readonly [number, number, number];
  /** Area once it is as large as a pixel, mm². */
  readonly areaMm2: number;
}

/** Where a region began that nothing holds and that is still smaller than a pixel; undefined: it is held. */
type Beginning = Pick<Island, 'layer' | 'atMm'> | undefined;

/** Regions smaller than so many pixels may be crumbs of one sliver that the rows cut into pieces. */
const CRUMB_PIXELS = 25;

/** A layer as rows with their regions. */
interface LabelledLayer {
  readonly rows: SpanRows;
  readonly regions: LayerRegions;
}

/**
 * Follows which regions are connected to the plate or the supports. A region smaller than a pixel neither counts nor
 * holds until it has grown: a tip is reported where it began. A sliver narrower than the rows breaks into fragments;
 * fragments along one contour are one.
 */
export class IslandFinder {
  readonly islands: Island[] = [];
  private below: Beginning[] = [];

  constructor(
    private readonly pixelMm: number,
    private readonly onSupports: boolean,
  ) {}

  /** Takes the next layer with the one under it; layer 0 stands on the plate unless it is on supports. */
  take(layer: number, zMm: number, cuts: Cuts, here: LabelledLayer, below: LabelledLayer): void {
    const { solids } = here.regions;
    let beginnings: Beginning[] = solids.map(({ areaMm2, momentX, momentY }) => ({
      layer,
      atMm: [momentX / areaMm2, momentY / areaMm2, zMm],
    }));
    if (layer > 0) this.holdFrom(beginnings, here, below);
    else if (!this.onSupports) beginnings.fill(undefined);
    const isCrumb = (region: number) => solids[region].areaMm2 < CRUMB_PIXELS * this.pixelMm ** 2;
    const crumbs = beginnings.some((beginning, region) => beginning !== undefined && isCrumb(region));
    if (crumbs && beginnings.length > 1) beginnings = joinAlongContours(beginnings, cuts, here);
    this.tellGrown(beginnings, solids);
  }

  private holdFrom(beginnings: Beginning[], here: LabelledLayer, below: LabelledLayer): void {
    let loose = beginnings.length;
    const hold = (span: number, spanBelow: number) => {
      const region = here.regions.solidOf[span];
      const known = beginnings[region];
      if (known === undefined) return;
      const holding = this.below[below.regions.solidOf[spanBelow]];
      if (holding === undefined) {
        beginnings[region] = undefined;
        loose--;
      } else if (holding.layer < known.layer) beginnings[region] = holding;
    };
    const { rowFrom, rowTo } = here.rows;
    // Mostly the first row that both layers have holds everything.
    for (let row = rowFrom; row < rowTo && loose > 0; row++)
      eachSolidOverlap(here.rows, row, below.rows, row, hold);
    if (!below.rows.isSliver) return;
    // The layer below lies between two rows: it holds what the rows beside it have.
    const { rowFrom: sliver } = below.rows;
    for (const row of [sliver - 1, sliver + 1]) {
      if (row >= rowFrom && row < rowTo) eachSolidOverlap(here.rows, row, below.rows, sliver, hold);
    }
  }

  /** Regions with one beginning are one: told once they are together as large as a pixel. */
  private tellGrown(beginnings: readonly Beginning[], solids: LayerRegions['solids']): void {
    const areaFrom = new Map<Beginning, number>();
    beginnings.forEach((beginning, region) => {
      if (beginning === undefined) return;
      areaFrom.set(beginning, (areaFrom.get(beginning) ?? 0) + solids[region].areaMm2);
    });
    for (const [beginning, areaMm2] of areaFrom) {
      if (beginning !== undefined && areaMm2 >= this.pixelMm ** 2)
        this.islands.push({ ...beginning, areaMm2 });
    }
    this.below = beginnings.map((beginning) =>
      (areaFrom.get(beginning) ?? 0) < this.pixelMm ** 2 ? beginning : undefined,
    );
  }
}

/** Regions along the same contour share what holds them, or their earliest beginning, or begin here together. */
function joinAlongContours(
  beginnings: readonly Beginning[],
  cuts: Cuts,
  { rows, regions }: LabelledLayer,
): Beginning[] {
  const loops = loopsOfFacets(cuts);
  const regionsOf = new Map<number, Set<number>>();
  for (let span = 0; span < rows.count; span++) {
    for (const facet of [rows.leftFacet[span], rows.rightFacet[span]]) {
      const loop = loops.get(facet);
      if (loop === undefined) continue;
      if (!regionsOf.has(loop)) regionsOf.set(loop, new Set());
      regionsOf.get(loop)!.add(regions.solidOf[span]);
    }
  }
  const joined = [...beginnings];
  for (const together of regionsOf.values()) {
    if (together.size < 2) continue;
    const members = [...together];
    const shared = members.some((region) => joined[region] === undefined)
      ? undefined
      : beginTogether(
          members.map((region) => joined[region]!),
          members.map((region) => regions.solids[region]),
        );
    for (const region of members) joined[region] = shared;
  }
  return joined;
}

/** The earliest beginning, and the middle of all that begin in that layer. */
function beginTogether(
  beginnings: readonly NonNullable<Beginning>[],
  solids: LayerRegions['solids'],
): Beginning {
  const layer = Math.min(...beginnings.map((beginning) => beginning.layer));
  let [area, x, y] = [0, 0, 0];
  const first = beginnings.find((beginning) => beginning.layer === layer)!;
  beginnings.forEach((beginning, i) => {
    if (beginning.layer !== layer) return;
    area += solids[i].areaMm2;
    x += solids[i].areaMm2 * beginning.atMm[0];
    y += solids[i].areaMm2 * beginning.atMm[1];
  });
  return { layer, atMm: [x / area, y / area, first.atMm[2]] };
}
