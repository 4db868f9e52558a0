import { sameKind } from '@/core/measure';
import { kindOf, type queries } from '@/store';

interface Printed {
  readonly feature: queries.Feature;
  readonly printed: queries.PrintedFeature;
}

/** What a file calls a feature of a print: one that was turned since carries how it lay, for a file knows one kind a name. */
export function nameAsPrinted({ feature, printed }: Printed): string {
  if (sameKind(kindOf(feature), kindOf(printed))) return feature.name;
  const { sense, axis, angleRad, base } = printed;
  const angle = angleRad === null ? '' : ` at ${Math.round((angleRad * 180) / Math.PI)}°`;
  return `${feature.name} (${sense} along ${axis}${angle}${base === null ? '' : `, ${base}`})`;
}
