import type { Circumstances, Evidence } from './evidence-table';
import type { PlacesOfPrint } from './same-place';
import { type Where, whereItFails } from './where';

/** A piece of a print: where it lay on the plate, and where it failed if it did. */
export interface PieceSeen {
  readonly plateMm: readonly [number, number];
  /** Pieces of one file fail at like places of it. */
  readonly file: string;
  readonly failure?: {
    /** Place on the part, mm, in its own coordinates; undefined where nobody tapped it. */
    readonly partMm?: readonly number[];
    readonly layer?: number;
  };
}

/** A print as far as its failures need it. */
export interface PrintSeen {
  readonly pieces: readonly PieceSeen[];
  readonly bottomLayers: number;
  readonly layerMm: number;
}

/** Where the failures of prints come together on the plate. */
export function whereOnPlate(prints: readonly PrintSeen[], halfPlateMm?: readonly [number, number]): Where {
  return whereItFails({ plate: onPlate(prints), halfPlateMm });
}

export interface EvidenceAsk {
  /** The print in question last, those before it on the same printer first. */
  readonly prints: readonly PrintSeen[];
  readonly circumstances: Circumstances;
  /** See whereOnPlate. */
  readonly where: Where;
}

type Found = Partial<Record<Evidence, boolean>>;

/** Of several pieces: most of them, or few. */
const MOST_SHARE = 0.6;
const FEW_SHARE = 0.35;
/** Two failures so near on the part, or along the height, count as at one place: they are too few to test. */
const NEAR_MM = 6;
const NEAR_LAYERS_MM = 0.5;
/** A test that found nothing says so only where it would have found something. */
const TELLING_POWER = 0.7;

function spreadOf({ pieces }: PrintSeen): Found {
  if (pieces.length < 3) return {};
  const share = pieces.filter(({ failure }) => failure !== undefined).length / pieces.length;
  if (share >= MOST_SHARE) return { everywhere: true };
  return share <= FEW_SHARE ? { everywhere: false } : {};
}

function startOf({ pieces, bottomLayers }: PrintSeen): Found {
  const layers = pieces.flatMap(({ failure }) => failure?.layer ?? []);
  if (layers.length === 0) return {};
  return { firstLayers: layers.filter((layer) => layer <= bottomLayers).length > layers.length / 2 };
}

function onPlate(prints: readonly PrintSeen[]): PlacesOfPrint[] {
  return prints.map(({ pieces }) => ({
    places: pieces.map(({ plateMm }) => [...plateMm]),
    failed: pieces.flatMap(({ failure }, i) => (failure === undefined ? [] : [i])),
  }));
}

const distance = (a: readonly number[], b: readonly number[]) =>
  Math.sqrt(a.reduce((sum, x, axis) => sum + (x - b[axis]) ** 2, 0));

/** Returns whether most pairs are this close, or few of them; undefined: neither, or fewer than two. */
function areTogether(places: readonly (readonly number[])[], nearMm: number): boolean | undefined {
  if (places.length < 2) return undefined;
  const pairs = places.flatMap((a, i) => places.slice(0, i).map((b) => distance(a, b)));
  const near = pairs.filter((mm) => mm <= nearMm).length / pairs.length;
  return near > 0.5 ? true : near < 0.2 ? false : undefined;
}

/** Failures of the same file at the same place of it, within one print and over several. */
function onPart(prints: readonly PrintSeen[]): Found {
  const file = prints.at(-1)!.pieces.find(({ failure }) => failure?.partMm !== undefined)?.file;
  const places = prints.flatMap(({ pieces }) =>
    pieces.flatMap((piece) => (piece.file === file && piece.failure?.partMm ? [piece.failure.partMm] : [])),
  );
  const together = areTogether(places, NEAR_MM);
  return together === undefined ? {} : { samePlaceOnPart: together };
}

/** Failures of several pieces at the same height. */
function atHeight(prints: readonly PrintSeen[]): Found {
  const heights = prints.flatMap(({ pieces, layerMm }) =>
    pieces.flatMap(({ failure }) => (failure?.layer === undefined ? [] : [[failure.layer * layerMm]])),
  );
  const together = areTogether(heights, NEAR_LAYERS_MM);
  return together === undefined ? {} : { sameHeight: together };
}

/** The tests of the plate; where a real spot would rarely be found, nothing is reported. */
function onMachine({ verdict, tests }: Where): Found {
  const of = (name: 'plate' | 'edge') => tests.find(({ common }) => common === name)?.p;
  const [plate, edge] = [of('plate'), of('edge')];
  const canTell = verdict.code === 'notTold' && (verdict.power ?? 0) >= TELLING_POWER;
  const found: Found = {};
  if (plate !== undefined && plate <= 0.05) found.samePlaceOnPlate = true;
  else if (plate !== undefined && plate > 0.3 && canTell) found.samePlaceOnPlate = false;
  if (edge !== undefined && edge <= 0.05) found.atEdge = true;
  return found;
}

/** What can be said for or against each piece of evidence from the prints and the records. */
export function gatherEvidence(ask: EvidenceAsk): Readonly<Found> {
  const last = ask.prints.at(-1);
  if (last === undefined) return ask.circumstances;
  return {
    ...ask.circumstances,
    ...spreadOf(last),
    ...startOf(last),
    ...onPart(ask.prints),
    ...atHeight(ask.prints),
    ...onMachine(ask.where),
  };
}
