import { z } from 'zod';
import { CHANGE_KINDS, type ChangeKind, type ProfileSettings } from '@/core/signature';
import {
  dayField,
  optionalId,
  optionalNumber,
  refuse,
  textField,
  ticked,
  tickFields,
} from '@/subjects/kit/shared';
import { describeChangeKind } from './words-changes';

const SECONDS = { low: 0.05, high: 600 } as const;

const LAYERS = { low: 0, high: 200 } as const;

/** The settings that a kind of change brings with it. */
const SETTINGS_OF: Readonly<Partial<Record<ChangeKind, readonly (keyof ProfileSettings)[]>>> = {
  film: ['film'],
  lot: ['lot'],
  exposure: ['exposureS'],
  bottom: ['bottomLayers', 'bottomExposureS'],
  layer: ['layerMm'],
  wash: ['wash'],
  cure: ['cure'],
};

function startOfDay(day: string): Date {
  const [year, month, date] = day.split('-').map(Number);
  return new Date(year, month - 1, date);
}

function today(): string {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');
}

/** What changed under a profile; a value that was typed counts as ticked. Today means now, another day its first minute. */
export const changeForm = z
  .object({
    ...tickFields('kind', CHANGE_KINDS, describeChangeKind),
    film: textField('New film', { optional: true, limit: 60 }),
    lot: textField('New lot or batch', { optional: true, limit: 60 }),
    exposureBeforeS: optionalNumber('Old exposure', 'time', SECONDS),
    exposureS: optionalNumber('New exposure', 'time', SECONDS),
    bottomLayers: optionalNumber('New number of bottom layers', 'number', LAYERS),
    bottomExposureS: optionalNumber('New bottom-layer exposure', 'time', SECONDS),
    layerMm: optionalNumber('New layer height', 'length', { low: 0.005, high: 0.5 }),
    wash: textField('New wash', { optional: true, limit: 80 }),
    cure: textField('New cure', { optional: true, limit: 80 }),
    day: dayField('Date of the change'),
    note: textField('Note', { optional: true, limit: 200 }),
  })
  .transform(
    (
      {
        film,
        lot,
        exposureBeforeS,
        exposureS,
        bottomLayers,
        bottomExposureS,
        layerMm,
        wash,
        cure,
        day,
        note,
        ...ticks
      },
      context,
    ) => {
      if (day > today())
        refuse(
          context,
          { code: 'worded', text: 'that date is in the future. Record the change when it has happened.' },
          'day',
        );
      const typed = { film, lot, exposureS, bottomLayers, bottomExposureS, layerMm, wash, cure };
      const after = Object.fromEntries(
        Object.entries(typed).filter(([, value]) => value !== undefined && value !== ''),
      ) as ProfileSettings;
      const kinds = CHANGE_KINDS.filter((kind) => {
        const settings = SETTINGS_OF[kind] ?? [];
        return ticked(ticks, 'kind', [kind]).length > 0 || settings.some((setting) => setting in after);
      });
      const at = day === '' || day === today() ? new Date() : startOfDay(day);
      return { kinds, at, after, exposureBeforeS, note };
    },
  );

const RESTS = { low: 0, high: 120 } as const;
const LIFTS = { low: 0, high: 100 } as const;
const SPEEDS = {
  low: 0.01,
  high: 100,
  hint: 'A number without a unit is mm/s. You can also type 60 mm/min.',
} as const;

/** What a profile is printed under, as it is written down; nothing counts as changed. */
export const settingsForm = z
  .object({
    exposureS: optionalNumber('Layer exposure', 'time', SECONDS),
    bottomLayers: optionalNumber('Bottom layers', 'number', LAYERS),
    transitionLayers: optionalNumber('Transition layers', 'number', LAYERS),
    bottomExposureS: optionalNumber('Bottom-layer exposure', 'time', SECONDS),
    restBeforeS: optionalNumber('Wait before exposure', 'time', RESTS),
    restAfterS: optionalNumber('Wait after exposure', 'time', RESTS),
    liftMm: optionalNumber('Lift distance', 'length', LIFTS),
    liftSpeed_mm_s: optionalNumber('Lift speed', 'speed', SPEEDS),
    lift2Mm: optionalNumber('Second lift distance', 'length', LIFTS),
    lift2Speed_mm_s: optionalNumber('Second lift speed', 'speed', SPEEDS),
    retractSpeed_mm_s: optionalNumber('Retract speed', 'speed', SPEEDS),
    retract2Speed_mm_s: optionalNumber('Second retract speed', 'speed', SPEEDS),
    startupS: optionalNumber('Time before the first layer', 'time', { low: 0, high: 3600 }),
    light: textField('Light source', {
      optional: true,
      limit: 80,
      hint: 'Screen, projector or laser; mW/cm² if known.',
    }),
    film: textField('Film', { optional: true, limit: 60 }),
    wash: textField('Wash', { optional: true, limit: 80 }),
    cure: textField('Cure', { optional: true, limit: 80 }),
  })
  .transform((typed): Omit<ProfileSettings, 'lot' | 'layerMm'> =>
    Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined && value !== '')),
  );

/** Which feature of a gauge is read on every print; blank for none. */
export const controlForm = z.object({ featureId: optionalId('Control piece') });
