import { z } from 'zod';
import { type Room, type Rooms, STATIONS } from '@/core/findings';
import { numberField, optionalNumber } from '@/subjects/language/shared';

const side = () => optionalNumber(1, 5000);

/** Rooms of a printer's plate, bath and lamp: all three sides or none. */
export const stationsForm = z
  .object({
    printerId: numberField(1, 1e9),
    layerSeconds: optionalNumber(0.5, 600),
    plate0: side(),
    plate1: side(),
    plate2: side(),
    wash0: side(),
    wash1: side(),
    wash2: side(),
    lamp0: side(),
    lamp1: side(),
    lamp2: side(),
  })
  .transform(({ printerId, layerSeconds, ...sides }, context) => {
    const rooms: { -readonly [Name in keyof Rooms]: Room } = {};
    for (const station of STATIONS) {
      const given = ([0, 1, 2] as const).map((i) => sides[`${station}${i}`]);
      const missing = given.findIndex((value) => value === undefined);
      if (missing < 0) rooms[station] = given as unknown as Room;
      else if (given.some((value) => value !== undefined)) {
        context.addIssue({
          code: 'custom',
          path: [`${station}${missing}`],
          params: { issue: { code: 'blank' } },
        });
        return z.NEVER;
      }
    }
    return { printerId, layerSeconds, rooms };
  });
