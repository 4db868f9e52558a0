import type { DayStep } from '@/core/print';
import type { CardStep } from './process-card';
import { hoursOfStep } from './process-steps';

/** Names of stations beside the printers. */
export const WASH = 'wash';
export const LAMP = 'lamp';

/** The way of a part from the printer on, as steps of a day: minutes, stations, and when somebody is needed. */
export interface WayOfPart {
  readonly printer: string;
  readonly pieces: number;
  readonly cards: readonly CardStep[];
  /** Plates that the wash takes at once. */
  readonly washLoads: number;
}

/** Minutes of handwork that no card states: usual. */
const PLATE_OFF_MIN = 2;
const HANDLING_MIN = 2;
const MEASURE_MIN = { first: 5, each: 5 } as const;

const minutes = (value: number) => Math.max(1, Math.round(value));

function byHand(id: string, length: number, station?: string): DayStep {
  return { id, station, minutes: minutes(length), attended: true };
}

function stepOf(card: CardStep, { printer, pieces, washLoads }: WayOfPart): DayStep | undefined {
  const hours = hoursOfStep(card, pieces);
  if (hours === undefined) return undefined;
  const { step: id } = card;
  switch (hours.by) {
    case 'hand':
      return byHand(id, hours.minutes);
    case 'waiting':
      return { id, minutes: minutes(hours.minutes) };
    case 'printer':
      return { id, station: printer, minutes: minutes(hours.minutes), attendStartMin: 1, holds: true };
    case 'station': {
      const total = Math.max(2 * HANDLING_MIN, minutes(hours.minutes));
      const shared = hours.share === undefined ? {} : { share: hours.share, shareUpTo: washLoads };
      const station = { wash: WASH, lamp: LAMP }[hours.station];
      return {
        id,
        station,
        minutes: total,
        attendStartMin: HANDLING_MIN,
        attendEndMin: HANDLING_MIN,
        ...shared,
      };
    }
  }
}

/** From the printer to the caliper. The first that is done there frees the printer: its plate goes off. */
export function stepsAfterPrint(way: WayOfPart): DayStep[] {
  const steps = way.cards.flatMap((card) => stepOf(card, way) ?? []);
  const drip = steps.findIndex(({ id }) => id === 'drip');
  const off = byHand('off', PLATE_OFF_MIN, way.printer);
  const placed = drip < 0 ? [off, ...steps] : [...steps.slice(0, drip + 1), off, ...steps.slice(drip + 1)];
  return [...placed, byHand('measure', MEASURE_MIN.first + MEASURE_MIN.each * way.pieces)];
}
