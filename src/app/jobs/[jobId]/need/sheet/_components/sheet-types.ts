import type { BodySize } from '@/core/measure';
import type {
  SheetDrawing as Drawing,
  InterfaceWish,
  Sheet,
  SheetChoices,
  SheetFeature,
  SheetIssue,
  SheetMeasure,
  SheetOption,
} from '@/core/job/sheets';
import type { BodyReadingView } from '@/subjects/job/sheets';

export type BenchMeasure = SheetMeasure & {
  readonly readings: readonly BodyReadingView[];
  readonly body?: BodySize;
};

/** A size to be typed into a modeller, with what its print should come to. */
export interface DrawnLine {
  readonly id: number;
  readonly name: string;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly drawMm: number;
  readonly tight: number;
  readonly right: number;
  readonly loose: number;
  readonly hasMate: boolean;
}

export interface SheetBenchProps {
  readonly jobId: number;
  readonly jobName: string;
  readonly title: string;
  readonly purpose: string;
  readonly options: readonly SheetOption[];
  readonly choices: SheetChoices;
  readonly drawing: Drawing;
  readonly measures: readonly BenchMeasure[];
  readonly interfaces: Sheet['interfaces'] & readonly InterfaceWish[];
  readonly features: readonly Omit<SheetFeature, 'interface'>[];
  readonly issues: readonly SheetIssue[];
  readonly whole: boolean;
  readonly next?: { readonly measure: string; readonly level: number; readonly turn: number };
  readonly takenOver: boolean;
  readonly stale: readonly string[];
  readonly drawn?: readonly DrawnLine[];
  readonly joint?: number;
  readonly hasProfile: boolean;
  readonly files: { readonly solid: boolean; readonly outline: boolean };
  readonly instruments: readonly { readonly id: number; readonly name: string; readonly mpeMm: number }[];
}
