import type { DayStep } from '@/core/print';
import type { CardStep } from '@/core/resin';

/** Names of stations beside the printers. */
export const WASH = 'wash';
export const LAMP = 'lamp';

/** A part's way from the printer on, as steps of a day: minutes, stations, and when somebody is needed. */
export interface WayOfPart {
  readonly printer: string;
  readonly pieces: number;
  readonly cards: readonly CardStep[];
  /** Plates that the wash takes at once. */
  readonly washLoads: number;
}

/** Minutes of handwork where no card says any: usual. */
const PLATE_OFF_MIN = 2;
const UNLOAD_MIN = 5;
const EMPTY_VAT_MIN = 15;
const COVER_VAT_MIN = 2;
const SUPPORTS_MIN = { first: 5, each: 3 } as const;
const ASSEMBLE_MIN = 5;
const HANDLING_MIN = 2;
const CURE_MIN = 10;
const COAT_MIN = 20;
const MEASURE_MIN = { first: 5, each: 5 } as const;

const minutes = (value: number) => Math.max(1, Math.round(value));

/** A step that is begun and ended by hand and runs by itself in between. */
function tended(id: string, length: number, station?: string): DayStep {
  const total = Math.max(2 * HANDLING_MIN, minutes(length));
  return { id, station, minutes: total, attendStartMin: HANDLING_MIN, attendEndMin: HANDLING_MIN };
}

function byHand(id: string, length: number, station?: string): DayStep {
  return { id, station, minutes: minutes(length), attended: true };
}

function stepOf(card: CardStep, { printer, pieces, washLoads }: WayOfPart): DayStep | undefined {
  switch (card.step) {
    case 'drip':
      return { id: 'drip', station: printer, minutes: minutes(card.minutes), attendStartMin: 1, holds: true };
    case 'unload':
      return byHand('unload', UNLOAD_MIN);
    case 'vat':
      return byHand('vat', card.how === 'empty' ? EMPTY_VAT_MIN : COVER_VAT_MIN);
    case 'wash':
      return {
        ...tended('wash', card.minutes, WASH),
        share: `${card.liquid} ${minutes(card.minutes)}`,
        shareUpTo: washLoads,
      };
    case 'dry':
      return { id: 'dry', minutes: minutes(card.minutes) };
    case 'supports':
      return byHand('supports', SUPPORTS_MIN.first + SUPPORTS_MIN.each * pieces);
    case 'assemble':
      return byHand('assemble', ASSEMBLE_MIN);
    case 'cure':
      return tended('cure', card.minutes ?? CURE_MIN, LAMP);
    case 'cool':
      return { id: 'cool', minutes: minutes(card.minutes) };
    case 'coat':
      return byHand('coat', COAT_MIN);
    default:
      return undefined;
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
