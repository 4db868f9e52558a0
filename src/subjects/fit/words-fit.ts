import type { IsoFitIssue, PressVerdict } from '@/core/fits';
import { quoted } from '@/subjects/language/shared';

export function describeIsoIssue(issue: IsoFitIssue): string {
  switch (issue.code) {
    case 'notAFit':
      return `“${quoted(issue.text)}” is no fit. Write hole and shaft with a stroke between, such as H7/g6.`;
    case 'holeLetter':
      return `hole letter ${issue.letter}: only holes with H are held here. Write the fit on the hole basis, such as H7/g6.`;
    case 'shaftLetter':
      return `shaft letter ${issue.letter}: d, e, f, g, h, k, m, n and p are held here. Choose one of them.`;
    case 'grade':
      return `grade ${issue.grade}: grades ${issue.low} to ${issue.high} are held here. Choose one of them.`;
    case 'sizeBeyond':
      return `size ${issue.sizeMm}: sizes above 0 and up to ${issue.mostMm} mm are held here.`;
  }
}

const HOLDS_WORDS: Readonly<Record<PressVerdict['holds'], string>> = {
  yes: 'holds',
  marginal: 'holds, with little to spare',
  no: 'would crack or creep',
  unsure: 'may hold or fall out: at the least interference there is none',
  'falls out': 'falls out: no interference is sure',
};

export function describePress(holds: PressVerdict['holds']): string {
  return HOLDS_WORDS[holds];
}
