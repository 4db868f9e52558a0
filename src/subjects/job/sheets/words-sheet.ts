import { formatMm } from '@/core/kit/wording';
import type { BodyNote } from '@/core/measure';
import type { SheetIssue } from '@/core/job/sheets';

/** One sentence for what keeps a measuring sheet from coming out, or should be thought of. */
export function describeSheetIssue(issue: SheetIssue): string {
  switch (issue.code) {
    case 'notRead':
      return `${issue.label}: not measured yet.`;
    case 'crossed':
      return `The ${issue.outer} (${formatMm(issue.outerMm)}) is not larger than the ${issue.inner} (${formatMm(issue.innerMm)}). Measure both again, or check which is which.`;
    case 'wallGone':
      return `After the clearances, the wall is ${formatMm(issue.wallMm)} mm: nothing is left. Use smaller clearances, or fill the gap with a bought part.`;
    case 'wallThin':
      return `A wall of ${formatMm(issue.wallMm)} mm: below ${formatMm(issue.leastMm, 1)} mm it breaks in the hand. Choose a tough resin or a tighter fit.`;
    case 'taperEatsWall':
      return `The lead-in would remove the wall of ${formatMm(issue.wallMm)} mm. Leave the lead-in out, or make the wall thicker.`;
    case 'nothingLeft':
      return `${issue.name} becomes ${formatMm(issue.mm)} mm. Check the readings and the clearances.`;
  }
}

export function describeBodyNote(note: BodyNote): string {
  switch (note.code) {
    case 'disagree':
      return `readings from ${formatMm(note.lowMm)} to ${formatMm(note.highMm)} differ by more than ten times the caliper’s limit of error. Delete one, or keep them if the places really differ`;
    case 'outOfRound':
      return `out of round by ${formatMm(note.byMm)}: the limiting reading counts`;
    case 'tapers':
      return `tapered by ${formatMm(note.byMm)} along its depth: the limiting reading counts`;
    case 'readOnce':
      return 'measured once. Turn the part and measure again';
  }
}

/** Where on a body a reading is taken: how far along it, and turned by how much. */
export function describePlace(
  place: { readonly level: number; readonly turn: number },
  of: { readonly levels: number; readonly turns: number },
): string {
  const { level, turn } = place;
  const along =
    of.levels < 2
      ? ''
      : level === 0
        ? 'near its mouth'
        : level === of.levels - 1
          ? 'at its far end'
          : 'half way in';
  const around =
    of.turns < 2 ? '' : turn === 0 ? 'in any direction' : `turned by ${Math.round((180 / of.turns) * turn)}°`;
  return [along, around].filter((part) => part !== '').join(', ');
}
