import { formatMm, formatSigned } from '@/core/kit/wording';
import type { JointKind, JointOutcome, Wish } from '@/core/fit/mating';
import { describeWish } from '@/subjects/kit/shared';
import type { DecisionWords } from '@/subjects/workshop/records/shared';
import { describeJointOutcome } from './words-joint';

/** Decisions in Fit. */
export type FitEntry =
  | {
      readonly code: 'wished';
      readonly feature: string;
      readonly wish: Wish;
      readonly isoFit: string | null;
      readonly mate: string;
      readonly mateMm: number;
      readonly lowMm: number;
      readonly highMm: number;
    }
  | {
      readonly code: 'jointFound';
      readonly name: string;
      readonly outcome: JointOutcome;
      readonly print: string;
    }
  | {
      readonly code: 'jointKept';
      readonly name: string;
      readonly kind: JointKind;
      readonly gapMm: number;
      readonly scale: number;
    };

export function describeFitEntry(entry: FitEntry): DecisionWords {
  switch (entry.code) {
    case 'wished':
      return {
        title: `${entry.feature}: ${entry.isoFit ?? describeWish(entry.wish).name} with ${entry.mate}`,
        detail: `clearance ${formatSigned(entry.lowMm, 3)} to ${formatSigned(entry.highMm, 3)} mm on ${formatMm(entry.mateMm)}`,
      };
    case 'jointFound':
      return {
        title: `${entry.name}: ${describeJointOutcome(entry.outcome).name}`,
        detail: `print ${entry.print}`,
      };
    case 'jointKept':
      return {
        title: `${entry.name}: gap ${entry.gapMm} per side`,
        detail: `${entry.kind}, target scale ${Math.round(entry.scale * 100)} %`,
      };
  }
}
