import { freeSize, rectangle, SLOT, SLOT_ACROSS, STEP, type SheetDefinition } from '../definition';
import { flat } from './measures';

export const POCKET: SheetDefinition = {
  kind: 'pocket',
  title: 'Pocket for a bought part',
  purpose: 'holds a terminal, a square nut or a block with flat sides',
  options: [{ id: 'spare', label: 'Extra depth beyond the part', standard: 0.2, low: -20, high: 50 }],
  measures: () => [
    flat('width', 'Part width', 6),
    flat('length', 'Part length', 10, { optional: true }),
    flat('thick', 'Part thickness', 3, { levels: 1, turns: 2 }),
  ],
  interfaces: () => [
    { id: 'width', label: 'across the width', measure: 'width', wish: 'push' },
    { id: 'length', label: 'along the length', measure: 'length', wish: 'slide' },
  ],
  features: ({ size, option, mated }) => {
    const thick = size('thick');
    return [
      mated('width', 'Pocket width', SLOT, 'width'),
      mated('length', 'Pocket length', SLOT_ACROSS, 'length'),
      freeSize(
        'depth',
        'Pocket depth',
        STEP,
        thick === undefined ? undefined : thick + option('spare'),
        0.15,
      ),
    ];
  },
  issues: (_, features) => {
    const deep = features.get('depth')?.targetMm;
    return deep !== undefined && deep <= 0 ? [{ code: 'nothingLeft', name: 'Pocket depth', mm: deep }] : [];
  },
  outline: (drawn) => ({
    view: 'plan',
    loops: [rectangle(0, 0, drawn('width'), drawn('length'))],
    circles: [],
  }),
  drawing: ({ drawn, option }) => {
    const [width, thick] = [drawn('width'), drawn('thick')];
    const deep = Math.max(0.1, thick + option('spare'));
    const rim = width * 0.4;
    return {
      view: 'section',
      bodies: [
        {
          role: 'part',
          loop: [
            [-width / 2 - rim, -deep - rim / 2],
            [width / 2 + rim, -deep - rim / 2],
            [width / 2 + rim, 0],
            [width / 2, 0],
            [width / 2, -deep],
            [-width / 2, -deep],
            [-width / 2, 0],
            [-width / 2 - rim, 0],
          ],
        },
        { role: 'neighbour', loop: rectangle(-width / 2, rim * 0.5, width, thick) },
      ],
      circles: [],
      dimensions: [
        {
          measure: 'width',
          from: [-width / 2, rim * 0.5 + thick],
          to: [width / 2, rim * 0.5 + thick],
          standOffMm: rim * 0.5,
        },
        {
          measure: 'thick',
          from: [width / 2, rim * 0.5],
          to: [width / 2, rim * 0.5 + thick],
          standOffMm: rim * 0.5,
        },
        {
          measure: 'length',
          from: [-width / 2 - rim, -deep - rim / 2],
          to: [width / 2 + rim, -deep - rim / 2],
          standOffMm: -rim * 0.5,
        },
      ],
    };
  },
};
