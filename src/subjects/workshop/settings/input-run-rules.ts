import { z } from 'zod';
import { numberField, refuse, textField } from '@/subjects/kit/shared';

/** A stretch of a day in which somebody is at the bench, minutes from midnight by the clock on the wall. */
export interface PresenceWindow {
  readonly fromMin: number;
  readonly toMin: number;
}

export const WEEKDAYS = [
  'Sunday',
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
] as const;

/** What a run of a printer is planned by. */
export interface RunRules {
  /** Of each day of the week, Sunday first. */
  readonly presence: readonly (readonly PresenceWindow[])[];
  /** Minimum gap between two pieces on a plate, mm; a larger gap of a gap test counts. */
  readonly plateGapMm: number;
  /** Share of lost pieces that are lost with their whole plate. */
  readonly commonShare: number;
  /** Plates that the wash takes at once. */
  readonly washLoads: number;
  /** Money for an hour of a machine, an hour of work, a litre of resin, and liquid and paper of one print. */
  readonly machineHour: number;
  readonly workHour: number;
  readonly resinLitre: number;
  readonly perPrint: number;
  /** A pair of thin gloves; the coal of a filter for an hour of print. */
  readonly glovePair: number;
  readonly coalHour: number;
  /** What one layer wears off film and panel. */
  readonly perLayer: number;
}

const OFFICE: readonly PresenceWindow[] = [{ fromMin: 8 * 60, toMin: 18 * 60 }];

/** Weekdays from eight to six; rates that were not entered are guesses in the workshop's currency. */
export const RUN_DEFAULTS: RunRules = Object.freeze({
  presence: [[], OFFICE, OFFICE, OFFICE, OFFICE, OFFICE, []],
  plateGapMm: 2,
  commonShare: 0.5,
  washLoads: 2,
  machineHour: 1,
  workHour: 40,
  resinLitre: 50,
  perPrint: 0.6,
  glovePair: 0.3,
  coalHour: 0.05,
  perLayer: 0.001,
});

const WINDOW = /^(\d{1,2})(?::?(\d{2}))?\s*[-–]\s*(\d{1,2})(?::?(\d{2}))?$/;

/** Stretches of a day as they are typed, 8:00-12:00 13-18:30; undefined: not understood. */
export function readWindows(text: string): readonly PresenceWindow[] | undefined {
  const words = text
    .replace(/\s*[-–]\s*/g, '-')
    .split(/[\s,;]+/)
    .filter((word) => word !== '');
  const windows = words.map((word) => {
    const match = WINDOW.exec(word);
    if (match === null) return undefined;
    const [fromH, fromM, toH, toM] = [1, 2, 3, 4].map((i) => Number(match[i] ?? 0));
    const window = { fromMin: 60 * fromH + fromM, toMin: 60 * toH + toM };
    const isTime = fromM < 60 && toM < 60 && window.toMin <= 24 * 60 && window.fromMin < window.toMin;
    return isTime ? window : undefined;
  });
  const sorted = windows.filter((window) => window !== undefined).sort((a, b) => a.fromMin - b.fromMin);
  const overlaps = sorted.some(({ fromMin }, i) => i > 0 && fromMin < sorted[i - 1].toMin);
  return sorted.length < windows.length || overlaps ? undefined : sorted;
}

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** The same as it is typed. */
export function writeWindows(windows: readonly PresenceWindow[]): string {
  return windows.map(({ fromMin, toMin }) => `${clock(fromMin)}-${clock(toMin)}`).join(', ');
}

const dayFields = Object.fromEntries(
  WEEKDAYS.map((day, i) => [`day${i}`, textField(day, { optional: true, limit: 80 })]),
) as Record<`day${number}`, ReturnType<typeof textField>>;

const HOW_TO_WRITE = {
  code: 'worded',
  text: 'write it as 8:00-12:00, 13:00-18:00, without overlap.',
} as const;

const MONEY = { low: 0, high: 100_000 } as const;

export const runRulesForm = z
  .object({
    ...dayFields,
    plateGapMm: numberField('Gap between parts on the plate', 'length', { low: 0, high: 50 }),
    commonPercent: numberField('Share of failed parts lost with the whole plate', 'percent', {
      low: 0,
      high: 100,
    }),
    machineHour: numberField('Printer cost per hour', 'number', MONEY),
    workHour: numberField('Labour cost per hour', 'number', MONEY),
    resinLitre: numberField('Resin cost per litre', 'number', MONEY),
    washLoads: numberField('Plates per wash', 'number', { low: 1, high: 20 }),
    perPrint: numberField('Wash liquid and paper per print', 'number', MONEY),
    glovePair: numberField('Thin gloves, per pair', 'number', MONEY),
    coalHour: numberField('Filter charcoal, per hour of print', 'number', MONEY),
    perLayer: numberField('Film and screen, per layer', 'number', MONEY),
  })
  .transform(({ commonPercent, washLoads, ...rest }, context): RunRules => {
    const {
      plateGapMm,
      machineHour,
      workHour,
      resinLitre,
      perPrint,
      glovePair,
      coalHour,
      perLayer,
      ...days
    } = rest;
    return {
      presence: WEEKDAYS.map((_, i) => {
        const text = (days as Record<string, string>)[`day${i}`] ?? '';
        return readWindows(text) ?? refuse(context, HOW_TO_WRITE, `day${i}`);
      }),
      plateGapMm,
      commonShare: commonPercent / 100,
      washLoads: Math.round(washLoads),
      machineHour,
      workHour,
      resinLitre,
      perPrint,
      glovePair,
      coalHour,
      perLayer,
    };
  });
