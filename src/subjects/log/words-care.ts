import type { CareEvent, CareKind, CheckKind, ClearingStep, Glance } from '@/core/log';
import type { Schools } from '@/core/resins';
import { GONE_WORDS, listAnd } from '@/subjects/language/shared';

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
      return 'this print has not ended: say first that it is off the printer, or that it was stopped.';
    case 'noSuchLayer':
      return `this plate has ${issue.layers} layers; layer ${issue.layer} is none of them. Give one from 1 to ${issue.layers}, or leave it open.`;
    case 'otherPlate':
      return 'that piece lay on another plate. Load the page again.';
    case 'noFailure':
      return 'no failure is noted of this print. Note first what failed.';
    case 'noSuchOutcome':
      return 'that is no outcome of this test. Load the page again.';
    case 'noFollow':
      return 'it was not well: say in a line what was wrong and what followed.';
  }
}

export const CARE_WORDS: Readonly<
  Record<CareKind, { readonly title: string; readonly unit: string; readonly one: string }>
> = {
  film: { title: 'Film changed', unit: 'layers', one: 'layer' },
  panel: { title: 'Panel changed', unit: 'hours of light', one: 'hour of light' },
  level: { title: 'Plate levelled', unit: 'prints', one: 'print' },
  drain: { title: 'Vat drained and wiped', unit: 'days', one: 'day' },
  filter: { title: 'Resin strained', unit: 'prints', one: 'print' },
  washLiquid: { title: 'Wash liquid changed', unit: 'pieces', one: 'piece' },
  clearVat: { title: 'Vat cleared of solids', unit: 'failures', one: 'failure' },
  imageCheck: { title: 'Image looked at', unit: 'prints', one: 'print' },
  firstPiece: { title: 'First piece printed and measured', unit: 'prints', one: 'print' },
  lookOver: { title: 'Looked over', unit: 'prints', one: 'print' },
};

/** The same as what is due. */
export const DUE_WORDS: Readonly<Record<CareKind, string>> = {
  film: 'a new film',
  panel: 'a new panel',
  level: 'levelling the plate',
  drain: 'draining the vat',
  filter: 'straining the resin',
  washLiquid: 'fresh wash liquid',
  clearVat: 'clearing the vat of solids',
  imageCheck: 'a look at the image',
  firstPiece: 'a first piece',
  lookOver: 'a look over it',
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
  const often = risk < 0.01 ? 'fewer than 1' : `about ${Math.round(100 * risk)}`;
  const chance = `The next print fails by the film in ${often} of 100`;
  return nextCost === undefined
    ? `${chance}.`
    : `${chance}: on average ${risk * nextCost < 0.1 ? 'less than 0.1' : (risk * nextCost).toFixed(1)} of the ${nextCost.toFixed(0)} that it costs, a new film ${filmCost.toFixed(0)}.`;
}

interface ClearingWords {
  readonly title: string;
  readonly how: string;
  readonly well: string;
  readonly amiss: string;
}

const SOLIDS_OUT: Readonly<Record<Schools['clearVat'], string>> = {
  sheet:
    'With an old support standing in the resin as a handle, cure one thin layer over the whole panel, and lift it off with all that sticks to it. Then feel along the film with a soft spatula.',
  spatula: 'Feel along the whole film with a soft spatula, and lift out what is loose.',
  pour: 'Pour the vat out through a filter of paper, then look and feel along the empty film.',
};

/** A step of clearing a printer, by the house's way of it. */
export function clearingWords(step: ClearingStep, schools: Pick<Schools, 'clearVat'>): ClearingWords {
  switch (step) {
    case 'solids':
      return {
        title: 'What is solid, out of the vat',
        how: SOLIDS_OUT[schools.clearVat],
        well: 'nothing solid is left',
        amiss: 'something stays',
      };
    case 'plate':
      return {
        title: 'The plate',
        how: 'Nothing cured on it, wiped with fresh solvent, dry.',
        well: 'clean and dry',
        amiss: 'not clean, or scratched',
      };
    case 'film':
      return {
        title: 'The film, held to the light',
        how: 'No dent, no cloud, tight like a drum, and dry below: a drop under it means a hole.',
        well: 'clear and tight',
        amiss: 'dented, cloudy, slack or wet',
      };
    case 'filter':
      return {
        title: 'The resin, back through a filter',
        how: 'What was poured out goes back strained; crumbs that stay in it dent the film at the next print.',
        well: 'strained',
        amiss: 'not clean',
      };
  }
}

export const CLEARING_CAUTIONS: Readonly<Record<ClearingStep, string>> = {
  solids:
    'Uncured resin: nitrile gloves, eye protection, tray below. A soft spatula: a blade cuts the film. The panel lights into the open vat: look away, or wear glasses that stop ultraviolet.',
  plate: 'Solvent burns: no flame, window open. A plate’s edge cuts: wipe away from yourself.',
  film: 'Look through it with the vat emptied and wiped, gloves on, never against the lit panel.',
  filter: 'Paper and filter are cured in daylight before they are thrown away, as local rules ask.',
};

export const GLANCE_WORDS: Readonly<Record<Glance, string>> = {
  film: 'film clear, tight and dry below',
  plate: 'plate wiped, dry, and firm on its arm',
  panel: 'glass clean, no drop on it',
  cover: 'cover closes, nothing in the way of the lift',
  atHand: 'gloves, paper and filters at hand',
};

/** Things that were not well when a printer was looked over. */
export function describeGlances(glances: readonly Glance[]): string {
  return `not so: ${listAnd(glances.map((glance) => GLANCE_WORDS[glance]))}`;
}

/** A check of the machine, by the house's way of it. */
export function checkWords(kind: CheckKind, { levelOn }: Pick<Schools, 'levelOn'>): ClearingWords {
  switch (kind) {
    case 'imageCheck':
      return {
        title: 'Image',
        how: 'Vat off, white paper on the panel: all lit, then a grid, then dark. Look from the side for dark patches, missing pixels, light that stays.',
        well: 'even, whole, dark when off',
        amiss: 'patches, pixels or light left',
      };
    case 'level':
      return {
        title: 'Level',
        how: `${levelOn === 'film' ? 'A strip of paper on the film of the empty vat' : 'The vat off, a strip of paper on the bare panel'}, below each corner of the plate in turn: it drags alike at all four.`,
        well: 'drags alike at four corners',
        amiss: 'one corner differs',
      };
    case 'firstPiece':
      return {
        title: 'First piece',
        how: 'Print a small block of known sizes (Gauges) in the middle of the plate, and measure it: it is there, whole, and near what was drawn.',
        well: 'whole, sizes as expected',
        amiss: 'poor, or sizes far off',
      };
  }
}

export const CHECK_CAUTIONS: Readonly<Record<CheckKind, string>> = {
  imageCheck: 'Ultraviolet: never look into the panel; glasses that stop it, or look by a phone’s camera.',
  level:
    'Look before you lower the plate: what lies under it breaks the panel. Keep fingers out of the lift.',
  firstPiece: 'Uncured resin until it is washed and cured: gloves, eye protection, air.',
};

export const BECAUSE_WORDS: Readonly<Record<CareEvent['kind'], string>> = {
  printer: 'the printer is new',
  film: 'the film is new',
  panel: 'the panel is new',
  failure: 'a failure may have left something cured in the vat',
};
