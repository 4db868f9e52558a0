import { describe, expect, test } from '@jest/globals';
import { WISHES, wishedClearance, type Wish } from '@/core/fit/mating';
import { estimateBody, type BodySize } from '@/core/measure';
import { extentOfProfile, profileOf } from '@/core/fit/solids';
import { optionOf, SHEET_KINDS, SHEETS, workOutSheet, type SheetChoices, type SheetKind } from '..';

const CALIPER = { mpeMm: 0.02, resolutionMm: 0.01 };
const body = (mm: number): BodySize => estimateBody([{ mm, level: 0, turn: 0 }], 'pitch', CALIPER);

interface Asked {
  readonly sizes?: Readonly<Record<string, number>>;
  readonly options?: Readonly<Record<string, number>>;
  readonly wishes?: SheetChoices['wishes'];
}

/** A sheet with everything read: at what is given, else at what its drawing assumes. */
function workOut(kind: SheetKind, { sizes = {}, options = {}, wishes = {} }: Asked = {}) {
  const chosen: SheetChoices = { kind, options, wishes };
  const bodies = new Map(
    SHEETS[kind].measures(optionOf(chosen)).flatMap(({ id, placeholderMm }): [string, BodySize][] => {
      const mm = sizes[id] ?? placeholderMm;
      return mm === 0 ? [] : [[id, body(mm)]];
    }),
  );
  const sheet = workOutSheet({ ...chosen, bodies });
  const target = (id: string) => sheet.features.find((feature) => feature.id === id)!.targetMm;
  return { sheet, target };
}

const middle = (wish: Wish, mm: number) => {
  const { lowMm, highMm } = wishedClearance(wish, mm);
  return (lowMm + highMm) / 2;
};

describe('every kind', () => {
  test.each(SHEET_KINDS)('%s draws a line for each size that must be read', (kind) => {
    const { sheet } = workOut(kind);
    const drawn = new Set(sheet.drawing.dimensions.map(({ measure }) => measure));
    for (const { id, optional } of sheet.measures) if (optional !== true) expect(drawn).toContain(id);
  });

  test.each(SHEET_KINDS)('%s wished looser at every interface never comes out tighter', (kind) => {
    const interfaces = workOut(kind).sheet.interfaces.map(({ id }) => id);
    const clearances = WISHES.map((wish) => {
      const wishes = Object.fromEntries(interfaces.map((id) => [id, { wish }]));
      const { sheet } = workOut(kind, { wishes });
      return sheet.features
        .filter((feature) => feature.interface !== undefined)
        .map(({ targetMm, kind: { sense } }) => (sense === 'inside' ? targetMm : -targetMm));
    });
    for (let i = 1; i < clearances.length; i++)
      clearances[i].forEach((value, j) => expect(value).toBeGreaterThan(clearances[i - 1][j]));
  });

  test.each(SHEET_KINDS)('%s gives a solid or an outline to cut, never neither', (kind) => {
    const { solid, outline } = SHEETS[kind];
    expect(solid !== undefined || outline !== undefined).toBe(true);
  });

  test.each(SHEET_KINDS)('%s has options whose standards lie within their own limits', (kind) => {
    for (const { standard, low, high } of SHEETS[kind].options) {
      expect(standard).toBeGreaterThanOrEqual(low);
      expect(standard).toBeLessThanOrEqual(high);
    }
  });

  test.each(SHEET_KINDS)('%s grows with what is read: twice the bodies, larger mated sizes', (kind) => {
    const { sheet } = workOut(kind);
    const doubled = Object.fromEntries(
      sheet.measures.map(({ id, placeholderMm }) => [id, 2 * placeholderMm]),
    );
    const larger = workOut(kind, { sizes: doubled });
    for (const { id, targetMm, interface: at } of sheet.features)
      if (at !== undefined) expect(larger.target(id)).toBeGreaterThan(1.8 * targetMm);
  });
});

describe('turned kinds', () => {
  test('a washer slides between its faces and over its shaft', () => {
    const { target } = workOut('washer', { sizes: { shaft: 8, space: 3 } });
    expect(target('bore')).toBeCloseTo(8 + middle('slide', 8), 9);
    expect(target('thickness')).toBeCloseTo(3 - middle('slide', 3), 9);
  });

  test('a plug is shorter than its hole by half a millimetre, so that its head sits', () => {
    const { target } = workOut('plug', { sizes: { hole: 10, depth: 8 } });
    expect(target('stem')).toBeCloseTo(10 - middle('push', 10), 9);
    expect(target('stemLength')).toBeCloseTo(7.5, 9);
  });

  test('a plug whose head is no larger than its hole would fall through, and is refused', () => {
    const { sheet } = workOut('plug', { sizes: { hole: 20 }, options: { head: 14 } });
    expect(sheet.whole).toBe(false);
    expect(sheet.issues.map(({ code }) => code)).toContain('crossed');
  });

  test('a cap is its tube and two walls wide', () => {
    const { target } = workOut('cap', { sizes: { tube: 12 }, options: { wall: 1.5 } });
    expect(target('outside')).toBeCloseTo(target('bore') + 3, 9);
  });

  test('a sleeve no thicker than its peg has no wall left', () => {
    const { sheet } = workOut('sleeve', { sizes: { peg: 12 }, options: { outer: 12 } });
    expect(sheet.whole).toBe(false);
    expect(sheet.issues.map(({ code }) => code)).toContain('wallGone');
  });

  test('the section of a ring is as wide as its outside and as high as its height', () => {
    const { sheet, target } = workOut('ring', { sizes: { bore: 16, shaft: 9.5, depth: 6 } });
    const ids = sheet.features.map(({ id }) => id);
    const recipe = sheet.solid!((feature) => ids.indexOf(feature));
    const profile = profileOf(recipe, (id) => target(ids[id]));
    const { left, right, low, high } = extentOfProfile(profile);
    expect(right - left).toBeCloseTo(target('outside'), 9);
    expect(high - low).toBeCloseTo(target('height'), 9);
  });
});

describe('flat kinds', () => {
  test('a pocket is wider and longer than its part and deeper by what is to spare', () => {
    const { target } = workOut('pocket', {
      sizes: { width: 5, length: 9, thick: 2 },
      options: { spare: 0.3 },
    });
    expect(target('width')).toBeGreaterThan(5);
    expect(target('length')).toBeGreaterThan(9);
    expect(target('depth')).toBeCloseTo(2.3, 9);
  });

  test('a pocket that stands less deep than nothing is refused', () => {
    const { sheet } = workOut('pocket', { sizes: { thick: 0.4 }, options: { spare: -1 } });
    expect(sheet.whole).toBe(false);
    expect(sheet.issues.map(({ code }) => code)).toContain('nothingLeft');
  });

  test('outlines to cut are as large as the drawn sizes', () => {
    const drawn = (sizes: Record<string, number>) => (id: string) => sizes[id];
    const square = SHEETS.pocket.outline!(drawn({ width: 5.2, length: 9.1 }));
    expect(extentOfProfile(square)).toEqual({ left: 0, right: 5.2, low: 0, high: 9.1 });
    const seat = SHEETS.roundPocket.outline!(drawn({ seat: 22.1 }));
    expect(seat.circles).toEqual([{ centre: [0, 0], diameterMm: 22.1 }]);
    const knob = SHEETS.dShaft.outline!(drawn({ bore: 6.1, flat: 4.6, outside: 16 }));
    const flat = extentOfProfile({ loops: knob.loops, circles: [] });
    // From the back of the round to the flat; the round itself is met at the back to a thousandth of its facets.
    expect(flat.right - flat.left).toBeCloseTo(4.6, 1);
    expect(flat.right).toBeCloseTo(4.6 - 6.1 / 2, 9);
  });

  test('a flat that is no flat is refused: it cannot lie beyond the round', () => {
    const { sheet } = workOut('dShaft', { sizes: { shaft: 6, flat: 6.2 } });
    expect(sheet.whole).toBe(false);
    expect(sheet.issues.map(({ code }) => code)).toContain('crossed');
  });

  test('a plate of three holes asks for two distances from the first, and its holes follow the screws', () => {
    const sizes = { pin1: 3, pin2: 3, pin3: 4, right2: 20, right3: 20, up3: 8 };
    const { sheet, target } = workOut('plate', { options: { count: 3, length: 60, width: 40 }, sizes });
    expect(sheet.measures.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['pin1', 'pin2', 'pin3', 'right2', 'right3', 'up2', 'up3']),
    );
    expect(target('right3')).toBe(20);
    expect(target('hole3')).toBeGreaterThan(target('hole1') + 0.9);
  });

  test('a hole that would leave the plate is said', () => {
    const { sheet } = workOut('plate', { sizes: { right2: 80 }, options: { length: 40 } });
    expect(sheet.issues.length).toBeGreaterThan(0);
  });

  test('a panel is as long as its pockets, the walls between them and both ends', () => {
    const sizes = { item1: 2, item2: 3, item3: 4 };
    const { target } = workOut('panel', { sizes, options: { count: 3, wall: 1.5, ends: 3 } });
    const pockets = target('pocket1') + target('pocket2') + target('pocket3');
    expect(target('length')).toBeCloseTo(pockets + 2 * 1.5 + 2 * 3, 9);
  });

  test('half a pocket is none: counts are whole', () => {
    expect(workOut('panel', { options: { count: 2.4 } }).sheet.measures).toHaveLength(2);
  });
});
