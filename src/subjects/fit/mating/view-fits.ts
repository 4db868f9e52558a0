import { halfWidth95 } from '@/core/kit/numerics';
import {
  cannotHold,
  type ClearanceBand,
  clearanceOf,
  drawFit,
  type DrawnFit,
  type Wish,
  WISHES,
} from '@/core/fit/mating';
import { jointChance } from '@/core/signature';
import { type Db, type queries, targetOf } from '@/store';
import {
  bandOf,
  conditionsOf,
  drawOptions,
  type JobView,
  limitsOf,
  limitsOffered,
  mateOf,
  type WishGround,
  wishGround,
} from '@/subjects/job/jobs';

export type Mate = queries.Mate;

/** What another fit at the same interface would give. */
interface WishOffer {
  readonly wish: Wish;
  readonly right: number;
  readonly held: boolean;
}

/** One interface of a job: the fit, what to draw for it, and the expected result. */
export interface FitView {
  readonly feature: queries.Feature;
  readonly mate?: queries.Mate;
  readonly band?: ClearanceBand;
  /** What to draw, with the chances of too tight, right and too loose; undefined without a profile. */
  readonly drawn?: DrawnFit;
  /** Clearance to be expected in use, mm. */
  readonly clearance?: { readonly meanMm: number; readonly halfMm: number };
  /** The band is narrower than what this process scatters. */
  readonly unheld: boolean;
  readonly offers: readonly WishOffer[];
}

interface FitsView {
  readonly fits: readonly FitView[];
  /** Chance that one print has all of them right together. */
  readonly joint?: number;
  /** Names of features whose limits would move with the present settings and datasheet. */
  readonly offered: readonly string[];
}

function offersFor(
  view: JobView,
  feature: queries.Feature,
  mate: queries.Mate,
  ground: WishGround,
): WishOffer[] {
  const { learned, job } = view;
  if (learned === undefined) return [];
  return WISHES.flatMap((wish) => {
    const wished = { ...feature, wish, bandLowMm: null, bandHighMm: null };
    const limits = limitsOf(job, wished, mate, ground);
    if (limits === undefined) return [];
    const target = targetOf({ ...wished, ...limits }, view);
    const drawn = drawFit(learned.signature, target, drawOptions(view));
    return { wish, right: drawn.inTolerance, held: !cannotHold(target, drawn) };
  });
}

function viewFit(view: JobView, feature: queries.Feature, ground: WishGround): FitView {
  const { learned, job } = view;
  const mate = view.mates.find(({ id }) => id === feature.mateId);
  const body = mateOf(mate);
  const band = body && bandOf(feature, body.sizeMm, ground.classes);
  if (learned === undefined || mate === undefined || body === undefined || band === undefined)
    return { feature, mate, band, unheld: false, offers: [] };
  const target = targetOf(feature, view);
  const drawn = drawFit(learned.signature, target, drawOptions(view));
  const meanMm = clearanceOf(feature.sense, drawn.predictedMm, body, conditionsOf(job, feature, ground));
  const halfMm = halfWidth95(Math.hypot(drawn.sdMm, body.u_mm));
  const unheld = cannotHold(target, drawn);
  return {
    feature,
    mate,
    band,
    drawn,
    clearance: { meanMm, halfMm },
    unheld,
    offers: offersFor(view, feature, mate, ground),
  };
}

/** Returns every feature that can meet a mate, with the result of its fit. */
export function viewFits(db: Db, view: JobView): FitsView {
  const ground = wishGround(db, view.job);
  const fits = view.features
    .filter(({ sense }) => sense !== 'pitch')
    .map((feature) => viewFit(view, feature, ground));
  const drawn = fits.flatMap(({ feature, drawn: each }) =>
    each === undefined ? [] : { target: targetOf(feature, view), drawMm: each.drawMm },
  );
  const joint =
    view.learned === undefined || drawn.length < 2
      ? undefined
      : jointChance(view.learned.signature, drawn, drawOptions(view));
  const offered = limitsOffered(db, view.job).map(({ feature }) => feature.name);
  return { fits, joint, offered };
}
