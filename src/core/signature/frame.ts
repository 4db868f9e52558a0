import { choleskyInPlace } from '@/core/kit/numerics';
import { type ChangeKeys, changeKeys, type ColumnKey, type SharedColumn } from './columns';
import { type LawPrior, PARAMETER_COUNT, PARAMETER_NAMES, type ParameterName } from './law';
import { shiftPrior, type ShiftedState } from './states';

/** A change of what a profile is printed under (a film, a lot): what was known of the law holds less since. */
export interface Change {
  /** Prints made since the change before it. */
  readonly printsBefore: readonly string[];
  /** Share of a parameter's prior variance that it gives back: 0 leaves what was known, 1 forgets it. */
  readonly givenBack: Readonly<Partial<Record<ParameterName, number>>>;
  /** The same for the shifts between states. */
  readonly shiftsGivenBack?: number;
  /** How far it is known to have moved a parameter, with the sd of that. */
  readonly moved?: Readonly<Partial<Record<ParameterName, { readonly mean: number; readonly sd: number }>>>;
}

/** What an entry of a row is before or after changes: `scale` of what it is now, `known` beside it, and unknowns of sd 1. */
interface Drifted {
  readonly scale: number;
  readonly known: number;
  readonly spreads: readonly (readonly [key: ColumnKey, value: number])[];
}

/** The law as it is for a print before or after changes, in terms of the law now. */
export interface Past {
  readonly law: readonly Drifted[];
  readonly shiftOf: (key: { readonly state: ShiftedState; readonly along: 'xy' | 'z' }) => Drifted;
}

/** State that rows are about, and for prints before or after changes, the law of that time. */
export interface Frame {
  readonly base: ShiftedState;
  readonly pastOf: ReadonlyMap<string, Past>;
  /** How the law will be for prints to come, where a change is foreseen before them. */
  readonly toCome?: Past;
  /** Columns of what the changes left unknown. */
  readonly columns: readonly SharedColumn[];
}

/** Changes that are kept separate; prints from before the oldest of them count as made just before it. */
const MOST_CHANGES = 6;

const NOW: Drifted = { scale: 1, known: 0, spreads: [] };

/** One entry, one change further back: β_then = M₀ + a·(β_after − moved − M₀) + √v·ξ, with a = √(1 − v). */
function before(
  { scale, known, spreads }: Drifted,
  { mean, share, moved }: { readonly mean: number; readonly share: number; readonly moved: number },
): Drifted {
  const kept = Math.sqrt(1 - share);
  return {
    scale: kept * scale,
    known: mean + kept * (known - moved - mean),
    spreads: spreads.map(([key, value]) => [key, kept * value]),
  };
}

/** Factors of the parameters' own changes: rows of the Cholesky factor of √v·C₀·√v, over the parameters that change. */
function spreadOfLaw({ covariance }: LawPrior, shares: Float64Array, keys: ChangeKeys) {
  const changed = [...shares.keys()].filter((i) => shares[i] > 0);
  const count = changed.length;
  const factor = new Float64Array(count * count);
  changed.forEach((i, a) =>
    changed.forEach((j, b) => {
      factor[a * count + b] = Math.sqrt(shares[i] * shares[j]) * covariance[i * PARAMETER_COUNT + j];
    }),
  );
  if (choleskyInPlace(factor, count) >= 0) throw new RangeError('spreadOfLaw: the prior has no spread');
  return new Map(
    changed.map((i, a) => [
      i,
      changed.slice(0, a + 1).map((_, b): [ColumnKey, number] => [keys.factor(b), factor[a * count + b]]),
    ]),
  );
}

function lawBefore(law: readonly Drifted[], change: Change, prior: LawPrior, keys: ChangeKeys): Drifted[] {
  const shares = Float64Array.from(PARAMETER_NAMES, (parameter) => change.givenBack[parameter] ?? 0);
  const spread = spreadOfLaw(prior, shares, keys);
  return law.map((entry, i) => {
    const moved = change.moved?.[PARAMETER_NAMES[i]];
    const kept = Math.sqrt(1 - shares[i]);
    const older = before(entry, { mean: prior.mean[i], share: shares[i], moved: moved?.mean ?? 0 });
    const own = [...(spread.get(i) ?? [])];
    if (moved !== undefined) own.push([keys.moved(PARAMETER_NAMES[i]), kept * moved.sd]);
    return { ...older, spreads: [...older.spreads, ...own] };
  });
}

type ShiftOf = Past['shiftOf'];

function shiftBefore(shiftOf: ShiftOf, share: number, base: ShiftedState, keys: ChangeKeys): ShiftOf {
  if (share === 0) return shiftOf;
  return (of) => {
    const { mean, sd } = shiftPrior(of.state, base);
    const older = before(shiftOf(of), { mean, share, moved: 0 });
    const own: [ColumnKey, number] = [keys.shift(of.state, of.along), Math.sqrt(share) * sd];
    return { ...older, spreads: [...older.spreads, own] };
  };
}

/**
 * How the law will be after a change that is made now: M₀ + a·(β − M₀) + moved + √v·ξ, with a = √(1 − v). The other way
 * round than `before`, what is moved is unsure of itself: it takes nothing from what is known now.
 */
export function lawAfter(change: Omit<Change, 'printsBefore'>, prior: LawPrior, base: ShiftedState): Past {
  const keys = changeKeys('foreseen');
  const shares = Float64Array.from(PARAMETER_NAMES, (parameter) => change.givenBack[parameter] ?? 0);
  const spread = spreadOfLaw(prior, shares, keys);
  const shifts = change.shiftsGivenBack ?? 0;
  return {
    law: PARAMETER_NAMES.map((name, i) => {
      const moved = change.moved?.[name];
      const scale = Math.sqrt(1 - shares[i]);
      const own = moved === undefined ? [] : [[keys.moved(name), moved.sd] as const];
      const known = prior.mean[i] * (1 - scale) + (moved?.mean ?? 0);
      return { scale, known, spreads: [...(spread.get(i) ?? []), ...own] };
    }),
    shiftOf: ({ state, along }) => {
      const { mean, sd } = shiftPrior(state, base);
      const scale = Math.sqrt(1 - shifts);
      const own: [ColumnKey, number][] =
        shifts === 0 ? [] : [[keys.shift(state, along), Math.sqrt(shifts) * sd]];
      return { scale, known: mean * (1 - scale), spreads: own };
    },
  };
}

/** Names of all that the changes left unknown, for the states that were read. */
function namesOf({ law, shiftOf }: Past, states: Iterable<ShiftedState>): Set<ColumnKey> {
  const shifts = [...states].flatMap((state) =>
    (['xy', 'z'] as const).map((along) => shiftOf({ state, along })),
  );
  return new Set([...law, ...shifts].flatMap(({ spreads }) => spreads.map(([key]) => key)));
}

interface FrameOptions {
  readonly base: ShiftedState;
  readonly states: Iterable<ShiftedState>;
  readonly prior: LawPrior;
  /** Oldest first. */
  readonly changes: readonly Change[];
}

/**
 * Changes leave the prior of the law unchanged: the values of a parameter before and after a change with share v are
 * two draws of the prior with correlation √(1 − v). So no change leaves less known than nothing, and readings from
 * before and after inform each other as far as the change left them alike.
 */
export function frameOf({ base, states, prior, changes }: FrameOptions): Frame {
  const pastOf = new Map<string, Past>();
  let past: Past = { law: PARAMETER_NAMES.map(() => NOW), shiftOf: () => NOW };
  const told = changes.slice(-MOST_CHANGES);
  told.toReversed().forEach((change, i) => {
    const keys = changeKeys(changes.length - i);
    past = {
      law: lawBefore(past.law, change, prior, keys),
      shiftOf: shiftBefore(past.shiftOf, change.shiftsGivenBack ?? 0, base, keys),
    };
    for (const print of change.printsBefore) pastOf.set(print, past);
  });
  for (const { printsBefore } of changes.slice(0, -MOST_CHANGES))
    for (const print of printsBefore) pastOf.set(print, past);
  const columns = [...namesOf(past, states)].map((key): SharedColumn => ({ key, mean: 0, sd: 1 }));
  return { base, pastOf, columns };
}
