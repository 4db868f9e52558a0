import type { Corner } from '@/core/fit/solids';
import { freeSize, HEIGHT, rectangle, ROUND_INSIDE, wallIssues, type SheetDefinition } from '../definition';
import { flat, numbered } from './measures';

const HOLES = { id: 'count', label: 'Number of holes', standard: 2, low: 1, high: 8, whole: true };

export const PLATE: SheetDefinition = {
  kind: 'plate',
  title: 'Plate with holes',
  purpose: 'holds several screws or pins at their centre distances',
  options: [
    HOLES,
    { id: 'length', label: 'Length', standard: 40, low: 2, high: 500 },
    { id: 'width', label: 'Width', standard: 20, low: 2, high: 500 },
    { id: 'thick', label: 'Thickness', standard: 3, low: 0.4, high: 50 },
    { id: 'edgeX', label: 'First hole from the left edge', standard: 10, low: 0, high: 500 },
    { id: 'edgeY', label: 'First hole from the lower edge', standard: 10, low: 0, high: 500 },
  ],
  measures: (option) =>
    numbered(option('count')).flatMap((i) => [
      {
        id: `pin${i}`,
        label: `Screw or pin ${i}`,
        sense: 'outside',
        shape: 'round',
        levels: 1,
        turns: 2,
        placeholderMm: 4,
      } as const,
      ...(i === 1
        ? []
        : [
            flat(`right${i}`, `From 1 to ${i}, to the right`, 20 * (i - 1), {
              sense: 'pitch',
              levels: 1,
              turns: 2,
            }),
            flat(`up${i}`, `From 1 to ${i}, upwards`, 0, {
              sense: 'pitch',
              levels: 1,
              turns: 2,
              optional: true,
            }),
          ]),
    ]),
  interfaces: (option) =>
    numbered(option('count')).map((i) => ({
      id: `pin${i}`,
      label: `on screw or pin ${i}`,
      measure: `pin${i}`,
      wish: 'slide' as const,
    })),
  features: ({ size, option, mated }) => [
    ...numbered(option('count')).flatMap((i) => [
      mated(`hole${i}`, `Hole ${i}`, ROUND_INSIDE, `pin${i}`),
      ...(i === 1
        ? []
        : [
            freeSize(
              `right${i}`,
              `Centres 1–${i}, along`,
              { sense: 'pitch', shape: 'flat', axis: 'X' },
              size(`right${i}`),
              0.1,
            ),
            freeSize(
              `up${i}`,
              `Centres 1–${i}, across`,
              { sense: 'pitch', shape: 'flat', axis: 'Y' },
              size(`up${i}`),
              0.1,
            ),
          ]),
    ]),
    freeSize('thick', 'Thickness', HEIGHT, option('thick'), 0.1),
  ],
  issues: ({ drawn, option }, features) =>
    numbered(option('count')).flatMap((i) => {
      const hole = features.get(`hole${i}`);
      if (hole === undefined) return [];
      const x = option('edgeX') + (i === 1 ? 0 : drawn(`right${i}`));
      const y = option('edgeY') + (i === 1 ? 0 : drawn(`up${i}`));
      const edge = Math.min(x, option('length') - x, y, option('width') - y);
      return wallIssues(2 * edge, hole.targetMm);
    }),
  solid: ({ option }, features, idOf) => ({
    kind: 'plate',
    length: { mm: option('length') },
    width: { mm: option('width') },
    thickness: { feature: idOf('thick') },
    holes: numbered(option('count')).map((i) => ({
      diameter: { feature: idOf(`hole${i}`) },
      x: i === 1 ? { mm: option('edgeX') } : { feature: idOf(`right${i}`) },
      y: i === 1 ? { mm: option('edgeY') } : features.has(`up${i}`) ? { feature: idOf(`up${i}`) } : { mm: 0 },
    })),
  }),
  drawing: ({ drawn, option }) => {
    const [length, width] = [option('length'), option('width')];
    const place = (i: number): Corner => [
      option('edgeX') + (i === 1 ? 0 : drawn(`right${i}`)),
      option('edgeY') + (i === 1 ? 0 : drawn(`up${i}`)),
    ];
    return {
      view: 'plan',
      bodies: [{ role: 'part', loop: rectangle(0, 0, length, width) }],
      circles: numbered(option('count')).map((i) => ({
        role: 'neighbour' as const,
        centre: place(i),
        diameterMm: drawn(`pin${i}`),
      })),
      dimensions: numbered(option('count')).flatMap((i) => {
        const [x, y] = place(i);
        const radius = drawn(`pin${i}`) / 2;
        const pin = {
          measure: `pin${i}`,
          from: [x - radius, y] as Corner,
          to: [x + radius, y] as Corner,
          standOffMm: width * 0.28,
        };
        if (i === 1) return [pin];
        const [x1, y1] = place(1);
        return [
          pin,
          {
            measure: `right${i}`,
            from: [x1, 0] as Corner,
            to: [x, 0] as Corner,
            standOffMm: -width * (0.05 + 0.16 * (i - 1)),
          },
          {
            measure: `up${i}`,
            from: [length, y1] as Corner,
            to: [length, y] as Corner,
            standOffMm: length * 0.06 * (i - 1),
          },
        ];
      }),
    };
  },
};
