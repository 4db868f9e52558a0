import { drawFit } from '@/core/fit/mating';
import type { DrawOptions } from '@/core/signature';
import { targetOf } from '@/store';
import type { JobView, PartView } from './view-job';

/** Drawn sizes by feature id to build a part from: the newest attempt's, or what to draw next; targets where there are none. */
export function drawnOfPart(view: PartView, which: 'newest' | 'next'): Map<number, number> {
  const last = view.attempts.at(-1);
  return new Map(
    view.features.map((feature) => {
      const before =
        last?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm ?? feature.targetMm;
      if (which === 'newest' || view.learned === undefined) return [feature.id, before];
      return [
        feature.id,
        roundDrawn(drawFit(view.learned.signature, targetOf(feature, view), drawOptions(view)).drawMm),
      ];
    }),
  );
}

/** Pixel and layer of the job's profile, in which sizes are drawn. */
export function drawOptions(view: Pick<JobView, 'profile'>): DrawOptions {
  return { pixelMm: view.profile?.printer.pixelMm ?? undefined, layerMm: view.profile?.profile.layerMm };
}

/** Modellers take thousandths; what is noted is what is typed. */
export function roundDrawn(drawnMm: number): number {
  return Math.round(drawnMm * 1000) / 1000;
}
