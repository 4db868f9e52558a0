import { binomialShares } from './copies';
import { type LayerProgram, type PlainProgram, plannedSeconds } from './layer-times';
import { packPlate } from './pack-plate';

/** A printer with the resin, as a job could be printed on it. */
export interface WayMachine {
  readonly profileId: number;
  readonly printer: string;
  readonly program: LayerProgram | PlainProgram;
  /** Layer height of its profile, mm; others are known by their hours only. */
  readonly layerMm: number;
  /** ln of real to planned. */
  readonly lnRatio: number;
  /** Chance that one piece comes out whole on it. */
  readonly p: number;
  readonly bed: { readonly widthMm: number; readonly depthMm: number; readonly heightMm: number };
  /** Its vat holds another resin, or none: changing over loses so much, ml. */
  readonly changeoverMl: number;
  /** The resin in its vat, where it is another one. */
  readonly vatHolds?: string;
}

/** A way for the part to stand. */
export interface WayOrientation {
  readonly name: string;
  /** It stands so now. */
  readonly isCurrent: boolean;
  readonly heightMm: number;
  readonly footprintMm: readonly [number, number];
  readonly supportedMm2: number;
  readonly seenMm2: number;
  readonly alongZ: number;
}

/** What money, hours and hands a print takes. */
export interface WayRates {
  readonly machineHour: number;
  readonly workHour: number;
  readonly resinLitre: number;
  readonly perPrint: number;
  readonly perLayer: number;
}

export interface WayAsk {
  readonly machines: readonly WayMachine[];
  readonly poses: readonly WayOrientation[];
  /** Layer heights to look at beside those of the profiles, mm. */
  readonly layersMm: readonly number[];
  /** Good pieces that are wanted. */
  readonly good: number;
  /** Chance that its sizes are in their limits: drawn alike, all copies are or none is. */
  readonly sizes: number;
  readonly commonShare: number;
  readonly volumeMm3: number;
  /** Supports, as a share of the part where it needs them. */
  readonly supportShare: number;
  readonly lossShare: number;
  readonly gapMm: number;
  /** Parts may stand on top of each other, so many high; 1: never. */
  readonly stackUpTo: number;
  /** Work on a print, and on each piece of it, min. */
  readonly attended: { readonly printMin: number; readonly pieceMin: number };
  readonly rates: WayRates;
}

/** As many as are asked for, as make them sure, a full plate, or that several high. */
type Count = 'asked' | 'sure' | 'full' | 'stacked';

/** One way of making a job, with what it takes and what comes of it. */
export interface Way {
  readonly machine: WayMachine;
  readonly pose: WayOrientation;
  readonly layerMm: number;
  readonly copies: number;
  readonly count: Count;
  /** So many high. */
  readonly stack: number;
  /** Plates one after the other. */
  readonly plates: number;
  readonly layers: number;
  readonly hours: number;
  readonly attendedMin: number;
  readonly resinMl: number;
  /** That at least as many are good as are wanted. */
  readonly chance: number;
  readonly expectedGood: number;
  readonly cost: number;
  /** Cost over the good pieces that are wanted and expected: spares beyond them are worth nothing here. */
  readonly costPerGood: number;
  /** Copies beyond these that the plate takes in the same hours. */
  readonly sparesFree: number;
  /** At a layer height that has a profile, and no other such way is better or equal in hours, cost per good part and chance at once. */
  readonly isBest: boolean;
}

/** Share of area that supports stand under below which a part needs none. */
const NO_SUPPORTS_MM2 = 1;
const SURE = 0.95;
const MOST_COPIES = 200;

/** Probabilities of k good pieces of one plate: lost whole with the common share of failures, else each by itself. */
function goodOfPlate(copies: number, p: number, commonShare: number): number[] {
  const q = 1 - p;
  const lost = commonShare * q;
  const own = lost >= 1 ? 0 : 1 - ((1 - commonShare) * q) / (1 - lost);
  const shares = binomialShares(copies, own).map((share) => (1 - lost) * share);
  shares[0] += lost;
  return shares;
}

/** Probabilities of k good pieces of several plates that fail independently of each other. */
function goodOfPlates(counts: readonly number[], p: number, commonShare: number): number[] {
  return counts.reduce<number[]>(
    (sum, copies) => {
      const own = goodOfPlate(copies, p, commonShare);
      const both = new Array<number>(sum.length + own.length - 1).fill(0);
      sum.forEach((a, i) => own.forEach((b, k) => (both[i + k] += a * b)));
      return both;
    },
    [1],
  );
}

/** Copies spread over plates that take so many each. */
function platesOf(copies: number, room: number): number[] {
  const plates = Math.ceil(copies / room);
  return Array.from({ length: plates }, (_, i) => Math.floor((copies + i) / plates));
}

const atLeast = (shares: readonly number[], good: number) =>
  shares.slice(good).reduce((sum, share) => sum + share, 0);

/** Returns how many copies of an orientation fit on the plate of a printer; 0 if it does not fit at all. */
function roomFor(
  { bed, profileId }: WayMachine,
  { footprintMm, heightMm }: WayOrientation,
  gapMm: number,
): number {
  if (heightMm > bed.heightMm) return 0;
  const [widthMm, depthMm] = footprintMm;
  const thing = { id: profileId, widthMm, depthMm, copies: MOST_COPIES };
  return packPlate([thing], { ...bed, gapMm }).placed.length;
}

/** Copies to look at: as many as are asked for, as many as make them sure, and a full plate. */
function countsOf(
  { good, commonShare }: WayAsk,
  { p }: WayMachine,
  room: number,
): (readonly [Count, number])[] {
  const counts: (readonly [Count, number])[] = [['asked', good]];
  for (let n = good + 1; n <= MOST_COPIES; n++) {
    const isSure = atLeast(goodOfPlates(platesOf(n, room), p, commonShare), good) >= SURE;
    if (isSure) {
      counts.push(['sure', n]);
      break;
    }
  }
  if (room > good && !counts.some(([, n]) => n === room)) counts.push(['full', room]);
  return counts;
}

/** Returns how many parts of an orientation fit on top of each other in a printer. */
function stackOf({ stackUpTo, gapMm }: WayAsk, { bed }: WayMachine, { heightMm }: WayOrientation): number {
  return Math.max(1, Math.min(stackUpTo, Math.floor((bed.heightMm + gapMm) / (heightMm + gapMm))));
}

/** A stacked plate, if shop practice stacks, more pieces are wanted than fit side by side, and the height allows it. */
function stackedOf(
  ask: WayAsk,
  machine: WayMachine,
  { pose, room }: { readonly pose: WayOrientation; readonly room: number },
): (readonly [Count, number])[] {
  const stack = stackOf(ask, machine, pose);
  return stack > 1 && ask.good > room ? [['stacked', Math.min(MOST_COPIES, room * stack)]] : [];
}

function wayOf(
  ask: WayAsk,
  {
    machine,
    pose,
    layerMm,
    room,
  }: { machine: WayMachine; pose: WayOrientation; layerMm: number; room: number },
  [count, copies]: readonly [Count, number],
): Omit<Way, 'isBest'> {
  const { rates, attended, volumeMm3, supportShare, lossShare, sizes, commonShare, good } = ask;
  const stack = count === 'stacked' ? stackOf(ask, machine, pose) : 1;
  const counts = platesOf(copies, room * stack);
  const layers = Math.max(1, Math.round((stack * pose.heightMm) / layerMm));
  const printS = plannedSeconds(layers, { ...machine.program, layerMm }) * Math.exp(machine.lnRatio);
  const hours = (counts.length * printS) / 3600;
  const attendedMin = counts.length * attended.printMin + copies * attended.pieceMin;
  const supports = pose.supportedMm2 > NO_SUPPORTS_MM2 ? supportShare : 0;
  const resinMl = (copies * volumeMm3 * (1 + supports) * (1 + lossShare)) / 1000;
  const shares = goodOfPlates(counts, machine.p, commonShare);
  const expectedGood = sizes * shares.reduce((sum, share, k) => sum + k * share, 0);
  const expectedWanted = sizes * shares.reduce((sum, share, k) => sum + Math.min(k, good) * share, 0);
  const cost =
    hours * rates.machineHour +
    (attendedMin / 60) * rates.workHour +
    ((resinMl + machine.changeoverMl) / 1000) * rates.resinLitre +
    counts.length * (rates.perPrint + layers * rates.perLayer);
  return {
    machine,
    pose,
    layerMm,
    copies,
    count,
    stack,
    plates: counts.length,
    layers,
    hours,
    attendedMin,
    resinMl,
    chance: sizes * atLeast(shares, good),
    expectedGood,
    cost,
    costPerGood: expectedWanted > 0 ? cost / expectedWanted : Infinity,
    sparesFree: counts.reduce((sum, own) => sum + room * stack - own, 0),
  };
}

type Measured = Pick<Way, 'hours' | 'costPerGood' | 'chance'>;

function isBeaten(way: Measured, by: Measured): boolean {
  const noWorse = by.hours <= way.hours && by.costPerGood <= way.costPerGood && by.chance >= way.chance;
  const better = by.hours < way.hours || by.costPerGood < way.costPerGood || by.chance > way.chance;
  return noWorse && better;
}

/**
 * Returns every option of making this many good pieces: printers × orientations × layer heights × copies, the cheapest
 * per good piece first. Pieces of one plate fail together with the common share of failures; plates fail independently.
 * An orientation that fits on no plate is left out.
 */
export function compareWays(ask: WayAsk): Way[] {
  const ways = ask.machines.flatMap((machine) =>
    ask.poses.flatMap((pose) => {
      const room = roomFor(machine, pose, ask.gapMm);
      if (room === 0) return [];
      const heights = [...new Set([machine.layerMm, ...ask.layersMm])];
      return heights.flatMap((layerMm) =>
        [...countsOf(ask, machine, room), ...stackedOf(ask, machine, { pose, room })].map((count) =>
          wayOf(ask, { machine, pose, layerMm, room }, count),
        ),
      );
    }),
  );
  const isKnown = ({ layerMm, machine }: Pick<Way, 'layerMm' | 'machine'>) => layerMm === machine.layerMm;
  const known = ways.filter(isKnown);
  return ways
    .map((way) => ({ ...way, isBest: isKnown(way) && !known.some((other) => isBeaten(way, other)) }))
    .sort((a, b) => a.costPerGood - b.costPerGood);
}

/** Another way than printing: a fixed cost, a cost a piece, and days until the first is there. */
export interface Elsewhere {
  readonly fixed: number;
  readonly each: number;
  readonly days: number;
}

/**
 * From which count on another way is cheaper than printing at a cost a piece; undefined: it never is. Example: a mould of 300
 * and 2 a piece against 8 printed → from 51 on.
 */
export function cheaperFrom({ fixed, each }: Elsewhere, costPerGood: number): number | undefined {
  if (each >= costPerGood) return undefined;
  return Math.floor(fixed / (costPerGood - each)) + 1;
}
