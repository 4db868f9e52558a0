import type { Corner } from '@/core/fit/solids';
import {
  freeSize,
  rectangle,
  ROUND_INSIDE,
  ROUND_OUTSIDE,
  SLOT,
  STEP,
  type SheetDefinition,
  wallIssues,
} from '../definition';
import { flat } from './measures';

/** A circle with one flat, `across` from the flat to the back. */
function dOutline(diameterMm: number, acrossMm: number): Corner[] {
  const radius = diameterMm / 2;
  const half = Math.acos((acrossMm - radius) / radius);
  return Array.from({ length: 49 }, (_, i): Corner => {
    const angle = half + ((2 * Math.PI - 2 * half) * i) / 48;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
}

export const D_SHAFT: SheetDefinition = {
  kind: 'dShaft',
  title: 'Stem or knob for a D-shaft',
  purpose: 'fits a shaft with one flat',
  options: [
    { id: 'outer', label: 'Knob, outside diameter', standard: 16, low: 2, high: 300 },
    { id: 'spare', label: 'Bore depth beyond the shaft length', standard: 0.5, low: 0, high: 20 },
  ],
  measures: () => [
    {
      id: 'shaft',
      label: 'Round diameter of the shaft',
      sense: 'outside',
      shape: 'round',
      levels: 2,
      turns: 2,
      placeholderMm: 6,
    },
    flat('flat', 'Flat to back', 4.5, { levels: 2 }),
    flat('long', 'Visible shaft length', 9, { levels: 1, turns: 2, sense: 'pitch' }),
  ],
  interfaces: () => [
    { id: 'round', label: 'around the shaft', measure: 'shaft', wish: 'slide' },
    { id: 'flat', label: 'on the flat', measure: 'flat', wish: 'push' },
  ],
  features: ({ size, option, mated }) => {
    const long = size('long');
    return [
      mated('bore', 'Bore', ROUND_INSIDE, 'round'),
      mated('flat', 'Flat to back', SLOT, 'flat'),
      freeSize('depth', 'Bore depth', STEP, long === undefined ? undefined : long + option('spare'), 0.2),
      freeSize('outside', 'Knob', ROUND_OUTSIDE, option('outer'), 0.2),
    ];
  },
  issues: ({ size }, features) => {
    const [shaft, across] = [size('shaft'), size('flat')];
    return [
      ...(shaft !== undefined && across !== undefined && across >= shaft
        ? [
            {
              code: 'crossed',
              outer: 'round of the shaft',
              outerMm: shaft,
              inner: 'flat to the back',
              innerMm: across,
            } as const,
          ]
        : []),
      ...wallIssues(features.get('outside')?.targetMm, features.get('bore')?.targetMm),
    ];
  },
  outline: (drawn) => ({
    view: 'plan',
    loops: [dOutline(drawn('bore'), Math.min(drawn('flat'), drawn('bore') * 0.98))],
    circles: [{ centre: [0, 0], diameterMm: drawn('outside') }],
  }),
  drawing: ({ drawn, option }) => {
    const [shaft, across] = [drawn('shaft'), Math.min(drawn('flat'), drawn('shaft') * 0.98)];
    const radius = shaft / 2;
    const chord = across - radius;
    const arc = dOutline(shaft, across);
    // From its end, and beside that from its side, where its length can be seen.
    const knob = Math.max(option('outer'), shaft * 1.3);
    const [side, long] = [knob / 2 + shaft, drawn('long')];
    return {
      view: 'plan',
      bodies: [
        { role: 'neighbour', loop: arc },
        { role: 'neighbour', loop: rectangle(side, -radius, long, shaft) },
      ],
      circles: [
        { role: 'part', centre: [0, 0], diameterMm: knob },
        { role: 'air', centre: [0, 0], diameterMm: shaft * 1.02 },
      ],
      dimensions: [
        { measure: 'flat', from: [-radius, 0], to: [chord, 0], standOffMm: -shaft * 0.95 },
        { measure: 'shaft', from: [-radius, 0], to: [radius, 0], standOffMm: shaft * 1.45 },
        { measure: 'long', from: [side, radius], to: [side + long, radius], standOffMm: shaft * 0.6 },
      ],
    };
  },
};
