import { z } from 'zod';
import { type Room, type Rooms, type Station, STATIONS } from '@/core/findings';
import { idField, optionalNumber, refuse } from '@/subjects/language/shared';

const SIDES = ['Length', 'Width', 'Height'] as const;
const STATION_NAMES: Readonly<Record<Station, string>> = {
  plate: 'build plate',
  wash: 'wash',
  lamp: 'curing lamp',
};

type SideField = `${Station}${0 | 1 | 2}`;

const sides = Object.fromEntries(
  STATIONS.flatMap((station) =>
    SIDES.map((side, i) => [
      `${station}${i}`,
      optionalNumber(`${side}, ${STATION_NAMES[station]}`, 'length', { low: 1, high: 5000 }),
    ]),
  ),
) as Record<SideField, ReturnType<typeof optionalNumber>>;

/** Rooms of a printer's plate, bath and lamp: all three sides or none. */
export const stationsForm = z
  .object({
    printerId: idField('Printer'),
    layerSeconds: optionalNumber('A layer takes', 'time', { low: 0.5, high: 600 }),
    ...sides,
  })
  .transform(({ printerId, layerSeconds, ...given }, context) => {
    const rooms: { -readonly [Name in keyof Rooms]: Room } = {};
    let whole = true;
    for (const station of STATIONS) {
      const room = ([0, 1, 2] as const).map((i) => given[`${station}${i}`]);
      if (room.every((side) => side === undefined)) continue;
      room.forEach((side, i) => {
        if (side !== undefined) return;
        whole = false;
        refuse(context, { code: 'blank' }, `${station}${i}`);
      });
      rooms[station] = room as unknown as Room;
    }
    return whole ? { printerId, layerSeconds, rooms } : z.NEVER;
  });
