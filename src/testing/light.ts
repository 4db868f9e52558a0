import { type SeededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import {
  bracketExposures,
  type BracketOutcome,
  fitWorkingCurve,
  learnEdgeLaw,
  readBracket,
  zeroRatio,
} from '@/core/exposure';
import {
  edgeGrowthOf,
  exposedBy,
  holds,
  openSlot,
  stripThickness,
  type VirtualPrinter,
} from '@/core/simulated';

const SLOT_MM = 0.2;
const STRIPS = [0.8, 1.2, 1.8, 2.7, 4];
/** A caliper of 0.02: its bias, mm. */
const BIAS_SD_MM = 0.0115;
/** Edges as a block tells them, and as one small gauge does, mm. */
const BLOCK_SD_MM = 0.008;
const GAUGE_SD_MM = 0.012;

/** What an exposure that was chosen does on a simulated printer. */
export interface Chosen {
  readonly holds: boolean;
  readonly edgeMm: number;
}

function chosenAt(printer: VirtualPrinter, ratio: number): Chosen {
  const exposed = exposedBy(printer, ratio);
  return { holds: holds(exposed), edgeMm: edgeGrowthOf(exposed) };
}

/**
 * Strips measured once, edges known from a block, and the exposure that the change then takes as true; its steps are
 * not limited.
 */
export function changeExposureOnce(printer: VirtualPrinter, random: SeededRandom): Chosen {
  const strips = STRIPS.flatMap((exposure) => {
    const mm = stripThickness(printer, exposure, String(exposure));
    return mm === 0 ? [] : [{ exposure, depthMm: mm + 0.005 * random.normal() }];
  });
  const curve = expectOk(fitWorkingCurve(strips, () => BIAS_SD_MM));
  const edgeMm = edgeGrowthOf(printer) + BLOCK_SD_MM * random.normal();
  const law = expectOk(
    learnEdgeLaw({
      exposureS: 1,
      prior: { mean: 0.03, sd: 0.05 },
      observations: [{ exposureS: 1, edgeMm, sdMm: BLOCK_SD_MM }],
      zeroNear: { lnS: curve.lnEc + Math.LN2, sdLn: Math.hypot(curve.lnEcSd, 0.15) },
    }),
  );
  return chosenAt(printer, zeroRatio(law).median);
}

/** A small gauge printed at so many times the printer's exposure, and read. */
function printGauge(printer: VirtualPrinter, ratio: number, noise: number): BracketOutcome {
  const exposed = exposedBy(printer, ratio);
  if (!holds(exposed)) return { exposureS: ratio, held: false };
  const bridged = openSlot(SLOT_MM, exposed) === 0;
  const edge = { mm: edgeGrowthOf(exposed) + GAUGE_SD_MM * noise, sdMm: GAUGE_SD_MM };
  return { exposureS: ratio, held: true, bridged, edge };
}

/** Three gauges around a guess within a factor of two, three more where they are asked for, and the exposure then chosen. */
export function bracketTwice(printer: VirtualPrinter, random: SeededRandom): Chosen {
  const guess = (2 / printer.dose) * Math.exp(0.35 * random.normal());
  const ask = { lowS: guess / 2, highS: guess * 2, slotMm: SLOT_MM };
  const print = (ratios: readonly number[]) =>
    ratios.map((ratio) => printGauge(printer, ratio, random.normal()));
  const first = print(bracketExposures(guess, 1.4));
  const { next = [] } = expectOk(readBracket({ ...ask, outcomes: first }));
  const all = [...first, ...print(next)];
  return chosenAt(printer, expectOk(readBracket({ ...ask, outcomes: all })).best.exposureS);
}
