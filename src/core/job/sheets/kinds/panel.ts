import type { Corner } from '@/core/fit/solids';
import { freeSize, HEIGHT, rectangle, SLOT, wallIssues, type SheetDefinition } from '../definition';
import { flat, numbered } from './measures';

export const PANEL: SheetDefinition = {
  kind: 'panel',
  title: 'Panel with a row of pockets',
  purpose: 'holds bought parts side by side: terminals, blades, cards',
  options: [
    { id: 'count', label: 'Number of pockets', standard: 4, low: 1, high: 12, whole: true },
    { id: 'wall', label: 'Wall between pockets', standard: 1.6, low: 0.4, high: 30 },
    { id: 'ends', label: 'Wall at each end', standard: 3, low: 0.4, high: 60 },
    { id: 'deep', label: 'Block depth', standard: 16, low: 2, high: 200 },
    { id: 'high', label: 'Block, height', standard: 8, low: 1, high: 200 },
  ],
  measures: (option) =>
    numbered(option('count')).map((i) => flat(`item${i}`, `Part ${i}, width`, 3 + i, { levels: 2 })),
  interfaces: (option) =>
    numbered(option('count')).map((i) => ({
      id: `item${i}`,
      label: `pocket ${i}`,
      measure: `item${i}`,
      wish: 'push' as const,
    })),
  features: ({ option, mated, size }) => {
    const pockets = numbered(option('count')).map((i) =>
      mated(`pocket${i}`, `Pocket ${i}`, SLOT, `item${i}`),
    );
    const all = numbered(option('count')).every((i) => size(`item${i}`) !== undefined);
    const widths = pockets.reduce((sum, pocket) => sum + (pocket?.targetMm ?? 0), 0);
    const length = widths + option('wall') * (option('count') - 1) + 2 * option('ends');
    return [
      ...pockets,
      freeSize(
        'length',
        'Length',
        { sense: 'outside', shape: 'flat', axis: 'X' },
        all ? length : undefined,
        0.15,
      ),
      freeSize('high', 'Height', HEIGHT, option('high'), 0.1),
    ];
  },
  issues: ({ option }) => wallIssues(2 * option('wall'), 0),
  solid: ({ option }, _, idOf) => ({
    kind: 'comb',
    length: idOf('length'),
    height: idOf('high'),
    pockets: numbered(option('count')).map((i) => idOf(`pocket${i}`)),
    wallMm: option('wall'),
    depthMm: option('deep'),
  }),
  drawing: ({ drawn, option }) => {
    const [wall, ends, deep] = [option('wall'), option('ends'), option('deep')];
    let at = ends;
    const spans = numbered(option('count')).map((i) => {
      const from = at;
      at += drawn(`item${i}`) + wall;
      return { i, from, to: from + drawn(`item${i}`) };
    });
    const length = at - wall + ends;
    const slots = spans.flatMap(({ from, to }): Corner[] => [
      [from, 0],
      [from, deep / 2],
      [to, deep / 2],
      [to, 0],
    ]);
    return {
      view: 'plan',
      bodies: [
        { role: 'part', loop: [[0, 0], ...slots, [length, 0], [length, deep], [0, deep]] },
        ...spans.map(({ from, to }) => ({
          role: 'neighbour' as const,
          loop: rectangle(from, -deep * 0.55, to - from, deep * 0.5),
        })),
      ],
      circles: [],
      dimensions: spans.map(({ i, from, to }) => ({
        measure: `item${i}`,
        from: [from, -deep * 0.55] as Corner,
        to: [to, -deep * 0.55] as Corner,
        standOffMm: -deep * (i % 2 === 0 ? 0.42 : 0.18),
      })),
    };
  },
};
