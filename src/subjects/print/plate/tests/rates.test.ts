import type { Practices } from '@/core/workshop';
import { describe, expect, test } from '@jest/globals';
import { weighCoupon } from '@/core/print';
import { OPEN_HOUSE } from '@/testing/plate';
import { attendedOf, handsCostOf, printCostOf, ratesOf } from '../rates-of-house';

const houseOf = (schools: Partial<Practices>) => ({
  ...OPEN_HOUSE,
  schools: { ...OPEN_HOUSE.schools, ...schools },
});

describe('what a print takes in this house', () => {
  test('thin gloves cost three pairs, gloves for wet things two, heavy ones three minutes of rinsing', () => {
    const { glovePair, perPrint } = OPEN_HOUSE.run;
    const pairs = (gloves: Practices['gloves']) =>
      (ratesOf(houseOf({ gloves })).perPrint - perPrint) / glovePair;
    expect([pairs('thin'), pairs('wetOnly'), pairs('heavy')].map(Math.round)).toEqual([3, 2, 0]);
    const minutes = (schools: Partial<Practices>) => attendedOf(houseOf(schools)).printMin;
    expect(minutes({ gloves: 'heavy' }) - minutes({ gloves: 'thin' })).toBe(3);
    expect(minutes({ filmTreatment: 'repellent' }) - minutes({})).toBe(5);
  });

  test('a filter costs coal by the hour, a window none', () => {
    const hour = (air: Practices['air']) => ratesOf(houseOf({ air })).machineHour;
    expect(hour('filter') - hour('window')).toBeCloseTo(OPEN_HOUSE.run.coalHour, 12);
  });

  test('machine, resin, film and throwaway things by hand: 2 h, 40 ml, 1000 layers', () => {
    const house = houseOf({ gloves: 'heavy', air: 'window' });
    const forecast = {
      finish: { middleS: 7200, earlyS: 7000, lateS: 7400 },
      resinMl: 40,
      layers: 1000,
    };
    // 2 × 1 + 0.04 × 50 + 0.6 + 1000 × 0.001
    expect(printCostOf(house, forecast)).toBeCloseTo(5.6, 9);
    // 38 min and two pieces of 8 at 40 an hour
    expect(handsCostOf(house, 2)).toBeCloseTo((54 / 60) * 40, 9);
  });
});

test('a small print first pays where it saves more than it costs', () => {
  const chances = { before: 0.4, after: 0.9, couponCost: 20 };
  const long = weighCoupon({ ...chances, partCost: 60 });
  expect(long.saves).toBeCloseTo(30, 12);
  expect(long.isAdvised).toBe(true);
  expect(weighCoupon({ ...chances, partCost: 30 }).isAdvised).toBe(false);
});
