import {
  freeSize,
  HEIGHT,
  rectangle,
  ROUND_INSIDE,
  ROUND_OUTSIDE,
  STEP,
  wallIssues,
  type SheetDefinition,
} from '../definition';
import { round, depth, mid } from './measures';
import { across, upright, leadIn, mirrored } from './sections';

export const CAP: SheetDefinition = {
  kind: 'cap',
  title: 'Cap',
  purpose: 'goes over the end of a tube or rod',
  options: [
    { id: 'wall', label: 'Wall', standard: 2, low: 0.4, high: 50 },
    { id: 'floor', label: 'Floor', standard: 2, low: 0.4, high: 50 },
  ],
  measures: () => [round('tube', 'Tube or rod', 'outside', 12), depth('reach', 'Overlap of the cap', 8)],
  interfaces: () => [{ id: 'tube', label: 'over the tube', measure: 'tube', wish: 'push' }],
  features: ({ size, option, mated }) => {
    const bore = mated('bore', 'Bore', ROUND_INSIDE, 'tube');
    return [
      bore,
      freeSize('depth', 'Depth', STEP, size('reach'), 0.15),
      freeSize(
        'outside',
        'Outside',
        ROUND_OUTSIDE,
        bore === undefined ? undefined : bore.targetMm + 2 * option('wall'),
        0.2,
      ),
      freeSize('floor', 'Floor', HEIGHT, option('floor'), 0.1),
    ];
  },
  issues: (_, features) => wallIssues(mid(features, 'outside'), mid(features, 'bore')),
  solid: ({ option }, features, idOf) => ({
    kind: 'turned',
    sections: [
      { outer: { feature: idOf('outside') }, height: { feature: idOf('floor') } },
      {
        outer: { feature: idOf('outside') },
        inner: { feature: idOf('bore') },
        height: { feature: idOf('depth') },
        leadIn: leadIn(mid(features, 'depth')!, option('wall'), { outer: false, inner: true }),
      },
    ],
  }),
  drawing: ({ drawn, option }) => {
    const [tube, reach, wall, floor] = [drawn('tube'), drawn('reach'), option('wall'), option('floor')];
    return {
      view: 'section',
      bodies: [
        ...mirrored('neighbour', rectangle(tube * 0.36, -reach, tube * 0.14, reach * 2)),
        {
          role: 'part',
          loop: [
            [-tube / 2 - wall, 0],
            [-tube / 2, 0],
            [-tube / 2, reach],
            [tube / 2, reach],
            [tube / 2, 0],
            [tube / 2 + wall, 0],
            [tube / 2 + wall, reach + floor],
            [-tube / 2 - wall, reach + floor],
          ],
        },
      ],
      circles: [],
      dimensions: [
        across('tube', tube, -reach, -reach * 0.35),
        upright('reach', tube / 2 + wall, 0, reach, tube * 0.25),
      ],
    };
  },
};
