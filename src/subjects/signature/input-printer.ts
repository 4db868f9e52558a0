import { z } from 'zod';
import { type Room, type Rooms, type Station, STATIONS } from '@/core/part/findings';
import { idField, optionalNumber, refuse } from '@/subjects/kit/shared';

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

/** A printer: its pixel and light, and the rooms of plate, bath and lamp, all three sides or none. */
export const printerForm = z
  .object({
    printerId: idField('Printer'),
    pixelMm: optionalNumber('Pixel', 'length', {
      low: 0.001,
      high: 1,
      hint: 'Leave blank if unknown, or if anti-aliasing hides it.',
    }),
    lightNm: optionalNumber('Light, nm', 'number', {
      low: 200,
      high: 800,
      hint: 'A resin for a different wavelength may not cure.',
    }),
    layerSeconds: optionalNumber('Time per layer', 'time', {
      low: 0.5,
      high: 600,
      hint: 'Lift and waiting times included.',
    }),
    ...sides,
  })
  .transform(({ printerId, pixelMm = null, lightNm = null, layerSeconds = null, ...given }, context) => {
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
    return whole ? { printerId, facts: { pixelMm, lightNm, layerSeconds, rooms } } : z.NEVER;
  });
