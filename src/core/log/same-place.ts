import { seededRandom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { permutationTest, type Permuted } from './permutation';

/** What was printed in one print, by its place (mm, in two or three directions), and which of it failed. */
export interface PlacesOfPrint {
  readonly places: readonly (readonly number[])[];
  readonly failed: readonly number[];
}

export type PlaceIssue =
  | { readonly code: 'noSuchPlace'; readonly print: number; readonly at: number }
  | { readonly code: 'twice'; readonly print: number; readonly at: number }
  | { readonly code: 'badPlace'; readonly print: number; readonly at: number }
  | { readonly code: 'tooFew'; readonly failures: number; readonly prints: number };

function findPlaceIssue(prints: readonly PlacesOfPrint[]): PlaceIssue | undefined {
  for (const [print, { places, failed }] of prints.entries()) {
    const bad = places.findIndex((place) => place.length < 2 || !place.every(Number.isFinite));
    if (bad >= 0) return { code: 'badPlace', print, at: bad };
    const seen = new Set<number>();
    for (const at of failed) {
      if (!Number.isInteger(at) || at < 0 || at >= places.length) return { code: 'noSuchPlace', print, at };
      if (seen.has(at)) return { code: 'twice', print, at };
      seen.add(at);
    }
  }
  const failing = prints.filter(({ failed }) => failed.length > 0);
  const failures = failing.reduce((sum, { failed }) => sum + failed.length, 0);
  if (failing.length < 2) return { code: 'tooFew', failures, prints: failing.length };
  return undefined;
}

/** Failed places one after another, mm, each with its print. */
interface Chosen {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly print: Int32Array;
}

/**
 * Lays the chosen places of an arrangement out in a row, always the same arrays: each has as many failures. Distances are
 * taken as they are asked for, since those between all layers of a few tall prints would not fit in memory.
 */
function laidOut(prints: readonly PlacesOfPrint[]): (chosen: readonly (readonly number[])[]) => Chosen {
  const failures = prints.reduce((sum, { failed }) => sum + failed.length, 0);
  const row: Chosen = {
    x: new Float64Array(failures),
    y: new Float64Array(failures),
    z: new Float64Array(failures),
    print: new Int32Array(failures),
  };
  return (chosen) => {
    let next = 0;
    for (let print = 0; print < chosen.length; print++)
      for (const at of chosen[print]) {
        const [x, y, z = 0] = prints[print].places[at];
        row.x[next] = x;
        row.y[next] = y;
        row.z[next] = z;
        row.print[next++] = print;
      }
    return row;
  };
}

/** Square of a distance by its parts; products, since a power takes ten times as long. */
const squareOf = (dx: number, dy: number, dz: number): number => dx * dx + dy * dy + dz * dz;

/** The mean distance of each failed place to the nearest failed one of another print, mm. */
function nearestOf(prints: readonly PlacesOfPrint[]) {
  const layOut = laidOut(prints);
  return (chosen: readonly (readonly number[])[]): number => {
    const { x, y, z, print } = layOut(chosen);
    let sum = 0;
    for (let i = 0; i < print.length; i++) {
      let least = Infinity;
      for (let j = 0; j < print.length; j++)
        if (print[j] !== print[i]) least = Math.min(least, squareOf(x[i] - x[j], y[i] - y[j], z[i] - z[j]));
      sum += Math.sqrt(least);
    }
    return sum / print.length;
  };
}

/** How near to each other failures count as at one place where many prints are looked at, mm. */
const CROWD_MM = 15;

/**
 * Share of the prints, less than none, that have no failure within a radius of the most crowded failed place. With many
 * prints every failure has a near one by chance; how many crowd at one place then tells more (a scan statistic: M. Kulldorff,
 * Commun. Stat. Theory Methods 26 (1997) 1481, with one radius).
 */
function crowdOf(prints: readonly PlacesOfPrint[], radiusMm: number) {
  const layOut = laidOut(prints);
  return (chosen: readonly (readonly number[])[]): number =>
    1 - mostCrowded(layOut(chosen), radiusMm * radiusMm) / prints.length;
}

/** Prints that failed near the place where most did; `within`: square of the radius. */
function mostCrowded({ x, y, z, print }: Chosen, within: number): number {
  let most = 0;
  for (let i = 0; i < print.length; i++) {
    let crowd = 0;
    let counted = -1;
    for (let j = 0; j < print.length; j++) {
      if (squareOf(x[i] - x[j], y[i] - y[j], z[i] - z[j]) > within || print[j] === counted) continue;
      counted = print[j];
      crowd++;
    }
    if (crowd > most) most = crowd;
  }
  return most;
}

const strataOf = (prints: readonly PlacesOfPrint[]) =>
  prints.map(({ places, failed }) => ({ size: places.length, failed }));

/**
 * Returns whether failures of several prints are at the same place. Statistic: mean distance of each failed place to
 * the nearest failed place of another print, mm; reference: every way to choose as many of the places that were printed
 * in each print. In plate coordinates it tests the printer, in part coordinates the part.
 */
export function samePlace(prints: readonly PlacesOfPrint[], seed?: number): Result<Permuted, PlaceIssue> {
  const issue = findPlaceIssue(prints);
  if (issue !== undefined) return fail(issue);
  const failing = prints.filter(({ failed }) => failed.length > 0);
  return ok(permutationTest(strataOf(failing), nearestOf(failing), { seed }));
}

/**
 * Do failures of many prints crowd at one place? As samePlace, by the number of prints that failed within 15 mm of the most
 * crowded place; for five failed prints and more.
 */
export function crowdedPlace(
  prints: readonly PlacesOfPrint[],
  radiusMm = CROWD_MM,
): Result<Permuted, PlaceIssue> {
  const issue = findPlaceIssue(prints);
  if (issue !== undefined) return fail(issue);
  const failing = prints.filter(({ failed }) => failed.length > 0);
  return ok(permutationTest(strataOf(failing), crowdOf(failing, radiusMm)));
}

/** From so many failed prints on the crowd is asked for, not the nearest. */
export const MANY_PRINTS = 5;

/** Failures that were looked for and would have been found; a small number means that nothing could be found. */
const SPOTS = 60;
const TOLD = 0.05;
const ROUGHLY = { exactUpTo: 1000, draws: 400 } as const;

/**
 * How often a true spot would have been told with these prints and as many failures: each print's failures are those nearest
 * to a spot drawn among the places. 0 … 1, to about 0.06.
 */
export function powerOfSamePlace(prints: readonly PlacesOfPrint[], seed = 1): number {
  const failing = prints.filter(({ failed }) => failed.length > 0);
  if (failing.length < 2) return 0;
  const { uniform } = seededRandom(seed);
  const all = failing.flatMap(({ places }) => places);
  let told = 0;
  for (let i = 0; i < SPOTS; i++) {
    const spot = all[Math.floor(uniform() * all.length)];
    const there = failing.map(({ places, failed }) => {
      const far = places.map((place) => place.reduce((sum, x, axis) => sum + (x - spot[axis]) ** 2, 0));
      const order = [...places.keys()].sort((a, b) => far[a] - far[b]);
      return { places, failed: order.slice(0, failed.length) };
    });
    const statistic = there.length >= MANY_PRINTS ? crowdOf(there, CROWD_MM) : nearestOf(there);
    if (permutationTest(strataOf(there), statistic, { ...ROUGHLY, seed: i + 1 }).p <= TOLD) told++;
  }
  return told / SPOTS;
}
