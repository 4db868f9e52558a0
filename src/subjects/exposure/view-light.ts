import {
  type EdgeObservation,
  edgeAt,
  edgeCurve,
  type EdgePoint,
  fitWorkingCurve,
  leastExposure,
  learnEdgeLaw,
  slopeOf,
  type StripIssue,
  type ExposureChangeAsk,
  type ExposureChangeStep,
  stepOfExposureChange,
  type WallDoubts,
  type WorkingCurve,
  zeroRatio,
} from '@/core/exposure';
import { evidenceOf } from '@/core/resin';
import type { Result } from '@/core/kit';
import { type Db, queries } from '@/store';
import { newestSignature } from '@/subjects/signature';
import { findShelved, resinFile } from '@/subjects/resin/shelf';
import type { LightUnit } from './input-light';
import { edgesOfGauges } from './view-bracket';

/** A strip on record. */
export interface StripView {
  readonly id: number;
  readonly exposure: number;
  readonly depthMm: number;
  readonly instrument: string;
}

/** What the exposure does to edges, and where they would be true. */
export interface ExposureChangeView {
  readonly exposureS: number;
  /** The data of the law: one more wall is computed with it. */
  readonly ask: ExposureChangeAsk;
  readonly doubts: WallDoubts;
  readonly edge: { readonly mean: number; readonly sd: number };
  /** Whether there is measurable edge growth. */
  readonly isTold: boolean;
  readonly slope: { readonly mean: number; readonly sd: number };
  readonly ratio: { readonly median: number; readonly low: number; readonly high: number };
  readonly step: ExposureChangeStep;
  /** Edge growth after that step, mm. */
  readonly stepEdge: { readonly mean: number; readonly sd: number };
  /** Edge growth over the exposure, for the chart. */
  readonly curve: readonly EdgePoint[];
  /** Below it a layer does not hold, s; undefined without strips in seconds. */
  readonly leastS?: number;
  /** Profiles of this printer and resin at other exposures, and gauges of the bracket, that were learned from. */
  readonly others: number;
  readonly gauges: number;
  /** Jobs whose drawn sizes a trim voids, and ladders whose gaps it moves. */
  readonly voids: readonly { readonly id: number; readonly name: string }[];
  readonly ladders: number;
}

/** A profile of the same resin on another printer: what it is exposed, and what its edges do. */
export interface LightRelatedProfile {
  readonly id: number;
  readonly name: string;
  readonly printer: string;
  readonly exposureS?: number;
  readonly edge: { readonly mean: number; readonly sd: number };
  readonly readings: number;
}

export interface LightView {
  readonly row: queries.ProfileRow;
  readonly strips: readonly StripView[];
  readonly unit: LightUnit;
  /** Undefined while no strip was read. */
  readonly curve?: Result<WorkingCurve, StripIssue>;
  /** The supplier's depth of light, mm; strips outrank it. */
  readonly quoted?: { readonly dpMm: number; readonly dpSdMm: number };
  /** The same resin on other printers. */
  readonly relatives: readonly LightRelatedProfile[];
  readonly exposureS?: number;
  /** Undefined if its exposure is unknown. */
  readonly trim?: ExposureChangeView;
}

/** Strips say where curing begins; edges are true at about twice that, as far as one light is like another. */
const TRUE_AT_TWICE_SD_LN = 0.15;

function curveOf(rows: ReturnType<typeof queries.listStrips>): LightView['curve'] {
  if (rows.length === 0) return undefined;
  const mpe = new Map(rows.map(({ instrumentId, mpeMm }) => [String(instrumentId), mpeMm]));
  return fitWorkingCurve(
    rows.map(({ exposure, depthMm, instrumentId }) => ({
      exposure,
      depthMm,
      instrument: String(instrumentId),
    })),
    (instrument) => (mpe.get(instrument) ?? 0) / Math.sqrt(3),
  );
}

/** Growth of edges that a profile's signature tells, mm on each face. */
function edgeOf(db: Db, profileId: number) {
  const { signature, readingCount } = newestSignature(db, profileId);
  const { mean, sd } = signature.parameters.find(({ name }) => name === 'edge')!;
  return { mean, sd, readingCount };
}

/** One reading of a wall: a caliper's usual noise and bias, mm. */
const READ_SD_MM = 0.013;

/**
 * Uncertainty of one wall, by the same signature: its shrinkage, its repeatable deviation and the chance of its print.
 */
function doubtsOf(db: Db, profileId: number): WallDoubts {
  const { parameters, scatter } = newestSignature(db, profileId).signature;
  const { mean, sd } = parameters.find(({ name }) => name === 'epsilonX')!;
  const habitSdMm = Math.hypot(scatter.featureMm, scatter.printMm);
  return { shrinkMean: mean, shrinkSd: sd, ownSdMm: Math.hypot(habitSdMm, READ_SD_MM), sharedSdMm: 0 };
}

/** Returns what profiles of the same printer and resin at other exposures say about edges. */
function atOtherExposures(db: Db, row: queries.ProfileRow): EdgeObservation[] {
  return queries.listProfiles(db).flatMap(({ profile, printer, resin }) => {
    const { exposureS } = profile.settings;
    const isRelative = printer.id === row.printer.id && resin.id === row.resin.id;
    if (!isRelative || profile.id === row.profile.id || exposureS === undefined) return [];
    const { mean, sd, readingCount } = edgeOf(db, profile.id);
    return readingCount === 0 ? [] : [{ exposureS, edgeMm: mean, sdMm: sd }];
  });
}

/** Open jobs with drawn sizes; the gaps of a gap test stay valid, they move with the edges. */
function voidedJobs(db: Db, profileId: number): Pick<ExposureChangeView, 'voids' | 'ladders'> {
  const jobs = queries.listOpenJobsOf(db, profileId);
  return {
    voids: jobs
      .filter(
        ({ id, kind }) =>
          kind === 'part' && queries.listAttempts(db, id).some(({ drawn }) => drawn.length > 0),
      )
      .map(({ id, name }) => ({ id, name })),
    ladders: jobs.filter(({ gauge }) => gauge?.kind === 'joint').length,
  };
}

function exposureChangeOf(
  db: Db,
  row: queries.ProfileRow,
  curve: WorkingCurve | undefined,
): ExposureChangeView | undefined {
  const { exposureS } = row.profile.settings;
  if (exposureS === undefined) return undefined;
  const others = atOtherExposures(db, row);
  const zeroNear = curve && {
    lnS: curve.lnEc + Math.LN2,
    sdLn: Math.hypot(curve.lnEcSd, TRUE_AT_TWICE_SD_LN),
  };
  const { mean, sd } = edgeOf(db, row.profile.id);
  const gauges = edgesOfGauges(db, row.profile.id);
  const observations = [...others, ...gauges];
  const ask: ExposureChangeAsk = { exposureS, prior: { mean, sd }, observations, zeroNear };
  const law = learnEdgeLaw(ask);
  if (!law.ok) return undefined;
  const edge = edgeAt(law.value, exposureS);
  const ratio = zeroRatio(law.value);
  const leastS = curve && leastExposure(curve, row.profile.layerMm);
  const step = stepOfExposureChange(exposureS, ratio.median, leastS);
  return {
    exposureS,
    ask,
    doubts: doubtsOf(db, row.profile.id),
    edge,
    isTold: Math.abs(edge.mean) > edge.sd,
    slope: slopeOf(law.value),
    ratio,
    step,
    stepEdge: edgeAt(law.value, step.exposureS),
    curve: edgeCurve(law.value),
    leastS,
    others: others.length,
    gauges: gauges.length,
    ...voidedJobs(db, row.profile.id),
  };
}

/** A supplier's figure holds to about a tenth on another light. */
const QUOTE_SHARE = 0.1;

function quotedDepth(db: Db, resinId: number): LightView['quoted'] {
  const shelved = findShelved(db, resinId);
  const known = shelved && evidenceOf(resinFile(shelved)).of('lightDepth_mm');
  return known && { dpMm: known.value, dpSdMm: QUOTE_SHARE * known.value };
}

function relatedProfilesOf(db: Db, row: queries.ProfileRow): LightRelatedProfile[] {
  return queries.listProfiles(db).flatMap(({ profile, printer, resin }) => {
    if (resin.id !== row.resin.id || printer.id === row.printer.id) return [];
    const { readingCount, ...edge } = edgeOf(db, profile.id);
    const { exposureS } = profile.settings;
    return [
      { id: profile.id, name: profile.name, printer: printer.name, exposureS, edge, readings: readingCount },
    ];
  });
}

/** What is known of the light of a profile's printer in its resin; undefined where there is no such profile. */
export function viewLight(db: Db, profileId: number): LightView | undefined {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return undefined;
  const rows = queries.listStrips(db, row.printer.id, row.resin.id);
  const unit = rows[0]?.unit ?? 's';
  const curve = curveOf(rows);
  const inSeconds = unit === 's' && curve?.ok === true ? curve.value : undefined;
  return {
    row,
    strips: rows.map(({ id, exposure, depthMm, instrument }) => ({ id, exposure, depthMm, instrument })),
    unit,
    curve,
    quoted: quotedDepth(db, row.resin.id),
    relatives: relatedProfilesOf(db, row),
    exposureS: row.profile.settings.exposureS,
    trim: exposureChangeOf(db, row, inSeconds),
  };
}
