import { freeSize, ROUND_INSIDE, STEP, type SheetDefinition } from '../definition';
import { flat } from './measures';
import { POCKET } from './pocket';

export const ROUND_POCKET: SheetDefinition = {
  kind: 'roundPocket',
  title: 'Round pocket',
  purpose: 'holds a bearing, a magnet, a dowel pin or another round part',
  options: [{ id: 'spare', label: 'Extra depth beyond the part', standard: 0, low: -20, high: 50 }],
  measures: () => [
    {
      id: 'diameter',
      label: 'Part diameter',
      sense: 'outside',
      shape: 'round',
      levels: 2,
      turns: 2,
      placeholderMm: 10,
    },
    flat('thick', 'Part height', 4, { levels: 1, turns: 2 }),
  ],
  interfaces: () => [{ id: 'seat', label: 'in the pocket', measure: 'diameter', wish: 'push' }],
  features: ({ size, option, mated }) => {
    const thick = size('thick');
    return [
      mated('seat', 'Pocket', ROUND_INSIDE, 'seat'),
      freeSize('depth', 'Pocket depth', STEP, thick === undefined ? undefined : thick + option('spare'), 0.1),
    ];
  },
  issues: (_, features) => {
    const deep = features.get('depth')?.targetMm;
    return deep !== undefined && deep <= 0 ? [{ code: 'nothingLeft', name: 'Pocket depth', mm: deep }] : [];
  },
  outline: (drawn) => ({
    view: 'plan',
    loops: [],
    circles: [{ centre: [0, 0], diameterMm: drawn('seat') }],
  }),
  drawing: (given) => {
    const width = given.drawn('diameter');
    const inner = { ...given, drawn: (id: string) => (id === 'width' ? width : given.drawn(id)) };
    const { bodies, dimensions } = POCKET.drawing(inner);
    return {
      view: 'section',
      bodies,
      circles: [],
      dimensions: dimensions.flatMap((line) =>
        line.measure === 'length' ? [] : [line.measure === 'width' ? { ...line, measure: 'diameter' } : line],
      ),
    };
  },
};
