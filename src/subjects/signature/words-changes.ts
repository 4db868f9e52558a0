import { dayOf, formatMm, listAnd } from '@/core/kit/wording';
import type { SettingChange } from '@/core/print';
import type { ChangeKind, ParameterName, ProfileSettings } from '@/core/signature';
import { GONE_WORDS, parameterWords } from '@/subjects/kit/shared';

/** Why a change was not recorded or undone. */
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
      return 'tick at least one change.';
    case 'beforeLast':
      return `a change on ${dayOf(issue.lastAt)} is already recorded. Undo that one first, or enter a later date.`;
    case 'notNewest':
      return 'only the newest change can be undone. Reload the page.';
  }
}

const KIND_WORDS: Readonly<Record<ChangeKind, string>> = {
  film: 'new film',
  lot: 'new lot or batch',
  exposure: 'new exposure',
  bottom: 'new bottom layers',
  layer: 'new layer height',
  wash: 'new wash',
  cure: 'new cure',
  plate: 'plate levelled or replaced',
  unknown: 'unknown change',
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
  bottomExposureS: 'bottom-layer exposure, s',
  restBeforeS: 'wait before exposure, s',
  restAfterS: 'wait after exposure, s',
  liftMm: 'lift distance, mm',
  liftSpeed_mm_s: 'lift speed, mm/s',
  lift2Mm: 'second lift distance, mm',
  lift2Speed_mm_s: 'second lift speed, mm/s',
  retractSpeed_mm_s: 'retract speed, mm/s',
  retract2Speed_mm_s: 'second retract speed, mm/s',
  startupS: 'start-up, s',
  light: 'light source',
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
  if (names.length >= 8) return 'all size effects';
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
      ? `the ${control} was far from the expected size twice in a row`
      : `the ${control} is ${staleness.side === 'over' ? 'above' : 'below'} the expected size, more than expected by chance`;
  const warm =
    rooms === undefined || Math.abs(rooms[1] - rooms[0]) < 2
      ? ''
      : ` The room temperature changed from ${rooms[0]} to ${rooms[1]} °C in this time.`;
  return `${what}, over ${prints} prints without a recorded change. This signature is no longer valid.${warm} Record what changed, or record an unknown change.`;
}
