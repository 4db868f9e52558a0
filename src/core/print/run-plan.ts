import type { LayerProgram, PlainProgram } from './layer-times';

/** Settings of a profile, by their names. */
export type Settings = Readonly<Record<string, string | number>>;

/** What a run was started with; kept with it, so that a later change of the profile does not rewrite the past. */
export interface RunPlan {
  readonly program: LayerProgram | PlainProgram;
  readonly layers: number;
  /** By the program alone, without the printer's own ratio. */
  readonly plannedS: number;
  readonly resinMl: number;
  /** In the vat when it started. */
  readonly levelMl?: number;
  readonly settings: Settings;
  /** Clock of a simulated printer against the one on the wall; 1 for a real one. */
  readonly speed: number;
}

/** A setting that differs between two runs. */
export interface SettingChange {
  readonly name: string;
  readonly before?: string | number;
  readonly after?: string | number;
}

/** What differs between the settings of two runs, in the order of the later one's. */
export function settingChanges(before: Settings, after: Settings): SettingChange[] {
  const names = [...new Set([...Object.keys(after), ...Object.keys(before)])];
  return names
    .filter((name) => before[name] !== after[name])
    .map((name) => ({ name, before: before[name], after: after[name] }));
}
