import { type Db, type DeviceCard, queries } from '@/store';
import { findPrinter } from './view-profiles';

/** A device: its numbers, and what it has done so far. */
export interface CardView {
  readonly card: DeviceCard;
  readonly work: { readonly prints: number; readonly layers: number; readonly hours: number };
}

/** The card of a printer; undefined: there is none. */
export function viewCard(db: Db, printerId: number): CardView | undefined {
  const printer = findPrinter(db, printerId);
  return printer && { card: printer.card, work: queries.workOfPrinter(db, printerId) };
}
