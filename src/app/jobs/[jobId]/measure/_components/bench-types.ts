import type { DecisionRule, PartState } from '@/core/measure';
import type { FeatureView } from '@/subjects/job/jobs';
import type { KnownPiece } from './piece-dialog';

/** What the measuring bench is given by its page. */
export interface BenchProps {
  readonly jobId: number;
  readonly printId: number;
  readonly printName: string;
  /** Those of the part, and the control feature last where one stands beside it. */
  readonly features: readonly FeatureView[];
  readonly control?: { readonly id: number; readonly z?: number };
  readonly session: BenchSession;
  /** Jaws of its caliper that were checked: what they add, mm, is taken off. */
  readonly checkedJaws: readonly { readonly jaw: string; readonly meanMm: number }[];
  /** The last piece of known size that each of its jaws was checked on. */
  readonly pieces: readonly KnownPiece[];
  /** By which rule its sizes are judged. */
  readonly rule: DecisionRule;
  /** The resin's sheet says how it grows with warmth. */
  readonly expansionStated: boolean;
  /** Print and caliper are simulated: the jaws can be closed on the screen. */
  readonly simulated: boolean;
  readonly part?: { readonly source: string; readonly version: number };
}

export interface BenchSession {
  readonly id: number;
  readonly zeroMm: number;
  readonly partC: number | null;
  readonly state: PartState;
  readonly warm: boolean;
  readonly instrument: {
    readonly id: number;
    readonly name: string;
    readonly mpeMm: number;
    readonly resolutionMm: number;
  };
}
