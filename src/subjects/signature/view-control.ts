import { groupBy } from '@/core/kit';
import { meanOf, pooledScatter, repeatU, scatterOfReading } from '@/core/measure';
import { judgeStaleness, type Staleness } from '@/core/signature';
import { correctedMm, type Db, instrumentOf, isAtPlate, queries, warmthUOf } from '@/store';

/** What readings of the control feature in a print showed against what was expected of it. */
export interface ControlPoint {
  readonly printId: number;
  readonly print: string;
  readonly madeAt: Date;
  readonly roomC: number | null;
  readonly readMm: number;
  readonly expectedMm: number;
  /** One step ahead, in standard deviations. */
  readonly z: number;
}

export interface ControlView {
  readonly featureId: number;
  readonly name: string;
  readonly jobId: number;
  readonly job: string;
  /** Since the newest recorded change, oldest first: a change restarts the test. */
  readonly points: readonly ControlPoint[];
  readonly staleness: Staleness;
}

/** Readings like the first of its print, for which alone it was said what was expected. */
function likeTheFirst(readings: readonly queries.StandingReading[]): queries.StandingReading[] {
  const { state, instrumentId } = readings[0].session;
  return readings.filter(
    ({ session }) => session.state === state && session.instrumentId === instrumentId && !session.warm,
  );
}

/** Means of the readings of the control in each print, with what their repeats leave open, mm. */
function readByPrint(db: Db, featureId: number) {
  const all = queries
    .listStandingReadings(db, queries.ofFeature(featureId))
    .filter((reading) => !reading.session.warm && !isAtPlate(reading));
  const byPrint = groupBy(all, ({ printId }) => printId);
  const counted = new Map([...byPrint].map(([printId, own]) => [printId, likeTheFirst(own)]));
  const pooled = pooledScatter([...counted.values()].map((own) => own.map(correctedMm)));
  return new Map(
    [...counted].map(([printId, own]) => {
      const { instrument, drawnMm } = own[0];
      const scatter = scatterOfReading(own.length, instrumentOf(instrument), pooled);
      const repeats = repeatU(own.length, scatter, instrument.resolutionMm);
      const read = {
        meanMm: meanOf(own.map(correctedMm)),
        u_mm: Math.hypot(repeats, drawnMm * warmthUOf(own)),
      };
      return [printId, read] as const;
    }),
  );
}

/** The control feature of a profile, print after print; undefined where none was chosen. */
export function viewControl(db: Db, profileId: number): ControlView | undefined {
  const control = queries.findControl(db, profileId);
  if (control === undefined) return undefined;
  const { feature, job } = control;
  const since = queries.listChanges(db, profileId).at(-1)?.at.getTime() ?? -Infinity;
  const expected = queries.listExpectedOf(db, feature.id);
  const read = readByPrint(db, feature.id);
  const points = queries.listPrintsOfProfile(db, profileId).flatMap((print): ControlPoint[] => {
    const [own, told] = [read.get(print.id), expected.get(print.id)];
    if (own === undefined || told === undefined || print.madeAt.getTime() < since) return [];
    const z = (own.meanMm - told.expectedMm) / Math.hypot(told.sdMm, own.u_mm);
    const { id: printId, name, madeAt, roomC } = print;
    return [{ printId, print: name, madeAt, roomC, readMm: own.meanMm, expectedMm: told.expectedMm, z }];
  });
  return {
    featureId: feature.id,
    name: feature.name,
    jobId: job.id,
    job: job.name,
    points,
    staleness: judgeStaleness(points.map(({ z }) => z)),
  };
}

/** A signature that is no longer valid by its control feature. */
export interface ControlAlarm {
  readonly profileId: number;
  readonly printer: string;
  readonly resin: string;
  readonly control: string;
  readonly staleness: Exclude<Staleness, { readonly kind: 'holds' }>;
  readonly prints: number;
  /** Room temperatures of the first and of the last print of the walk, °C, where both were noted. */
  readonly rooms?: readonly [number, number];
}

/** Alarms of all profiles that have a control feature. */
export function listControlAlarms(db: Db): ControlAlarm[] {
  return queries.listProfiles(db).flatMap(({ profile, printer, resin }): ControlAlarm[] => {
    if (profile.controlFeatureId === null) return [];
    const view = viewControl(db, profile.id);
    if (view === undefined || view.staleness.kind === 'holds') return [];
    const [first, last] = [view.points[0].roomC, view.points.at(-1)!.roomC];
    return [
      {
        profileId: profile.id,
        printer: printer.name,
        resin: resin.name,
        control: view.name,
        staleness: view.staleness,
        prints: view.points.length,
        rooms: first === null || last === null ? undefined : [first, last],
      },
    ];
  });
}

/** Sizes of its gauges from which the control feature of a profile can be chosen. */
export function listControlChoices(
  db: Db,
  profileId: number,
): { readonly id: number; readonly label: string }[] {
  return queries
    .listGaugeFeatures(db, profileId)
    .map(({ id, name, job }) => ({ id, label: `${name} of ${job}` }));
}
