/** A print over a film: how many layers the film had seen before it, and how likely it failed by the film (0 or 1 once known). */
export interface FilmPrint {
  readonly layers: number;
  readonly failedByFilm: number;
}

/** Chance of failing by an old film, logistic in ln(layers): 1/(1 + (L₅₀/L)^k), a posterior over L₅₀ and k on a grid. */
export interface FilmLaw {
  readonly halfLayers: Float64Array;
  readonly steepness: Float64Array;
  readonly weights: Float64Array;
}

/** A house changes a film at less than half of what it would stand; spread of that in ln, and how steep it fails. */
const PRIOR = { halfIntervals: 2.5, lnHalfSd: 0.6, steepness: 3, lnSteepSd: 0.4 } as const;
const NODES = 41;
const REACH = 3;

function chanceAt(layers: number, half: number, steepness: number): number {
  return layers <= 0 ? 0 : 1 / (1 + (half / layers) ** steepness);
}

/** Prints on films of the same age, counted: of many prints few ages are different. */
function alike(prints: readonly FilmPrint[]) {
  const ages = new Map<number, { layers: number; byFilm: number; not: number }>();
  for (const { layers, failedByFilm } of prints) {
    const age = ages.get(layers) ?? { layers, byFilm: 0, not: 0 };
    age.byFilm += failedByFilm;
    age.not += 1 - failedByFilm;
    ages.set(layers, age);
  }
  return [...ages.values()];
}

/**
 * Learns when films fail here, from the interval in the settings and the log. A failure that was only likely caused by
 * the film counts with that likelihood. Example: at the interval itself, before any print, about one in seven.
 */
export function learnFilm(intervalLayers: number, prints: readonly FilmPrint[]): FilmLaw {
  if (!(intervalLayers > 0)) throw new RangeError('learnFilm: the interval lies above 0 layers');
  const size = NODES * NODES;
  const counts = alike(prints);
  const [halfLayers, steepness, logs] = [1, 2, 3].map(() => new Float64Array(size));
  for (let i = 0; i < NODES; i++)
    for (let j = 0; j < NODES; j++) {
      const at = i * NODES + j;
      const [u, v] = [i, j].map((node) => REACH * ((2 * node) / (NODES - 1) - 1));
      halfLayers[at] = PRIOR.halfIntervals * intervalLayers * Math.exp(PRIOR.lnHalfSd * u);
      steepness[at] = PRIOR.steepness * Math.exp(PRIOR.lnSteepSd * v);
      logs[at] = -(u * u + v * v) / 2;
      for (const { layers, byFilm, not } of counts) {
        const p = Math.min(1 - 1e-12, Math.max(1e-12, chanceAt(layers, halfLayers[at], steepness[at])));
        logs[at] += byFilm * Math.log(p) + not * Math.log1p(-p);
      }
    }
  const most = logs.reduce((best, log) => Math.max(best, log), -Infinity);
  const weights = logs.map((log) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return { halfLayers, steepness, weights: weights.map((weight) => weight / total) };
}

/** Chance that a print begun on a film that has seen so many layers fails by it. */
export function filmRisk({ halfLayers, steepness, weights }: FilmLaw, layers: number): number {
  let risk = 0;
  for (let i = 0; i < weights.length; i++) risk += weights[i] * chanceAt(layers, halfLayers[i], steepness[i]);
  return risk;
}

/** Change it when what it is likely to spoil costs more than itself. */
export function isFilmDue(risk: number, nextCost: number, filmCost: number): boolean {
  return risk * nextCost > filmCost;
}

const FURTHEST = 1e7;

/** Layers from which a film is due, for prints of a cost; undefined: it is never worth it within ten million. */
export function filmDueFrom(law: FilmLaw, nextCost: number, filmCost: number): number | undefined {
  if (!isFilmDue(filmRisk(law, FURTHEST), nextCost, filmCost)) return undefined;
  let [low, high] = [0, FURTHEST];
  while (high - low > 1) {
    const middle = (low + high) / 2;
    if (isFilmDue(filmRisk(law, middle), nextCost, filmCost)) high = middle;
    else low = middle;
  }
  return Math.ceil(high);
}
