import { filmRisk, type FilmLaw, learnFilm } from '@/core/log';
import { keepAnswer } from '@/core/kit';
import { type Db, queries } from '@/store';
import { maintenanceDates } from './maintenance-dates';
import { workOf } from './work-of';

/** The film of a printer: since when, the layers it has seen, and how films fail here. */
export interface Film {
  readonly since?: Date;
  readonly layers: number;
  readonly law: FilmLaw;
  /** Chance that a print begun on it now fails by it. */
  readonly risk: number;
}

/** Ages of a film within 10 % of each other count as one: so the law of years is read as fast as that of weeks. */
const AGE_STEP = 0.1;
const ageOf = (layers: number) =>
  layers === 0 ? 0 : Math.exp(AGE_STEP * Math.round(Math.log(layers) / AGE_STEP));

/** When films fail here: prints by the layers that their film had seen, and whether it was found to be the cause. */
function lawOf(
  db: Db,
  { work, starts }: { readonly work: readonly queries.Work[]; readonly starts: readonly number[] },
  interval: number,
) {
  const byFilm = new Set(
    queries.listCausesFound(db).flatMap(({ cause, runId }) => (cause === 'film' ? runId : [])),
  );
  let [layers, next] = [0, 0];
  const prints = work.map(({ runId, endedAt, layers: own }) => {
    while (next < starts.length && starts[next] <= endedAt.getTime()) [layers, next] = [0, next + 1];
    const print = { layers: ageOf(layers), failedByFilm: Number(byFilm.has(runId)) };
    layers += own;
    return print;
  });
  return learnFilm(interval, prints);
}

/** Returns the state of a printer's film; the interval in the settings is the start value of its law. */
export function filmOf(db: Db, printerId: number, intervalLayers: number): Film {
  const work = workOf(db, printerId);
  const { film: since } = maintenanceDates(db, printerId);
  const layers = work
    .filter(({ startedAt }) => since === undefined || (startedAt !== null && startedAt > since))
    .reduce((sum, run) => sum + run.layers, 0);
  const starts = queries
    .listProfiles(db)
    .filter(({ printer }) => printer.id === printerId)
    .flatMap(({ profile }) => queries.listChanges(db, profile.id))
    .flatMap(({ kinds, at }) => (kinds.includes('film') ? at.getTime() : []))
    .sort((a, b) => a - b);
  const question = ['film', printerId, intervalLayers, starts, queries.logKey(db)];
  const law = keepAnswer(db, question, () => lawOf(db, { work, starts }, intervalLayers));
  return { since, layers, law, risk: filmRisk(law, layers) };
}
