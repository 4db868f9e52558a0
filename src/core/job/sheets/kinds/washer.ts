import {
  freeSize,
  HEIGHT,
  rectangle,
  ROUND_INSIDE,
  ROUND_OUTSIDE,
  wallIssues,
  type SheetDefinition,
} from '../definition';
import { round, depth, mid } from './measures';
import { across, upright, leadIn, mirrored } from './sections';

export const WASHER: SheetDefinition = {
  kind: 'washer',
  title: 'Spacer or washer',
  purpose: 'keeps two faces apart, on a bolt or shaft',
  options: [{ id: 'outer', label: 'Outside diameter', standard: 16, low: 1, high: 500 }],
  measures: () => [
    round('shaft', 'Bolt or shaft diameter', 'outside', 8),
    depth('space', 'Gap between the faces', 3),
  ],
  interfaces: () => [
    { id: 'shaft', label: 'on the shaft', measure: 'shaft', wish: 'slide' },
    { id: 'faces', label: 'between the faces', measure: 'space', wish: 'slide' },
  ],
  features: ({ option, mated }) => [
    mated('bore', 'Bore', ROUND_INSIDE, 'shaft'),
    mated('thickness', 'Thickness', HEIGHT, 'faces'),
    freeSize('outside', 'Outside', ROUND_OUTSIDE, option('outer'), 0.2),
  ],
  issues: (_, features) => wallIssues(mid(features, 'outside'), mid(features, 'bore')),
  solid: (_, features, idOf) => ({
    kind: 'turned',
    sections: [
      {
        outer: { feature: idOf('outside') },
        inner: { feature: idOf('bore') },
        height: { feature: idOf('thickness') },
        leadIn: leadIn(
          mid(features, 'thickness')!,
          (mid(features, 'outside')! - mid(features, 'bore')!) / 2,
          {
            outer: false,
            inner: true,
          },
        ),
      },
    ],
  }),
  drawing: ({ drawn, option }) => {
    const [shaft, space, outer] = [
      drawn('shaft'),
      drawn('space'),
      Math.max(option('outer'), drawn('shaft') * 1.2),
    ];
    const face = Math.max(space, outer * 0.15);
    return {
      view: 'section',
      bodies: [
        ...mirrored('neighbour', rectangle(shaft / 2, -face, outer * 0.65, face)),
        ...mirrored('neighbour', rectangle(shaft / 2, space, outer * 0.65, face)),
        ...mirrored('part', rectangle(shaft / 2, 0, (outer - shaft) / 2, space)),
        { role: 'neighbour', loop: rectangle(-shaft / 2, -face * 1.6, shaft, space + face * 3.2) },
      ],
      circles: [],
      dimensions: [
        across('shaft', shaft, space + face * 1.6, face * 0.7),
        upright('space', shaft / 2 + outer * 0.65, 0, space, outer * 0.15),
      ],
    };
  },
};
