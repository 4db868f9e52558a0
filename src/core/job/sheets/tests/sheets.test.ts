import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { estimateBody, type BodySize } from '@/core/measure';
import { checkMesh, measureFeature, readStl, weldCorners, writeStl } from '@/core/part/mesh';
import { anchorsOf, buildSolid, profileOf } from '@/core/fit/solids';
import { loadTestKernel } from '@/testing/kernel';
import {
  nextPlace,
  optionOf,
  SHEET_KINDS,
  SHEETS,
  workOutSheet,
  type SheetChoices,
  type SheetKind,
} from '../index';

const CALIPER = { mpeMm: 0.02, resolutionMm: 0.01 };

function body(mm: number): BodySize {
  return estimateBody([{ mm, level: 0, turn: 0 }], 'pitch', CALIPER);
}

function choices(kind: SheetKind, options: Record<string, number> = {}): SheetChoices {
  return { kind, options, wishes: {} };
}

/** Everything read at what the drawing assumes, or at what is given. */
function allRead(chosen: SheetChoices, sizes: Record<string, number> = {}) {
  const measures = SHEETS[chosen.kind].measures(optionOf(chosen));
  return new Map(
    measures.flatMap(({ id, placeholderMm }): [string, BodySize][] => {
      const mm = sizes[id] ?? placeholderMm;
      return mm === 0 ? [] : [[id, body(mm)]];
    }),
  );
}

function workOut(kind: SheetKind, sizes: Record<string, number> = {}, options: Record<string, number> = {}) {
  const chosen = choices(kind, options);
  return workOutSheet({ ...chosen, bodies: allRead(chosen, sizes) });
}

describe('every sheet', () => {
  test.each(SHEET_KINDS)('%s: nothing read gives a drawing and what is missing, never a size', (kind) => {
    const sheet = workOutSheet({ ...choices(kind), bodies: new Map() });
    expect(sheet.whole).toBe(false);
    expect(sheet.solid).toBeUndefined();
    expect(sheet.features.filter((feature) => feature.interface !== undefined)).toEqual([]);
    expect(sheet.issues.filter(({ code }) => code === 'notRead').length).toBeGreaterThan(0);
    for (const { loop } of sheet.drawing.bodies) expect(loop.flat().every(Number.isFinite)).toBe(true);
    const known = new Set(sheet.measures.map(({ id }) => id));
    for (const { measure } of sheet.drawing.dimensions) expect(known).toContain(measure);
  });

  test.each(SHEET_KINDS)(
    '%s: everything read gives a whole sheet of positive targets with limits around them',
    (kind) => {
      const sheet = workOut(kind);
      expect(sheet.issues).toEqual([]);
      expect(sheet.whole).toBe(true);
      expect(new Set(sheet.features.map(({ name }) => name)).size).toBe(sheet.features.length);
      for (const { targetMm, lowerDeviationMm, upperDeviationMm } of sheet.features) {
        expect(targetMm).toBeGreaterThan(0);
        expect(lowerDeviationMm).toBeLessThan(upperDeviationMm);
      }
    },
  );

  test.each(SHEET_KINDS.filter((kind) => SHEETS[kind].solid !== undefined))(
    '%s: its part, written and read back, is closed and has every drawn size',
    async (kind) => {
      const sheet = workOut(kind);
      const idOf = (id: string) => sheet.features.findIndex((feature) => feature.id === id);
      const drawn = (id: number) => sheet.features[id].targetMm + 0.013;
      const recipe = sheet.solid!(idOf);
      const built = buildSolid(await loadTestKernel(), recipe, drawn);
      const mesh = weldCorners(expectOk(readStl(writeStl(built))).corners);
      expect(checkMesh(mesh).watertight).toBe(true);
      const anchors = anchorsOf(recipe, drawn);
      sheet.features.forEach(({ id, kind: featureKind }, i) => {
        if (featureKind.sense === 'pitch') return;
        const anchor = anchors.get(i);
        if (anchor === undefined) throw new Error(`${id} has no place on the part`);
        expect(Math.abs(expectOk(measureFeature(mesh, featureKind, anchor)) - drawn(i))).toBeLessThan(0.001);
      });
      const { loops } = profileOf(recipe, drawn);
      expect(loops.flat(2).every(Number.isFinite)).toBe(true);
    },
  );
});

describe('the ring', () => {
  test('wall = (bore − shaft − c_in − c_out)/2: each interface takes its own clearance', () => {
    const { features } = workOut('ring', { bore: 16, shaft: 9.5, depth: 6 });
    const [outside, bore, height] = features;
    // push in 16 mm: 0 … 0.06 × 1.6^(1/3); turn on 9.5: 0.16 … 0.32 × 0.95^(1/3)
    expect(outside.targetMm).toBeCloseTo(16 - 0.03 * Math.cbrt(1.6), 9);
    expect(bore.targetMm).toBeCloseTo(9.5 + 0.24 * Math.cbrt(0.95), 9);
    expect(height.targetMm).toBe(6);
  });

  test('a bore not larger than its shaft, a wall that is gone or thin, each has its own words', () => {
    expect(workOut('ring', { bore: 9, shaft: 9.5 }).issues).toContainEqual({
      code: 'crossed',
      outer: 'bore around it',
      outerMm: 9,
      inner: 'shaft in it',
      innerMm: 9.5,
    });
    expect(workOut('ring', { bore: 9.6, shaft: 9.5 }).issues).toContainEqual({
      code: 'wallGone',
      wallMm: expect.any(Number),
    });
    const thin = workOut('ring', { bore: 11, shaft: 9.5 });
    expect(thin.issues).toContainEqual(expect.objectContaining({ code: 'wallThin' }));
    expect(thin.whole).toBe(true);
  });

  test('flush, proud or below the seat, and a shoulder', () => {
    expect(workOut('ring', {}, { proud: -1 }).features[2].targetMm).toBe(5);
    expect(workOut('ring', {}, { proud: -6 }).issues).toContainEqual(
      expect.objectContaining({ code: 'nothingLeft' }),
    );
    const names = workOut('ring', {}, { shoulder: 22 }).features.map(({ name }) => name);
    expect(names).toEqual(['Outside', 'Bore', 'Seat length', 'Shoulder', 'Shoulder thickness']);
  });

  test('heat and a coat move the targets, each by its own mate', () => {
    const chosen = choices('ring');
    const bodies = allRead(chosen);
    const cold = workOutSheet({ ...chosen, bodies });
    const hot = workOutSheet({
      ...chosen,
      bodies,
      conditions: { serviceC: 92, coatMm: 0.02 },
      expansionPerK: () => 11.5e-6,
    });
    expect(hot.features[0].targetMm).toBeLessThan(cold.features[0].targetMm - 0.1);
  });
});

describe('the next reading', () => {
  test('walks each measure around and along, and leaves what is optional', () => {
    const measures = SHEETS.pocket.measures(optionOf(choices('pocket')));
    const taken = new Map<string, { level: number; turn: number }[]>();
    const seen: string[] = [];
    for (;;) {
      const next = nextPlace(measures, (id) => taken.get(id) ?? []);
      if (next === undefined) break;
      seen.push(`${next.measure.id} ${next.level} ${next.turn}`);
      taken.set(next.measure.id, [...(taken.get(next.measure.id) ?? []), next]);
    }
    expect(seen).toEqual(['width 0 0', 'width 1 0', 'thick 0 0', 'thick 0 1']);
  });
});
