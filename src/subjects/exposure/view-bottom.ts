import { type BottomAnswer, compareBottoms, type FootSeen } from '@/core/exposure';
import { type Db, queries } from '@/store';
import { type FootView, listFeet, viewFoot } from '@/subjects/job/jobs';
import type { LightView } from './view-light';

/** The first layers of a profile: what they leave at the plate, and what other ones would. */
export interface BottomView {
  readonly bottomExposureS?: number;
  readonly layers?: number;
  readonly transition?: number;
  readonly layerMm: number;
  readonly foot?: FootView;
  /** Feet that were read at other exposures of the bottom layers. */
  readonly others: number;
  /** Undefined if their exposure is unknown, or no longer than that of the others. */
  readonly answers?: readonly BottomAnswer[];
}

/** Feet of all profiles of a printer and a resin, with how their bottom layers were exposed. */
function feetOf(db: Db, row: queries.ProfileRow): FootSeen[] {
  const own = queries
    .listProfiles(db)
    .filter(({ printer, resin }) => printer.id === row.printer.id && resin.id === row.resin.id);
  return own
    .flatMap(({ profile }) => listFeet(db, profile.id))
    .flatMap(({ flareMm, u_mm, settings: { exposureS, bottomExposureS } }) =>
      exposureS === undefined || bottomExposureS === undefined
        ? []
        : { exposureS, bottomExposureS, flareMm, uMm: u_mm },
    );
}

/** What the bottom layers do, and what others would; the curve counts where its strips are in seconds. */
export function viewBottom(db: Db, { row, unit, curve, exposureS }: LightView): BottomView {
  const { settings, layerMm } = row.profile;
  const { bottomExposureS, bottomLayers, transitionLayers } = settings;
  const seen = feetOf(db, row);
  const inSeconds = unit === 's' && curve?.ok === true ? curve.value : undefined;
  return {
    bottomExposureS,
    layers: bottomLayers,
    transition: transitionLayers,
    layerMm,
    foot: viewFoot(db, row.profile.id),
    others: seen.filter((each) => each.bottomExposureS !== bottomExposureS).length,
    answers:
      exposureS === undefined || bottomExposureS === undefined
        ? undefined
        : compareBottoms({ exposureS, bottomExposureS, layerMm, seen, curve: inSeconds }),
  };
}
