import { formatMm } from '@/core/kit/wording';
import { type FindingContext, type FindingDefinition, type FindingFacts, PLAIN } from '../finding';
import { fitStations, type Room, STATION_WORDS, STATIONS } from '../limits';

const sorted = (sides: Room): number[] => [...sides].sort((a, b) => a - b);

function findTooLarge({ check: { bounds }, limits: { rooms }, liftMm }: FindingContext): FindingFacts[] {
  const size = [0, 1, 2].map((i) => bounds.max[i] - bounds.min[i]) as unknown as Room;
  const fits = fitStations(size, liftMm, rooms);
  return STATIONS.flatMap((station): FindingFacts[] => {
    const room = rooms[station];
    if (room === undefined || fits[station] === true) return [];
    const standing: Room = [size[0], size[1], size[2] + liftMm];
    const [part, free] = station === 'plate' ? [standing, room] : [sorted(size), sorted(room)];
    const over = Math.max(...part.map((side, i) => side - free[i]));
    const risk = station === 'plate' ? 'printLost' : 'sizeOff';
    return [{ risk, chance: 'sure', measured: Math.max(over, 0), station }];
  });
}

export const TOO_LARGE: FindingDefinition = {
  ...PLAIN,
  unit: 'mm',
  find: findTooLarge,
  words: ({ station = 'plate', measured }) => {
    const title = `Too large for the ${STATION_WORDS[station]} by ${formatMm(measured, 1)} mm`;
    return station === 'plate'
      ? {
          title,
          does: 'It cannot be printed in this orientation.',
          mend: 'Turn the part, split it in two, or make it smaller.',
          changes:
            'Orientation below shows which orientations fit. Two halves need a joint, so you design one more fit.',
        }
      : {
          title,
          does: 'A part that does not fit the bath or the lamp stays sticky or cures unevenly, and curing changes its sizes.',
          mend: 'Use a larger bath, turn the part by hand under the lamp, or print it in two pieces.',
          changes:
            'A part cured in two turns prints different sizes. Measure it so that the signature learns them.',
        };
  },
};
