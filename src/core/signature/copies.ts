import { choleskyInPlace, normalCdf, normalQuantile } from '@/core/kit/numerics';
import { type DrawnTarget, type DrawOptions, jointChance, queryOf } from './draw';
import type { Signature } from './estimate';
import { heaviestNodes } from './heaviest-nodes';
import { DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD, driftRow } from './law';
import { latentCovariance } from './latent-size';
import { latentSizes } from './predict';

/** Nodes and weights of Gauss–Hermite quadrature for a standard normal, three points. */
const DRIFTS = [
  { at: -Math.sqrt(3), weight: 1 / 6 },
  { at: 0, weight: 2 / 3 },
  { at: Math.sqrt(3), weight: 1 / 6 },
] as const;
const POINTS = 1024;
const LEAST_POINTS = 48;

type Drift = ReturnType<typeof driftRow>;

/** What all copies share at one node, and what each has of its own. */
interface CopiesAtNode {
  /** Lower triangle of the shared part's factor, features × features. */
  readonly factor: Float64Array;
  /** Limits around the expected size, mm. */
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  /** Standard deviation of each feature's own chance from copy to copy, mm. */
  readonly ownSd: Float64Array;
  readonly drift: readonly Drift[];
}

/** Chance that one copy is right, the shared part being known: over its drift, features independent. */
function oneCopy({ lower, upper, ownSd, drift }: CopiesAtNode, shared: Float64Array): number {
  let chance = 0;
  for (const edge of DRIFTS)
    for (const scale of DRIFTS) {
      let product = edge.weight * scale.weight;
      for (let i = 0; i < shared.length; i++) {
        const mean =
          shared[i] + drift[i].edge * DRIFT_EDGE_SD_MM * edge.at + drift[i].scale * DRIFT_SCALE_SD * scale.at;
        product *= normalCdf((upper[i] - mean) / ownSd[i]) - normalCdf((lower[i] - mean) / ownSd[i]);
      }
      chance += product;
    }
  return chance;
}

/** Fractional parts of multiples of square roots, folded: a lattice that fills a cube evenly (Richtmyer, baker's transform). */
function latticePoint(point: number, dimension: number): number {
  const position = point * Math.sqrt(2 + dimension * (dimension + 3)) + 0.5;
  return Math.abs(2 * (position - Math.floor(position)) - 1);
}

function averageOverShared(node: CopiesAtNode, copies: number, points: number): number {
  const size = node.lower.length;
  const standard = new Float64Array(size);
  const shared = new Float64Array(size);
  let total = 0;
  for (let point = 1; point <= points; point++) {
    for (let i = 0; i < size; i++) {
      const at = Math.min(Math.max(latticePoint(point, i), 1e-12), 1 - 1e-12);
      standard[i] = normalQuantile(at);
      shared[i] = 0;
      for (let k = 0; k <= i; k++) shared[i] += node.factor[i * size + k] * standard[k];
    }
    total += oneCopy(node, shared) ** copies;
  }
  return total / points;
}

/** Covariance that the drift of one print gives two of its sizes, mm². */
function driftShare(a: Drift, b: Drift): number {
  return a.edge * b.edge * DRIFT_EDGE_SD_MM ** 2 + a.scale * b.scale * DRIFT_SCALE_SD ** 2;
}

/**
 * Returns the chance that `copies` prints of all drawn targets have every size in tolerance. Copies share the law, the
 * repeatable deviations of their features and the uncertainty of the mates; each has its own drift and chance. So they
 * fail together more often than independent prints would. The cost does not grow with the copies; error below 0.01. One
 * copy is jointChance itself.
 */
export function chanceOfAllCopies(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  copies: number,
  options: DrawOptions = {},
): number {
  if (copies <= 1 || drawn.length === 0) return jointChance(signature, drawn, options);
  const { posterior } = signature;
  const { weights, nodes } = posterior;
  const queries = drawn.map(({ target, drawMm }) => queryOf(target, drawMm, options));
  const sizes = queries.map((query) => latentSizes(signature, query));
  const drift = queries.map((query) => driftRow(query.kind, query.drawnMm));
  const kept = heaviestNodes(weights);
  const sum = kept.reduce((total, node) => total + weights[node], 0);
  return kept.reduce((chance, node) => {
    const own2 = drawn.map(({ target: { kind } }) => {
      const aligned = kind.axis === 'X' || kind.axis === 'Y';
      const snap = options.pixelMm === undefined || !aligned ? 0 : options.pixelMm ** 2 / 6;
      return nodes[node].tauP ** 2 + snap;
    });
    const factor = sharedFactor(node);
    const middle = sizes.map((size, i) => drawn[i].drawMm + size[node].offsetMm - drawn[i].target.targetMm);
    const share = weights[node] / sum;
    const atNode: CopiesAtNode = {
      factor,
      lower: Float64Array.from(drawn, ({ target }, i) => target.lowerDeviationMm - middle[i]),
      upper: Float64Array.from(drawn, ({ target }, i) => target.upperDeviationMm - middle[i]),
      ownSd: Float64Array.from(own2, Math.sqrt),
      drift,
    };
    const points = Math.max(LEAST_POINTS, Math.round(POINTS * share));
    return chance + share * averageOverShared(atNode, copies, points);
  }, 0);

  /**
   * What the copies share: the law, repeatable deviations and the uncertainty of the mates, without chance and drift of
   * a single print.
   */
  function sharedFactor(node: number): Float64Array {
    const count = drawn.length;
    const covariance = new Float64Array(count * count);
    for (let i = 0; i < count; i++) {
      for (let j = 0; j < i; j++)
        covariance[i * count + j] =
          latentCovariance(sizes[i][node], sizes[j][node], nodes[node]) - driftShare(drift[i], drift[j]);
      const mate = (drawn[i].target.mateU_mm ?? 0) ** 2;
      const habit = sizes[i][node].variance - nodes[node].tauP ** 2 - driftShare(drift[i], drift[i]);
      covariance[i * count + i] = Math.max(habit, 0) * (1 + 1e-9) + mate + 1e-12;
    }
    if (choleskyInPlace(covariance, count) >= 0)
      throw new RangeError('chanceOfAllCopies: targets must be different features');
    return covariance;
  }
}
