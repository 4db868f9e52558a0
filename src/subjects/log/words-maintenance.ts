import { listAnd } from '@/core/kit/wording';
import type { MaintenanceEvent, MaintenanceKind, CheckKind, ClearingStep, Glance } from '@/core/log';
import type { Practices } from '@/core/resin';
import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a failure, a test or a cause was not noted. */
export type LogIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'notEnded' }
  | { readonly code: 'noSuchLayer'; readonly layer: number; readonly layers: number }
  | { readonly code: 'otherPlate' }
  | { readonly code: 'noFailure' }
  | { readonly code: 'noSuchOutcome' }
  | { readonly code: 'noFollow' };

export function describeLogIssue(issue: LogIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'notEnded':
      return 'this print has not ended. First record that it finished or was stopped.';
    case 'noSuchLayer':
      return `this plate has ${issue.layers} layers, so layer ${issue.layer} does not exist. Enter a layer from 1 to ${issue.layers}, or leave it blank.`;
    case 'otherPlate':
      return 'that part was on another plate. Reload the page.';
    case 'noFailure':
      return 'no failure is recorded for this print. Record the failure first.';
    case 'noSuchOutcome':
      return 'that is not a result of this test. Reload the page.';
    case 'noFollow':
      return 'something was wrong. Enter in one line what was wrong and what you did.';
  }
}

/** Each kind of maintenance: the task, and the unit that counts its use. */
export const MAINTENANCE_WORDS: Readonly<
  Record<MaintenanceKind, { readonly title: string; readonly unit: string; readonly one: string }>
> = {
  film: { title: 'Change film', unit: 'layers', one: 'layer' },
  panel: { title: 'Replace screen', unit: 'hours of light', one: 'hour of light' },
  level: { title: 'Level plate', unit: 'prints', one: 'print' },
  drain: { title: 'Drain and wipe vat', unit: 'days', one: 'day' },
  filter: { title: 'Filter resin', unit: 'prints', one: 'print' },
  washLiquid: { title: 'Change wash liquid', unit: 'pieces', one: 'piece' },
  clearVat: { title: 'Clear vat of cured resin', unit: 'failures', one: 'failure' },
  imageCheck: { title: 'Check display image', unit: 'prints', one: 'print' },
  firstPiece: { title: 'Print and measure first part', unit: 'prints', one: 'print' },
  lookOver: { title: 'Inspect printer', unit: 'prints', one: 'print' },
};

/** What the film is likely to spoil of the next print, against a new one. */
export function describeFilmRisk({
  risk,
  nextCost,
  filmCost,
}: {
  readonly risk: number;
  readonly nextCost?: number;
  readonly filmCost: number;
}): string {
  const often = risk < 0.01 ? 'less than 1' : `about ${Math.round(100 * risk)}`;
  const chance = `The film makes the next print fail in ${often} of 100 cases`;
  return nextCost === undefined
    ? `${chance}.`
    : `${chance}. Expected loss: ${risk * nextCost < 0.1 ? 'less than 0.1' : (risk * nextCost).toFixed(1)} (the print costs ${nextCost.toFixed(0)}). A new film costs ${filmCost.toFixed(0)}.`;
}

interface ClearingWords {
  readonly title: string;
  readonly how: string;
  readonly well: string;
  readonly amiss: string;
}

const SOLIDS_OUT: Readonly<Record<Practices['clearVat'], string>> = {
  sheet:
    'Leave an old support standing in the resin as a handle. Cure one thin layer over the whole screen and lift it out with everything that sticks to it. Then feel along the film with a soft spatula.',
  spatula: 'Feel along the whole film with a soft spatula, and lift out what is loose.',
  pour: 'Pour the vat out through a paper filter. Then look at the empty film and feel along it.',
};

/** A step of clearing a printer, by shop practice. */
export function clearingWords(step: ClearingStep, schools: Pick<Practices, 'clearVat'>): ClearingWords {
  switch (step) {
    case 'solids':
      return {
        title: 'Remove cured resin from the vat',
        how: SOLIDS_OUT[schools.clearVat],
        well: 'no cured resin is left',
        amiss: 'some is left',
      };
    case 'plate':
      return {
        title: 'Check the plate',
        how: 'No cured resin on it, wiped with fresh solvent, dry.',
        well: 'clean and dry',
        amiss: 'dirty or scratched',
      };
    case 'film':
      return {
        title: 'Check the film against the light',
        how: 'No dent and no clouding, tight as a drum, and dry below. A drop under it means a hole.',
        well: 'clear and tight',
        amiss: 'dented, cloudy, slack or wet',
      };
    case 'filter':
      return {
        title: 'Filter the resin back',
        how: 'Filter all the poured-out resin before you reuse it. Crumbs left in it dent the film in the next print.',
        well: 'filtered',
        amiss: 'still dirty',
      };
  }
}

export const CLEARING_CAUTIONS: Readonly<Record<ClearingStep, string>> = {
  solids:
    'Uncured resin: wear nitrile gloves and eye protection, and keep a tray below. Use a soft spatula: a blade cuts the film. The screen shines into the open vat: look away, or wear UV-blocking glasses.',
  plate:
    'Solvent burns. Use no flame, and keep a window open. The edge of a plate cuts: wipe away from yourself.',
  film: 'Wear gloves. Empty and wipe the vat, then look through the film, never against the lit screen.',
  filter: 'Cure paper and filters in daylight before you throw them away, as local rules require.',
};

export const GLANCE_WORDS: Readonly<Record<Glance, string>> = {
  film: 'film clear, tight and dry below',
  plate: 'plate wiped, dry and firm on its arm',
  panel: 'glass clean, no drop on it',
  cover: 'cover closes, lift path clear',
  atHand: 'gloves, paper and filters in stock',
};

/** What was not OK in an inspection of a printer. */
export function describeGlances(glances: readonly Glance[]): string {
  return `not OK: ${listAnd(glances.map((glance) => GLANCE_WORDS[glance]))}`;
}

/** A check of the printer, by shop practice. */
export function checkWords(kind: CheckKind, { levelOn }: Pick<Practices, 'levelOn'>): ClearingWords {
  switch (kind) {
    case 'imageCheck':
      return {
        title: 'Image',
        how: 'Remove the vat and put white paper on the screen. Show all pixels lit, then a grid, then dark. Look from the side for dark patches, missing pixels, and light that stays on.',
        well: 'even, complete, dark when off',
        amiss: 'patches, dead pixels or light that stays on',
      };
    case 'level':
      return {
        title: 'Level',
        how: `${levelOn === 'film' ? 'Put a strip of paper on the film of the empty vat' : 'Remove the vat and put a strip of paper on the bare screen'}, below each corner of the plate in turn. It must drag the same at all four corners.`,
        well: 'same drag at all four corners',
        amiss: 'one corner differs',
      };
    case 'firstPiece':
      return {
        title: 'First test part',
        how: 'Print a small block of known sizes (Gauges) in the middle of the plate and measure it. It must be complete and near the drawn sizes.',
        well: 'complete, sizes as expected',
        amiss: 'poor, or sizes far off',
      };
  }
}

export const CHECK_CAUTIONS: Readonly<Record<CheckKind, string>> = {
  imageCheck:
    'Ultraviolet: never look into the screen. Wear UV-blocking glasses, or look through a phone camera.',
  level:
    'Look before you lower the plate: an object under it breaks the screen. Keep your fingers out of the lift.',
  firstPiece:
    'The part is uncured resin until it is washed and cured: wear gloves and eye protection, and ventilate.',
};

export const BECAUSE_WORDS: Readonly<Record<MaintenanceEvent['kind'], string>> = {
  printer: 'the printer is new',
  film: 'the film is new',
  panel: 'the screen is new',
  failure: 'a failure may have left cured resin in the vat',
};
