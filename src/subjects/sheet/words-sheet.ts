import type { BodyNote } from '@/core/metrology';
import type { SheetIssue } from '@/core/sheets';
import { formatMm } from '@/subjects/language/shared';

/** One sentence for what keeps a measuring sheet from coming out, or should be thought of. */
export function describeSheetIssue(issue: SheetIssue): string {
  switch (issue.code) {
    case 'notRead':
      return `${issue.label}: not read yet.`;
    case 'crossed':
      return `The ${issue.outer} (${formatMm(issue.outerMm)}) is not larger than the ${issue.inner} (${formatMm(issue.innerMm)}): read both again, or check which is which.`;
    case 'wallGone':
      return `After the clearances the wall is ${formatMm(issue.wallMm)} mm: nothing is left. Wish for less clearance, or fill the gap with a bought part.`;
    case 'wallThin':
      return `A wall of ${formatMm(issue.wallMm)} mm: under ${formatMm(issue.leastMm, 1)} mm it breaks in the hand. Choose a tough resin, or a tighter wish.`;
    case 'taperEatsWall':
      return `The lead-in would eat the wall of ${formatMm(issue.wallMm)} mm. Leave it out, or make the wall thicker.`;
    case 'nothingLeft':
      return `${issue.name} comes to ${formatMm(issue.mm)} mm. Check the readings and what is taken off.`;
  }
}

export function describeBodyNote(note: BodyNote): string {
  switch (note.code) {
    case 'disagree':
      return `readings from ${formatMm(note.lowMm)} to ${formatMm(note.highMm)} disagree by more than ten times the caliper's limit of error: take one back, or leave them if the places do differ so`;
    case 'outOfRound':
      return `out of round by ${formatMm(note.byMm)}: the limiting reading decides`;
    case 'tapers':
      return `tapers by ${formatMm(note.byMm)} along its depth: the limiting reading decides`;
    case 'readOnce':
      return 'read once: turn it and read again';
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
