import { formatMm } from '@/core/kit/wording';
import type { DecisionWords } from '@/subjects/workshop/records/shared';

export interface SheetEntry {
  readonly code: 'sheetTakenOver';
  readonly again: boolean;
  readonly sizes: readonly { readonly name: string; readonly targetMm: number }[];
}

export function describeSheetEntry({ again, sizes }: SheetEntry): DecisionWords {
  return {
    title: again ? 'Measuring sheet applied again' : `Measuring sheet applied, ${sizes.length} sizes`,
    detail: sizes.map(({ name, targetMm }) => `${name} ${formatMm(targetMm, 3)}`).join(', '),
  };
}
