import { chainChance, drawFit, sizeChain, type Chain, type ChainLink, type DrawnFit } from '@/core/fits';
import type { FeatureKind } from '@/core/metrology';
import {
  evidenceOf,
  modulusOf,
  strengthOfResin,
  type Known,
  type PropertyId,
  type Quote,
} from '@/core/resins';
import { ok, type Result } from '@/core/result';
import { queries, type Db } from '@/db';
import { featureKey, kindOf } from './kinds';
import { keepQuote, resinFile, type ShelfChangeIssue } from './shelf';
import { drawOptions, type JobView } from './view-job';

/** A size that is no feature of the job yet: what must be drawn for it here. */
export interface SizeWanted {
  readonly kind: FeatureKind;
  readonly targetMm: number;
  readonly halfMm: number;
}

/** What to draw for sizes on this job's printer and resin; undefined without a profile. */
export function drawSizes(view: JobView, wanted: readonly SizeWanted[]): DrawnFit[] | undefined {
  const { learned } = view;
  if (learned === undefined) return undefined;
  return wanted.map(({ kind, targetMm, halfMm }, i) =>
    drawFit(
      learned.signature,
      { feature: `wanted ${i}`, kind, targetMm, lowerMm: -halfMm, upperMm: halfMm },
      drawOptions(view),
    ),
  );
}

/** A link of a chain: a feature of the job, or a bought size. */
export type LinkInput =
  | { readonly featureId: number; readonly direction: 1 | -1 }
  | { readonly name: string; readonly sizeMm: number; readonly halfMm: number; readonly direction: 1 | -1 };

export interface ChainView extends Chain {
  /** Chance that the end lies between the limits, where every link is printed. */
  readonly chance?: number;
}

type PrintedLink = ChainLink & { readonly query: NonNullable<ChainLink['query']> };

/** What a chain of sizes leaves at its end; undefined when no link is left. */
export function workOutChain(
  view: JobView,
  inputs: readonly LinkInput[],
  limits?: { readonly lowMm: number; readonly highMm: number },
): ChainView | undefined {
  const links = inputs.flatMap((input): ChainLink[] => {
    if ('name' in input) return [input];
    const feature = view.features.find(({ id }) => id === input.featureId);
    if (feature === undefined) return [];
    const drawn = view.attempts.at(-1)?.drawn.find(({ featureId }) => featureId === feature.id);
    const drawnMm = drawn?.drawnMm ?? feature.targetMm;
    return [
      {
        name: feature.name,
        direction: input.direction,
        sizeMm: feature.targetMm + (feature.lowerMm + feature.upperMm) / 2,
        halfMm: (feature.upperMm - feature.lowerMm) / 2,
        query: { kind: kindOf(feature), drawnMm, feature: featureKey(feature.id) },
      },
    ];
  });
  if (links.length === 0) return undefined;
  const signature = view.learned?.signature;
  const chain = sizeChain(links, signature);
  const printed = links.every((link): link is PrintedLink => link.query !== undefined);
  const chance =
    signature === undefined || limits === undefined || !printed
      ? undefined
      : chainChance(links as PrintedLink[], signature, limits);
  return { ...chain, chance };
}

/** A value a fit goes by, with where it comes from. */
export interface StrengthValue {
  readonly value: number;
  readonly source: Quote['source'];
}

/** What a cured resin stands; a field is missing where nobody has said. */
export interface ResinStrength {
  readonly modulusMPa?: StrengthValue;
  readonly strengthMPa?: StrengthValue;
  readonly breakStrain?: StrengthValue;
}

/** What a resin stands by its proofs and its sheet, on the cautious side where there is an interval. */
export function strengthOf(db: Db, resinId: number): ResinStrength {
  const found = queries.findResin(db, resinId);
  if (found === undefined) return {};
  const evidence = evidenceOf(resinFile(found));
  const valueOf = (known: Known | undefined, cautious = false) =>
    known && {
      value: cautious && Number.isFinite(known.low) ? known.low : known.value,
      source: known.quote.source,
    };
  return {
    modulusMPa: valueOf(modulusOf(evidence)),
    strengthMPa: valueOf(strengthOfResin(evidence)),
    breakStrain: valueOf(evidence.of('elongation'), true),
  };
}

/** Keeps what somebody says that a resin stands on its sheet, for every job. */
export function keepStrength(
  db: Db,
  resinId: number,
  strength: { readonly modulusMPa?: number; readonly strengthMPa?: number; readonly breakStrain?: number },
  on: string,
): Result<void, ShelfChangeIssue> {
  const stated: [PropertyId, number | undefined][] = [
    ['flexuralModulus_MPa', strength.modulusMPa],
    ['flexuralStrength_MPa', strength.strengthMPa],
    ['elongation', strength.breakStrain],
  ];
  for (const [property, value] of stated) {
    if (value === undefined) continue;
    const kept = keepQuote(db, resinId, { property, value, condition: 'cured', source: 'own', on });
    if (!kept.ok) return kept;
  }
  return ok(undefined);
}
