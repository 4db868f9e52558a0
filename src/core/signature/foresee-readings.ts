import {
  chanceOfAll,
  type DrawnTarget,
  type DrawOptions,
  type JointSizes,
  jointSizes,
  queryOf,
  type Target,
} from './draw';
import type { Signature } from './estimate';
import { heaviestNodes } from './heaviest-nodes';
import { latentCovariance, type LatentSize } from './latent-size';
import { sharedParts } from './layout';
import { type ReadingCandidate, readingQuery } from './next-reading';
import { latentSizes } from './predict';

/** Readings that could be taken before a job is printed, and what they would bring. */
export interface ForeseenReadings {
  /** The most telling first. */
  readonly chosen: readonly ReadingCandidate[];
  /** Chance of all targets together as things stand, and once the chosen were read and the job was drawn by them. */
  readonly before: number;
  readonly after: number;
}

/** Targets and candidates at one node: their covariance, row-major, targets first, and the noise of each candidate. */
interface Field {
  readonly covariance: Float64Array;
  readonly weight: number;
}

function fieldAt(
  node: number,
  signature: Signature,
  sizes: readonly (readonly LatentSize[])[],
  shared: readonly (readonly ReturnType<typeof sharedParts>[])[],
): Field {
  const { nodes, weights } = signature.posterior;
  const count = sizes.length;
  const covariance = new Float64Array(count * count);
  for (let i = 0; i < count; i++)
    for (let j = 0; j <= i; j++)
      covariance[i * count + j] = covariance[j * count + i] =
        i === j
          ? sizes[i][node].variance
          : latentCovariance(sizes[i][node], sizes[j][node], nodes[node], shared[i][j]);
  return { covariance, weight: weights[node] };
}

/** Takes a reading of column `at` in: what it tells of all others is known then. */
function condition({ covariance }: Field, count: number, at: number, noise: number): void {
  const total = covariance[at * count + at] + noise;
  const row = covariance.slice(at * count, (at + 1) * count);
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++) covariance[i * count + j] -= (row[i] * row[j]) / total;
}

/** What is chosen from, as it stands at each node that weighs. */
interface Choice {
  readonly chosen: readonly ReadingCandidate[];
  readonly fields: ReadonlyMap<number, Field>;
}

function choose(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  candidates: readonly ReadingCandidate[],
  { count: most, ...options }: DrawOptions & { readonly count: number },
): Choice {
  const targets = drawn.length;
  const readings = candidates.map((candidate) => readingQuery(signature, candidate));
  const sizes = [
    ...drawn.map(({ target, drawMm }) => latentSizes(signature, queryOf(target, drawMm, options))),
    ...readings.map(({ query }) => latentSizes(signature, query)),
  ];
  const shared = sizes.map(([a]) => sizes.map(([b]) => sharedParts(a.row, b.row)));
  const nodes = heaviestNodes(signature.posterior.weights);
  const fields = new Map(nodes.map((node) => [node, fieldAt(node, signature, sizes, shared)]));
  const all = sizes.length;
  const gainOf = (at: number) => {
    let gain = 0;
    for (const { covariance, weight } of fields.values())
      for (let target = 0; target < targets; target++)
        gain +=
          (weight * covariance[target * all + at] ** 2) /
          (covariance[at * all + at] + readings[at - targets].noise);
    return gain;
  };
  const left = new Set(candidates.keys());
  const chosen: ReadingCandidate[] = [];
  while (chosen.length < most && left.size > 0) {
    const best = [...left].reduce((a, b) => (gainOf(b + targets) > gainOf(a + targets) ? b : a));
    left.delete(best);
    chosen.push(candidates[best]);
    for (const field of fields.values()) condition(field, all, best + targets, readings[best].noise);
  }
  return { chosen, fields };
}

/**
 * Chooses readings one after another, each the one that shrinks the summed variance of the targets most given those before
 * it; most telling first. What they will read does not matter to how much they tell.
 * Source: greedy D. J. C. MacKay, Neural Computation 4 (1992) 590.
 */
export function chooseReadings(
  signature: Signature,
  targets: readonly Target[],
  candidates: readonly ReadingCandidate[],
  count: number,
): readonly ReadingCandidate[] {
  const drawn = targets.map((target) => ({ target, drawMm: target.targetMm }));
  return choose(signature, drawn, candidates, { count }).chosen;
}

/**
 * The same, with what the chosen readings would bring: the chance of all targets now, and once the readings are taken and
 * the job is drawn to the middle of its limits by whatever they say.
 */
export function foreseeReadings(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  candidates: readonly ReadingCandidate[],
  options: DrawOptions & { readonly count: number },
): ForeseenReadings {
  const joint = jointSizes(signature, drawn, options);
  const { chosen, fields } = choose(signature, drawn, candidates, options);
  const all = drawn.length + candidates.length;
  return {
    chosen,
    before: chanceOfAll(signature, joint, drawn),
    after: chanceOfAll(signature, narrowed(joint, fields, all), drawn),
  };
}

/** The targets with what the readings take off their covariance; what is the mates' and the pixels' own stays. */
function narrowed(joint: JointSizes, fields: ReadonlyMap<number, Field>, all: number): JointSizes {
  const count = joint.mixtures.length;
  return {
    ...joint,
    covarianceAt: (node) => {
      const { covariance } = fields.get(node)!;
      const own = joint.covarianceAt(node);
      return own.map((value, at) => {
        const [i, j] = [Math.floor(at / count), at % count];
        if (i !== j) return covariance[i * all + j];
        return value - joint.latentVarianceAt(node, i) + covariance[i * all + i];
      });
    },
  };
}
