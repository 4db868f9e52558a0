import { chanceOfCopy, countCopies, learnCommonShare } from '@/core/log';
import { groupBy, keepAnswer } from '@/core/kit';
import { type Db, queries } from '@/store';

/** How often pieces come out whole on a printer, and what that is known by. */
export interface PrintChance {
  /** Chance that one piece comes out whole. */
  readonly p: number;
  /** 95 % of it. */
  readonly low: number;
  readonly high: number;
  /** Plates that ended on it. */
  readonly plates: number;
  /** Of all plates of the workshop: share of the lost pieces that are lost with their whole plate. */
  readonly commonShare: number;
}

/**
 * Returns the chances of all printers from the log: each printer's own plates, drawn towards the others if few plates
 * speak for it, and towards a typical printer before there are any.
 */
export function printChances(db: Db, usualShare: number): (printerId: number) => PrintChance {
  return keepAnswer(db, ['chances', usualShare, queries.logKey(db)], () => learnChances(db, usualShare));
}

function learnChances(db: Db, usualShare: number): (printerId: number) => PrintChance {
  const byPrinter = groupBy(queries.countPlates(db), ({ printerId }) => printerId);
  const { mean: commonShare } = learnCommonShare([...byPrinter.values()].flat(), usualShare);
  const ids = [...byPrinter.keys()];
  const none = { k: 0, n: 0 };
  const counts = ids.map((id) => countCopies(byPrinter.get(id)!, commonShare));
  const rates = chanceOfCopy([...counts, none]);
  return (printerId) => {
    const at = ids.indexOf(printerId);
    const { mean: p, low, high } = at < 0 ? rates[ids.length] : rates[at];
    return {
      p,
      low,
      high,
      plates: byPrinter.get(printerId)?.length ?? 0,
      commonShare,
    };
  };
}
