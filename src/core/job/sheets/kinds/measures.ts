import { type SheetFeature, type SheetMeasure } from '../definition';

/** A round body, read twice around at two heights. */
export const round = (
  id: string,
  label: string,
  sense: 'inside' | 'outside',
  placeholderMm: number,
): SheetMeasure => ({
  id,
  label,
  sense,
  shape: 'round',
  levels: 2,
  turns: 2,
  placeholderMm,
});
/** A depth or a distance between faces, read twice. */
export const depth = (id: string, label: string, placeholderMm: number, optional = false): SheetMeasure => ({
  id,
  label,
  sense: 'pitch',
  shape: 'flat',
  levels: 1,
  turns: 2,
  placeholderMm,
  optional,
});

/** Target of a feature, if it is known. */
export const mid = (features: ReadonlyMap<string, SheetFeature>, id: string) => features.get(id)?.targetMm;

/** A width between flat faces, read at two heights. */
export const flat = (
  id: string,
  label: string,
  placeholderMm: number,
  more: Partial<SheetMeasure> = {},
): SheetMeasure => ({
  id,
  label,
  sense: 'outside',
  shape: 'flat',
  levels: 2,
  turns: 1,
  placeholderMm,
  ...more,
});

/** 1 … count. */
export const numbered = (count: number) => Array.from({ length: count }, (_, i) => i + 1);
