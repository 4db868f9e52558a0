import type { SettingChange } from '@/core/run';
import type { ChangeKind, ParameterName, ProfileSettings } from '@/core/signature';
import { dayOf, formatMm, GONE_WORDS, listAnd } from '@/subjects/language/shared';
import { parameterWords } from './words-signature';

/** Why a change was not noted, or not taken back. */
export type ChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nothingChanged' }
  | { readonly code: 'beforeLast'; readonly lastAt: Date }
  | { readonly code: 'notNewest' };

export function describeChangeIssue(issue: ChangeIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'nothingChanged':
      return 'tick at least one thing that changed.';
    case 'beforeLast':
      return `a change of ${dayOf(issue.lastAt)} is noted already. Take that one back first, or give a later day.`;
    case 'notNewest':
      return 'only the newest change can be taken back. Load the page again.';
  }
}

const KIND_WORDS: Readonly<Record<ChangeKind, string>> = {
  film: 'new film',
  lot: 'new lot or batch',
  exposure: 'other exposure',
  bottom: 'other bottom layers',
  layer: 'other layer height',
  wash: 'other wash',
  cure: 'other cure',
  plate: 'plate levelled or exchanged',
  unknown: 'something, nobody knows what',
};

export function describeChangeKind(kind: ChangeKind): string {
  return KIND_WORDS[kind];
}

/** Settings of a print as they are called where two prints are compared. */
const SETTING_WORDS: Readonly<Record<string, string>> = {
  resin: 'resin',
  profile: 'profile',
  lot: 'lot',
  layerMm: 'layer height, mm',
  exposureS: 'exposure, s',
  bottomLayers: 'bottom layers',
  transitionLayers: 'transition layers',
  bottomExposureS: 'exposure of a bottom layer, s',
  restBeforeS: 'rest before the light, s',
  restAfterS: 'rest after the light, s',
  liftMm: 'lift, mm',
  liftSpeed_mm_s: 'speed of the lift, mm/s',
  lift2Mm: 'second stage of the lift, mm',
  lift2Speed_mm_s: 'speed of the second stage, mm/s',
  retractSpeed_mm_s: 'speed of the way back, mm/s',
  retract2Speed_mm_s: 'speed of the last stage back, mm/s',
  startupS: 'start-up, s',
  light: 'light engine',
  film: 'film',
  wash: 'wash',
  cure: 'cure',
  roomC: 'room, °C',
  plate: 'on the plate',
};

/** exposure, s 2.1 → 2.4 */
export function describeSettingChange({
  name,
  before = 'not said',
  after = 'not said',
}: SettingChange): string {
  return `${SETTING_WORDS[name] ?? name} ${before} → ${after}`;
}

interface Noted {
  readonly kinds: readonly ChangeKind[];
  readonly before: ProfileSettings;
  readonly after: ProfileSettings;
}

/** From what to what, where both were said. */
function valuesOf(kind: ChangeKind, { before, after }: Noted): string {
  const words = (from: string | undefined, to: string | undefined) =>
    to === undefined || to === ''
      ? ''
      : from === undefined || from === ''
        ? ` (${to})`
        : ` (${from} → ${to})`;
  const seconds = (value: number | undefined) => value && `${value} s`;
  const mm = (value: number | undefined) => value && `${formatMm(value, 3)} mm`;
  switch (kind) {
    case 'film':
      return words(before.film, after.film);
    case 'lot':
      return words(before.lot, after.lot);
    case 'exposure':
      return words(seconds(before.exposureS) || undefined, seconds(after.exposureS) || undefined);
    case 'bottom': {
      const bottoms = ({ bottomLayers, bottomExposureS }: ProfileSettings) =>
        [bottomLayers === undefined ? '' : `${bottomLayers}`, seconds(bottomExposureS) || '']
          .filter((part) => part !== '')
          .join(' at ');
      return words(bottoms(before), bottoms(after));
    }
    case 'layer':
      return words(mm(before.layerMm) || undefined, mm(after.layerMm) || undefined);
    case 'wash':
      return words(before.wash, after.wash);
    case 'cure':
      return words(before.cure, after.cure);
    case 'plate':
    case 'unknown':
      return '';
  }
}

/** new film (PFA → nFEP) and other exposure (2.4 s → 2.8 s) */
export function describeChange(change: Noted): string {
  return listAnd(change.kinds.map((kind) => KIND_WORDS[kind] + valuesOf(kind, change)));
}

/** Parameters that a change touches, those it gives back most of first. */
export function describeVoided(givenBack: Readonly<Partial<Record<ParameterName, number>>>): string {
  const names = (Object.entries(givenBack) as [ParameterName, number][])
    .filter(([name]) => name !== 'leanX' && name !== 'leanY')
    .sort(([, a], [, b]) => b - a);
  if (names.length >= 8) return 'all that it does to sizes';
  return listAnd(names.map(([name]) => parameterWords(name).title.toLowerCase()));
}

interface Alarm {
  readonly control: string;
  readonly staleness:
    { readonly kind: 'twoInARow' } | { readonly kind: 'slowWalk'; readonly side: 'over' | 'under' };
  readonly prints: number;
  readonly rooms?: readonly [number, number];
}

/** Why a signature is no longer to be trusted, what is known to differ, and what to do. */
export function describeAlarm({ control, staleness, prints, rooms }: Alarm): string {
  const what =
    staleness.kind === 'twoInARow'
      ? `the ${control} came out far from what was expected twice in a row`
      : `the ${control} has come out ${staleness.side === 'over' ? 'above' : 'below'} what was expected by more than chance explains`;
  const warm =
    rooms === undefined || Math.abs(rooms[1] - rooms[0]) < 2
      ? ''
      : ` The room went from ${rooms[0]} to ${rooms[1]} °C meanwhile.`;
  return `${what}, over ${prints} prints with nothing noted as changed. This signature no longer holds.${warm} Note what changed, or that nobody knows.`;
}
