import {
  freeSize,
  HEIGHT,
  rectangle,
  ROUND_INSIDE,
  ROUND_OUTSIDE,
  wallIssues,
  type Given,
  type SheetDefinition,
} from '../definition';
import { round, depth, mid } from './measures';
import { across, upright, leadIn, mirrored } from './sections';

export const SLEEVE: SheetDefinition = {
  kind: 'sleeve',
  title: 'Sleeve over a peg',
  purpose: 'thickens or protects a peg or rod',
  options: [{ id: 'outer', label: 'Outside diameter', standard: 12, low: 1, high: 500 }],
  measures: () => [round('peg', 'Peg', 'outside', 6), depth('length', 'Sleeve length', 15)],
  interfaces: () => [{ id: 'peg', label: 'over the peg', measure: 'peg', wish: 'slide' }],
  features: ({ size, option, mated }) => [
    mated('bore', 'Bore', ROUND_INSIDE, 'peg'),
    freeSize('outside', 'Outside', ROUND_OUTSIDE, option('outer'), 0.2),
    freeSize('length', 'Length', HEIGHT, size('length'), 0.15),
  ],
  issues: (_, features) => wallIssues(mid(features, 'outside'), mid(features, 'bore')),
  solid: (_, features, idOf) => ({
    kind: 'turned',
    sections: [
      {
        outer: { feature: idOf('outside') },
        inner: { feature: idOf('bore') },
        height: { feature: idOf('length') },
        leadIn: leadIn(mid(features, 'length')!, (mid(features, 'outside')! - mid(features, 'bore')!) / 2, {
          outer: false,
          inner: true,
        }),
      },
    ],
  }),
  drawing: ({ drawn, option }: Given) => {
    const [peg, length] = [drawn('peg'), drawn('length')];
    const outer = Math.max(option('outer'), peg * 1.2);
    return {
      view: 'section',
      bodies: [
        { role: 'neighbour', loop: rectangle(-outer * 0.8, -length * 0.2, outer * 1.6, length * 0.2) },
        { role: 'neighbour', loop: rectangle(-peg / 2, 0, peg, length * 1.15) },
        ...mirrored('part', rectangle(peg / 2, 0, (outer - peg) / 2, length)),
      ],
      circles: [],
      dimensions: [
        across('peg', peg, length * 1.15, length * 0.2),
        upright('length', outer / 2, 0, length, outer * 0.25),
      ],
    };
  },
};
