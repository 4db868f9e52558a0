import { quoted } from '@/core/kit/wording';
import type { IsoFitIssue, PressVerdict } from '@/core/fit/mating';

export function describeIsoIssue(issue: IsoFitIssue): string {
  switch (issue.code) {
    case 'notAFit':
      return `“${quoted(issue.text)}” is not an ISO fit. Enter hole, slash, shaft, such as H7/g6.`;
    case 'holeLetter':
      return `hole letter ${issue.letter}: only hole H is supported. Write the fit on the hole basis, such as H7/g6.`;
    case 'shaftLetter':
      return `shaft letter ${issue.letter}: d, e, f, g, h, k, m, n and p are supported. Choose one of them.`;
    case 'grade':
      return `grade ${issue.grade}: grades ${issue.low} to ${issue.high} are supported. Choose one of them.`;
    case 'sizeBeyond':
      return `size ${issue.sizeMm}: sizes above 0 and up to ${issue.mostMm} mm are supported.`;
  }
}

const HOLDS_WORDS: Readonly<Record<PressVerdict['holds'], string>> = {
  yes: 'holds',
  marginal: 'holds, with a small margin',
  no: 'cracks or creeps',
  unsure: 'may hold or fall out: in the worst case there is no interference left',
  'falls out': 'falls out: the interference is not certain',
};

export function describePress(holds: PressVerdict['holds']): string {
  return HOLDS_WORDS[holds];
}
