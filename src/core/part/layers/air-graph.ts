import { OUTSIDE, type AirRegion } from './regions';

/** A hollow that is closed off while layers are made: it sucks on the film. Lengths mm, volumes mm³. */
interface Cup {
  readonly fromLayer: number;
  readonly toLayer: number;
  readonly volumeMm3: number;
  /** Largest area that it closes off in any layer. */
  readonly areaMm2: number;
  /** Middle of its first layer. */
  readonly middleMm: readonly [number, number, number];
  /** In the wall at its first layer: a hole here would free it. */
  readonly ventMm: readonly [number, number, number];
}

/** A hollow that traps resin: until it is drained (trap), or permanently (void). */
interface Pocket {
  readonly volumeMm3: number;
  readonly fromLayer: number;
  readonly toLayer: number;
  readonly middleMm: readonly [number, number, number];
}

export interface Hollows {
  readonly cups: readonly Cup[];
  readonly traps: readonly Pocket[];
  readonly voids: readonly Pocket[];
}

interface HollowOptions {
  /** The part stands on supports: the space at the plate is open. */
  readonly onSupports: boolean;
  /** Hollows that nowhere are as large are left out, mm². */
  readonly leastMm2: number;
}

/** One hollow while it is being followed from layer to layer. */
interface Followed {
  low: number;
  high: number;
  areaMm2: number;
  largestMm2: number;
  /** Region at its lowest layer. */
  lowest: number;
}

/** The air of a part as a graph: regions of the layers, and which of two neighbouring layers lie over one another. */
export class AirGraph {
  private readonly regions: AirRegion[] = [];
  private readonly layerOf: number[] = [];
  /** Where the regions of each layer begin, one more at the end. */
  private readonly firstOf: number[] = [];
  /** Pairs (lower, upper), OUTSIDE or a region's number from 1; those of the step below layer k from `linksOf[k]`. */
  private readonly links: number[] = [];
  private readonly linksOf: number[] = [];

  /** Begins the next layer with its enclosed regions; gives the number that region 1 of the layer has in the graph. */
  addLayer(airs: readonly AirRegion[]): number {
    const layer = this.firstOf.length;
    const first = this.regions.length + 1;
    this.firstOf.push(first);
    this.linksOf.push(this.links.length);
    for (let i = 1; i < airs.length; i++) {
      this.regions.push(airs[i]);
      this.layerOf.push(layer);
    }
    return first;
  }

  /** Air of the layer below and of the last layer added lie over one another. */
  link(lower: number, upper: number): void {
    const last = this.links.length;
    if (last > this.linksOf[this.linksOf.length - 1] && this.links[last - 2] === lower) {
      if (this.links[last - 1] === upper) return;
    }
    this.links.push(lower, upper);
  }

  /**
   * Cups, traps and voids. Upwards from the plate, what has found no way out by layer k sucks there; downwards from the
   * far end, what has found none keeps resin while the part hangs. What never finds one, and does not stand on the
   * plate, is a void.
   */
  listHollows(heightMm: number, fromMm: number, { onSupports, leastMm2 }: HollowOptions): Hollows {
    const place = (region: number, layer: number) => {
      const { momentX, momentY, areaMm2 } = this.regions[region - 1];
      const z = fromMm + (layer + 0.5) * heightMm;
      return [momentX / areaMm2, momentY / areaMm2, z] as const;
    };
    const pocketOf = (hollow: Followed): Pocket => ({
      volumeMm3: hollow.areaMm2 * heightMm,
      fromLayer: hollow.low,
      toLayer: hollow.high,
      middleMm: place(hollow.lowest, hollow.low),
    });
    const cupOf = (hollow: Followed): Cup => {
      const { ventX, ventY } = this.regions[hollow.lowest - 1];
      return {
        ...pocketOf(hollow),
        areaMm2: hollow.largestMm2,
        ventMm: [ventX, ventY, fromMm + (hollow.low + 0.5) * heightMm],
      };
    };
    const upwards = this.follow(true, onSupports);
    const downwards = this.follow(false, onSupports);
    const isLarge = ({ largestMm2 }: Followed) => largestMm2 >= leastMm2;
    const stands = ({ low }: Followed) => low === 0 && !onSupports;
    return {
      cups: [...upwards.opened, ...upwards.closed.filter(stands)].filter(isLarge).map(cupOf),
      traps: [...downwards.opened, ...downwards.closed.filter(stands)].filter(isLarge).map(pocketOf),
      voids: upwards.closed.filter((hollow) => !stands(hollow) && isLarge(hollow)).map(pocketOf),
    };
  }

  /** Follows hollows through the layers in one direction: those that opened to the outside, and those that never did. */
  private follow(upward: boolean, onSupports: boolean): { opened: Followed[]; closed: Followed[] } {
    const layers = this.firstOf.length;
    const parent = Int32Array.from({ length: this.regions.length + 1 }, (_, i) => i);
    const hollows = new Map<number, Followed>();
    const opened: Followed[] = [];
    const rootOf = (item: number) => {
      while (parent[item] !== item) item = parent[item] = parent[parent[item]];
      return item;
    };
    const join = (a: number, b: number) => {
      const [root, other] = [Math.min(rootOf(a), rootOf(b)), Math.max(rootOf(a), rootOf(b))];
      if (root === other) return;
      parent[other] = root;
      const [mine, theirs] = [hollows.get(root), hollows.get(other)];
      hollows.delete(other);
      if (theirs === undefined) return;
      if (root === OUTSIDE) opened.push(theirs);
      else hollows.set(root, mine === undefined ? theirs : merged(mine, theirs));
    };
    for (let step = 0; step < layers; step++) {
      const layer = upward ? step : layers - 1 - step;
      // The far end is open, the plate end only on supports; what still stands there at the last step opens then.
      if (step === 0 && (!upward || onSupports)) this.openLayer(layer, join);
      this.joinStep(upward ? layer : layer + 1, join);
      for (let region = this.firstOf[layer]; region < this.endOf(layer); region++) {
        this.enter(region, layer, rootOf(region), hollows);
      }
      if (step === layers - 1 && (upward || onSupports)) this.openLayer(layer, join);
    }
    return { opened, closed: [...hollows.values()] };
  }

  private endOf(layer: number): number {
    return this.firstOf[layer + 1] ?? this.regions.length + 1;
  }

  private openLayer(layer: number, join: (a: number, b: number) => void): void {
    for (let region = this.firstOf[layer]; region < this.endOf(layer); region++) join(OUTSIDE, region);
  }

  /** Joins what lies over one another between a layer and the one below it. */
  private joinStep(layer: number, join: (a: number, b: number) => void): void {
    if (layer <= 0 || layer >= this.firstOf.length) return;
    const end = this.linksOf[layer + 1] ?? this.links.length;
    for (let i = this.linksOf[layer]; i < end; i += 2) join(this.links[i], this.links[i + 1]);
  }

  private enter(region: number, layer: number, root: number, hollows: Map<number, Followed>): void {
    if (root === OUTSIDE) return;
    const { areaMm2 } = this.regions[region - 1];
    const here = { low: layer, high: layer, areaMm2, largestMm2: areaMm2, lowest: region };
    const known = hollows.get(root);
    hollows.set(root, known === undefined ? here : merged(known, here));
  }
}

function merged(a: Followed, b: Followed): Followed {
  const lower = b.low < a.low ? b : a;
  return {
    low: lower.low,
    high: Math.max(a.high, b.high),
    areaMm2: a.areaMm2 + b.areaMm2,
    largestMm2: Math.max(a.largestMm2, b.largestMm2),
    lowest: lower.lowest,
  };
}
