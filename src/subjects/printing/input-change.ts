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
} from '@/subjects/language/shared';
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
    film: textField('Film now', { optional: true, limit: 60 }),
    lot: textField('Lot or batch now', { optional: true, limit: 60 }),
    exposureBeforeS: optionalNumber('Exposure before', 'time', SECONDS),
    exposureS: optionalNumber('Exposure now', 'time', SECONDS),
    bottomLayers: optionalNumber('Bottom layers now', 'number', LAYERS),
    bottomExposureS: optionalNumber('Exposure of a bottom layer now', 'time', SECONDS),
    layerMm: optionalNumber('Layer height now', 'length', { low: 0.005, high: 0.5 }),
    wash: textField('Wash now', { optional: true, limit: 80 }),
    cure: textField('Cure now', { optional: true, limit: 80 }),
    day: dayField('Since which day'),
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
          { code: 'worded', text: 'that day is still to come. Note it when it has happened.' },
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
const SPEEDS = { low: 0.01, high: 100, hint: 'A bare number is mm/s; 60 mm/min is read too.' } as const;

/** What a profile is printed under, as it is written down; nothing counts as changed. */
export const settingsForm = z
  .object({
    exposureS: optionalNumber('Exposure of a layer', 'time', SECONDS),
    bottomLayers: optionalNumber('Bottom layers', 'number', LAYERS),
    transitionLayers: optionalNumber('Transition layers', 'number', LAYERS),
    bottomExposureS: optionalNumber('Exposure of a bottom layer', 'time', SECONDS),
    restBeforeS: optionalNumber('Rest before the light', 'time', RESTS),
    restAfterS: optionalNumber('Rest after the light', 'time', RESTS),
    liftMm: optionalNumber('Lift', 'length', LIFTS),
    liftSpeed_mm_s: optionalNumber('Speed of the lift', 'speed', SPEEDS),
    lift2Mm: optionalNumber('Second stage of the lift', 'length', LIFTS),
    lift2Speed_mm_s: optionalNumber('Speed of the second stage', 'speed', SPEEDS),
    retractSpeed_mm_s: optionalNumber('Speed of the way back', 'speed', SPEEDS),
    retract2Speed_mm_s: optionalNumber('Speed of the last stage back', 'speed', SPEEDS),
    startupS: optionalNumber('Start-up until the first layer', 'time', { low: 0, high: 3600 }),
    light: textField('Light engine', {
      optional: true,
      limit: 80,
      hint: 'Panel, projector or laser; mW/cm² where known.',
    }),
    film: textField('Film', { optional: true, limit: 60 }),
    wash: textField('Wash', { optional: true, limit: 80 }),
    cure: textField('Cure', { optional: true, limit: 80 }),
  })
  .transform((typed): Omit<ProfileSettings, 'lot' | 'layerMm'> =>
    Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined && value !== '')),
  );

/** Which feature of a gauge is read on every print; blank for none. */
export const controlForm = z.object({ featureId: optionalId('Control feature') });
