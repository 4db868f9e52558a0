import type { BodySize } from '@/core/measure';
import {
  FIT_CLASSES_AT_10MM,
  targetForMate,
  wishedClearance,
  type ClearanceBand,
  type FitClasses,
  type FitConditions,
} from '@/core/fit/mating';
import type { SolidRecipe } from '@/core/fit/solids';
import {
  FATAL_CODES,
  type Given,
  type InterfaceWish,
  type SheetDefinition,
  type SheetDrawing,
  type SheetFeature,
  type SheetInterface,
  type SheetIssue,
  type SheetKind,
  type SheetMeasure,
} from './definition';
import { CAP } from './kinds/cap';
import { D_SHAFT } from './kinds/d-shaft';
import { PANEL } from './kinds/panel';
import { PLATE } from './kinds/plate';
import { PLUG } from './kinds/plug';
import { POCKET } from './kinds/pocket';
import { RING } from './kinds/ring';
import { ROUND_POCKET } from './kinds/round-pocket';
import { SLEEVE } from './kinds/sleeve';
import { WASHER } from './kinds/washer';

export const SHEETS: Readonly<Record<SheetKind, SheetDefinition>> = Object.freeze({
  ring: RING,
  washer: WASHER,
  plug: PLUG,
  cap: CAP,
  sleeve: SLEEVE,
  pocket: POCKET,
  roundPocket: ROUND_POCKET,
  dShaft: D_SHAFT,
  plate: PLATE,
  panel: PANEL,
});

/** What was chosen on a sheet; what is left out is the kind's own standard. */
export interface SheetChoices {
  readonly kind: SheetKind;
  readonly options: Readonly<Record<string, number>>;
  readonly wishes: Readonly<Record<string, Partial<InterfaceWish>>>;
}

interface SheetInput extends SheetChoices {
  /** Sizes of the bodies read, by measure. */
  readonly bodies: ReadonlyMap<string, BodySize>;
  /** Thermal expansion of a mate, by measure, per K; left out: like the part. */
  readonly expansionPerK?: (measure: string) => number | undefined;
  readonly classes?: FitClasses;
  readonly conditions?: FitConditions;
}

/** Everything that follows from a sheet, as far as measured. */
export interface Sheet {
  readonly measures: readonly SheetMeasure[];
  readonly interfaces: readonly (SheetInterface & InterfaceWish & { readonly band?: ClearanceBand })[];
  readonly features: readonly SheetFeature[];
  readonly issues: readonly SheetIssue[];
  /** Every size that is needed was read, and the part can be made. */
  readonly whole: boolean;
  readonly drawing: SheetDrawing;
  /** The part with the job's own feature ids; undefined if the measuring sheet has none or is incomplete. */
  readonly solid?: (idOf: (feature: string) => number) => SolidRecipe;
}

export function optionOf({ kind, options }: Pick<SheetChoices, 'kind' | 'options'>): (id: string) => number {
  return (id) => {
    const option = SHEETS[kind].options.find((each) => each.id === id);
    if (option === undefined) throw new RangeError(`optionOf: ${kind} has no ${id}`);
    const value = options[id] ?? option.standard;
    return option.whole === true ? Math.round(value) : value;
  };
}

/**
 * Evaluates a sheet: from bodies and fits to targets, issues, drawing and part. Without readings it gives the drawing
 * only. Source: docs/methods.md §3, gap filler: each interface subtracts its clearance from the body it meets. Example:
 * push fit in a bore of 15.91, running fit on a shaft of 9.47 → outside 15.88 ± 0.03, bore 9.71 ± 0.08.
 */
export function workOutSheet(input: SheetInput): Sheet {
  const definition = SHEETS[input.kind];
  const option = optionOf(input);
  const measures = definition.measures(option);
  const size = (measure: string) => input.bodies.get(measure)?.sizeMm;
  const interfaces = definition.interfaces(option).map((each) => {
    const wish = input.wishes[each.id]?.wish ?? each.wish;
    const mm = size(each.measure);
    const {
      ruin = 'none' as const,
      clearance,
      coatMm = input.conditions?.coatMm,
    } = input.wishes[each.id] ?? {};
    const band =
      mm === undefined
        ? undefined
        : (clearance ?? wishedClearance(wish, mm, input.classes ?? FIT_CLASSES_AT_10MM));
    return { ...each, wish, ruin, clearance, coatMm, band };
  });
  const given: Given = {
    size,
    option,
    drawn: (measure) => size(measure) ?? measures.find(({ id }) => id === measure)?.placeholderMm ?? 1,
    mated: (id, name, kind, interfaceId) => {
      const at = interfaces.find((each) => each.id === interfaceId);
      const body = at && input.bodies.get(at.measure);
      if (at?.band === undefined || body === undefined) return undefined;
      const mate = { sizeMm: body.sizeMm, u_mm: body.u_mm, expansionPerK: input.expansionPerK?.(at.measure) };
      const { targetMm, lowerDeviationMm, upperDeviationMm } = targetForMate(kind.sense, mate, at.band, {
        ...input.conditions,
        coatMm: at.coatMm,
      });
      return { id, name, kind, targetMm, lowerDeviationMm, upperDeviationMm, interface: at };
    },
  };
  const features = definition.features(given).filter((feature) => feature !== undefined);
  const byId = new Map(features.map((feature) => [feature.id, feature]));
  const unread = measures.filter(({ id, optional }) => optional !== true && size(id) === undefined);
  const issues: SheetIssue[] = [
    ...unread.map(({ label }): SheetIssue => ({ code: 'notRead', label })),
    ...definition.issues(given, byId),
    ...features
      .filter(({ targetMm }) => targetMm <= 0)
      .map(({ name, targetMm }): SheetIssue => ({ code: 'nothingLeft', name, mm: targetMm })),
  ];
  const whole = !issues.some(({ code }) => FATAL_CODES.has(code));
  const { solid } = definition;
  return {
    measures,
    interfaces,
    features,
    issues,
    whole,
    drawing: definition.drawing(given),
    solid: whole && solid !== undefined ? (idOf) => solid(given, byId, idOf) : undefined,
  };
}

/** Where the next reading belongs: the first measure that lacks a place, its level and turn counted from 0. */
export function nextPlace(
  measures: readonly SheetMeasure[],
  placesOf: (measure: string) => readonly { readonly level: number; readonly turn: number }[],
): { readonly measure: SheetMeasure; readonly level: number; readonly turn: number } | undefined {
  for (const measure of measures) {
    const taken = new Set(placesOf(measure.id).map(({ level, turn }) => `${level}/${turn}`));
    if (measure.optional === true && taken.size === 0) continue;
    const places = Array.from({ length: measure.levels * measure.turns }, (_, i) => ({
      level: Math.floor(i / measure.turns),
      turn: i % measure.turns,
    }));
    const open = places.find(({ level, turn }) => !taken.has(`${level}/${turn}`));
    if (open !== undefined) return { measure, ...open };
  }
  return undefined;
}
