import type { Corner } from '@/core/fit/solids';
import {
  freeSize,
  HEIGHT,
  rectangle,
  ROUND_INSIDE,
  ROUND_OUTSIDE,
  STEP,
  type SheetDefinition,
  wallIssues,
} from '../definition';
import { round, depth, mid } from './measures';
import { across, upright, leadIn, mirrored } from './sections';

export const RING: SheetDefinition = {
  kind: 'ring',
  title: 'Ring or bushing',
  purpose: 'fills the gap between a bore and a shaft',
  options: [
    {
      id: 'proud',
      label: 'Height above the seat (below: negative)',
      standard: 0,
      low: -20,
      high: 50,
    },
    { id: 'shoulder', label: 'Shoulder, outside diameter (0: none)', standard: 0, low: 0, high: 500 },
    { id: 'shoulderThick', label: 'Shoulder, thickness', standard: 1.5, low: 0.4, high: 50 },
  ],
  measures: () => [
    round('bore', 'Bore around it', 'inside', 16),
    round('shaft', 'Shaft in it', 'outside', 9.5),
    depth('depth', 'Seat depth', 6),
  ],
  interfaces: () => [
    { id: 'housing', label: 'in the bore', measure: 'bore', wish: 'push' },
    { id: 'shaft', label: 'on the shaft', measure: 'shaft', wish: 'turn' },
  ],
  features: ({ size, option, mated }) => {
    const height = size('depth');
    const shoulder = option('shoulder') > 0;
    return [
      mated('outside', 'Outside', ROUND_OUTSIDE, 'housing'),
      mated('bore', 'Bore', ROUND_INSIDE, 'shaft'),
      freeSize(
        'height',
        shoulder ? 'Seat length' : 'Height',
        shoulder ? STEP : HEIGHT,
        height === undefined ? undefined : height + option('proud'),
        0.1,
      ),
      ...(shoulder
        ? [
            freeSize('shoulder', 'Shoulder', ROUND_OUTSIDE, option('shoulder'), 0.2),
            freeSize('shoulderThick', 'Shoulder thickness', HEIGHT, option('shoulderThick'), 0.1),
          ]
        : []),
    ];
  },
  issues: ({ size, option }, features) => {
    const [bore, shaft] = [size('bore'), size('shaft')];
    if (bore !== undefined && shaft !== undefined && bore <= shaft)
      return [
        { code: 'crossed', outer: 'bore around it', outerMm: bore, inner: 'shaft in it', innerMm: shaft },
      ];
    const shoulder = option('shoulder');
    const outside = mid(features, 'outside');
    return [
      ...wallIssues(outside, mid(features, 'bore')),
      ...(shoulder > 0 && outside !== undefined && shoulder <= outside
        ? [
            {
              code: 'crossed',
              outer: 'shoulder',
              outerMm: shoulder,
              inner: 'outside',
              innerMm: outside,
            } as const,
          ]
        : []),
    ];
  },
  solid: ({ option }, features, idOf) => {
    const wall = (mid(features, 'outside')! - mid(features, 'bore')!) / 2;
    const body = {
      outer: { feature: idOf('outside') },
      inner: { feature: idOf('bore') },
      height: { feature: idOf('height') },
      leadIn: leadIn(mid(features, 'height')!, wall, { outer: true, inner: true }),
    };
    if (!(option('shoulder') > 0)) return { kind: 'turned', sections: [body] };
    const shoulder = {
      outer: { feature: idOf('shoulder') },
      inner: { feature: idOf('bore') },
      height: { feature: idOf('shoulderThick') },
    };
    return { kind: 'turned', sections: [shoulder, body] };
  },
  drawing: ({ drawn, option }) => {
    const [bore, shaft, seat] = [drawn('bore'), drawn('shaft'), drawn('depth')];
    const rim = bore * 0.22;
    const top = seat + option('proud');
    const collar = option('shoulder') > bore ? option('shoulder') : 0;
    const ring: Corner[] =
      collar === 0
        ? rectangle(shaft / 2, 0, (bore - shaft) / 2, top)
        : [
            [shaft / 2, 0],
            [bore / 2, 0],
            [bore / 2, top],
            [collar / 2, top],
            [collar / 2, top + option('shoulderThick')],
            [shaft / 2, top + option('shoulderThick')],
          ];
    return {
      view: 'section',
      bodies: [
        ...mirrored('neighbour', [
          [bore / 2 - rim / 3, -rim / 2],
          [bore / 2 + rim, -rim / 2],
          [bore / 2 + rim, seat],
          [bore / 2, seat],
          [bore / 2, 0],
          [bore / 2 - rim / 3, 0],
        ]),
        ...mirrored('part', ring),
        { role: 'neighbour', loop: rectangle(-shaft / 2, -seat * 0.6, shaft, seat * 2.2) },
      ],
      circles: [],
      dimensions: [
        across('bore', bore, seat, seat * 0.75),
        across('shaft', shaft, -seat * 0.6, -seat * 0.35),
        upright('depth', bore / 2 + rim, 0, seat, rim),
      ],
    };
  },
};
