import { freeSize, HEIGHT, rectangle, ROUND_OUTSIDE, STEP, type SheetDefinition } from '../definition';
import { round, depth, mid } from './measures';
import { across, upright, leadIn, mirrored } from './sections';

export const PLUG: SheetDefinition = {
  kind: 'plug',
  title: 'Plug',
  purpose: 'closes a hole, with a visible head',
  options: [
    { id: 'head', label: 'Head, diameter', standard: 14, low: 1, high: 500 },
    { id: 'headThick', label: 'Head, thickness', standard: 2, low: 0.4, high: 50 },
  ],
  measures: () => [round('hole', 'Hole to close', 'inside', 10), depth('depth', 'Hole depth', 8)],
  interfaces: () => [{ id: 'hole', label: 'in the hole', measure: 'hole', wish: 'push' }],
  features: ({ size, option, mated }) => {
    const deep = size('depth');
    return [
      mated('stem', 'Stem', ROUND_OUTSIDE, 'hole'),
      // Half a millimetre short, so that the head seats before the stem bottoms.
      freeSize('stemLength', 'Stem length', STEP, deep === undefined ? undefined : deep - 0.5, 0.2),
      freeSize('head', 'Head', ROUND_OUTSIDE, option('head'), 0.2),
      freeSize('headThick', 'Head thickness', HEIGHT, option('headThick'), 0.1),
    ];
  },
  issues: ({ size, option }, features) => {
    const hole = size('hole');
    const length = mid(features, 'stemLength');
    return [
      ...(hole !== undefined && option('head') <= hole
        ? [{ code: 'crossed', outer: 'head', outerMm: option('head'), inner: 'hole', innerMm: hole } as const]
        : []),
      ...(length !== undefined && length <= 0
        ? [{ code: 'nothingLeft', name: 'Stem length', mm: length } as const]
        : []),
    ];
  },
  solid: (_, features, idOf) => ({
    kind: 'turned',
    sections: [
      { outer: { feature: idOf('head') }, height: { feature: idOf('headThick') } },
      {
        outer: { feature: idOf('stem') },
        height: { feature: idOf('stemLength') },
        leadIn: leadIn(mid(features, 'stemLength')!, mid(features, 'stem')! / 2, {
          outer: true,
          inner: false,
        }),
      },
    ],
  }),
  drawing: ({ drawn, option }) => {
    const [hole, deep, head] = [
      drawn('hole'),
      drawn('depth'),
      Math.max(option('head'), drawn('hole') * 1.05),
    ];
    const rim = hole * 0.6;
    return {
      view: 'section',
      bodies: [
        ...mirrored('neighbour', rectangle(hole / 2, -deep, rim, deep)),
        { role: 'part', loop: rectangle(-hole / 2, 0.5 - deep, hole, deep - 0.5) },
        { role: 'part', loop: rectangle(-head / 2, 0, head, option('headThick')) },
      ],
      circles: [],
      dimensions: [
        across('hole', hole, -deep, -deep * 0.35),
        upright('depth', hole / 2 + rim, -deep, 0, rim * 0.5),
      ],
    };
  },
};
