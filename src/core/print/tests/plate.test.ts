import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { findPlaceIssues, type Footprint, halfSides, packPlate } from '../pack-plate';

const PLATE = { widthMm: 120, depthMm: 68, gapMm: 1 };

const lying = (things: readonly Footprint[], placed: ReturnType<typeof packPlate>['placed']) =>
  placed.map((copy) => ({ ...things.find(({ id }) => id === copy.id)!, ...copy }));

describe('packing a plate', () => {
  test('whatever is packed lies on the plate, apart by the gap, and nothing is lost', () => {
    const thing = fc.record({
      widthMm: fc.double({ min: 2, max: 90, noNaN: true }),
      depthMm: fc.double({ min: 2, max: 90, noNaN: true }),
      copies: fc.integer({ min: 0, max: 6 }),
    });
    fc.assert(
      fc.property(
        fc.array(thing, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (sizes, gapMm) => {
          const things = sizes.map((size, id) => ({ ...size, id }));
          const room = { ...PLATE, gapMm };
          const { placed, leftOut } = packPlate(things, room);
          expect(findPlaceIssues(lying(things, placed), room).size).toBe(0);
          for (const { id, copies } of things)
            expect(placed.filter((copy) => copy.id === id).length + (leftOut.get(id) ?? 0)).toBe(copies);
        },
      ),
      { seed: 3, numRuns: 150 },
    );
  });

  test('twelve racks of 28 × 20 fill a plate of 120 × 68 that takes four by three', () => {
    const { placed, leftOut } = packPlate([{ id: 1, widthMm: 28, depthMm: 20, copies: 13 }], PLATE);
    expect(placed).toHaveLength(12);
    expect(leftOut.get(1)).toBe(1);
  });

  test('a long piece is turned where only that lets it in', () => {
    const { placed } = packPlate([{ id: 1, widthMm: 40, depthMm: 110, copies: 1 }], PLATE);
    expect(placed[0].isTurned).toBe(true);
    expect(halfSides({ widthMm: 40, depthMm: 110, ...placed[0] })).toEqual([55, 20]);
  });

  test('a thousand copies are packed as far as they go; none are asked for, none lie there', () => {
    const thing = { id: 1, widthMm: 5, depthMm: 5 };
    const many = packPlate([{ ...thing, copies: 1000 }], PLATE);
    expect(many.placed.length).toBeGreaterThan(200);
    expect(many.placed.length + many.leftOut.get(1)!).toBe(1000);
    expect(packPlate([{ ...thing, copies: 0 }], PLATE).placed).toEqual([]);
  });

  test('what hangs over the edge or lies too near another is told apart', () => {
    const piece = { widthMm: 20, depthMm: 10, isTurned: false };
    const issues = findPlaceIssues(
      [
        { ...piece, xMm: 55, yMm: 0 },
        { ...piece, xMm: 0, yMm: 0 },
        { ...piece, xMm: 20.5, yMm: 0 },
        { ...piece, xMm: -30, yMm: 0 },
      ],
      PLATE,
    );
    expect([...issues]).toEqual([
      [0, 'offPlate'],
      [1, 'tooNear'],
      [2, 'tooNear'],
    ]);
  });
});
