import { type LayerProgram, type Move, type PlainProgram, plainProgram, type Settings } from '@/core/print';
import type { ProfileSettings } from '@/core/signature';
import type { queries } from '@/store';
import { settingsOf } from './note-change';

/** What a profile's layers take, and what that is known by. */
export interface ProfileProgram {
  readonly program: LayerProgram | PlainProgram;
  /** Layer by layer from the settings; from what a layer takes on this printer; or assumed. */
  readonly from: 'settings' | 'printer' | 'assumed';
}

/** From the start to the first layer where a profile does not say it, s: homing and the first plunge. */
const USUAL_STARTUP_S = 60;

/** Lift and way back in their stages; a way back with one speed takes it all the way. */
function movesOf(settings: ProfileSettings): Move[] {
  const { liftMm = 0, liftSpeed_mm_s: speed = 1, lift2Mm = 0 } = settings;
  const { lift2Speed_mm_s: fast = speed, retractSpeed_mm_s: back = speed } = settings;
  const { retract2Speed_mm_s: last = back } = settings;
  return [
    { mm: liftMm, mm_s: speed },
    { mm: lift2Mm, mm_s: fast },
    { mm: lift2Mm, mm_s: back },
    { mm: liftMm, mm_s: lift2Mm > 0 ? last : back },
  ].filter(({ mm }) => mm > 0);
}

/** The program of a profile: whole where exposures, bottom layers and lift are known, else what a layer takes. */
export function programOf(row: queries.ProfileRow): ProfileProgram {
  const settings = settingsOf(row);
  const { exposureS, bottomExposureS, bottomLayers, liftMm, liftSpeed_mm_s } = settings;
  const { layerMm } = row.profile;
  const isWhole = [exposureS, bottomExposureS, bottomLayers, liftMm, liftSpeed_mm_s].every(
    (value) => value !== undefined,
  );
  if (!isWhole) {
    const { layerSeconds } = row.printer;
    return layerSeconds === null
      ? { program: plainProgram(layerMm), from: 'assumed' }
      : { program: plainProgram(layerMm, layerSeconds), from: 'printer' };
  }
  const { transitionLayers = 0, restBeforeS = 0, restAfterS = 0, startupS = USUAL_STARTUP_S } = settings;
  const program: LayerProgram = {
    layerMm,
    exposureS: exposureS!,
    bottomExposureS: bottomExposureS!,
    bottomLayers: bottomLayers!,
    transitionLayers,
    restBeforeS,
    restAfterS,
    moves: movesOf(settings),
    startupS,
  };
  return { program, from: 'settings' };
}

/** Everything that a run of this profile is printed under, to be kept with it. */
export function snapshotOf(row: queries.ProfileRow): Settings {
  const stated = Object.entries(settingsOf(row)).filter(
    // Where an exposure was derived from is no setting.
    (entry): entry is [string, string | number] =>
      typeof entry[1] === 'number' || (typeof entry[1] === 'string' && entry[1] !== ''),
  );
  return { resin: row.resin.name, profile: row.profile.name, ...Object.fromEntries(stated) };
}
