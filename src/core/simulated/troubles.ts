import { seededRandom, type SeededRandom, seedFrom } from '@/core/kit/numerics';

/** Ways in which a simulated printer can fail, and how often each is the trouble of a story; nothing of the reader of failures is in it. */
const TROUBLES = {
  film: 12,
  panel: 4,
  level: 9,
  dirtyPlate: 6,
  cold: 8,
  unmixed: 5,
  exposure: 9,
  supports: 18,
  island: 7,
  suction: 5,
  jump: 4,
  debris: 5,
  thin: 4,
  axis: 2,
  ranDry: 3,
} as const;
export type Trouble = keyof typeof TROUBLES;
/** The fault of a simulated printer, and its seed. */
export interface TroubleSet {
  readonly trouble: Trouble;
  readonly seed: number;
  /** Drawn, and told to nobody before it is found. */
  readonly isHidden: boolean;
}

export const TROUBLE_NAMES = Object.keys(TROUBLES) as readonly Trouble[];

/** A piece as a simulated print left it. */
export interface TroubledPiece {
  readonly plateMm: readonly [number, number];
  readonly file: string;
  readonly failure?: {
    readonly partMm: readonly [number, number, number];
    readonly layer: number;
    readonly kind: string;
  };
}

export interface TroubledPrint {
  readonly pieces: readonly TroubledPiece[];
  readonly layers: number;
  readonly bottomLayers: number;
}

/** What a story keeps through its prints: where its trouble sits on the plate, on the part, along the height. */
export interface Story {
  readonly trouble: Trouble;
  readonly spotMm: readonly [number, number];
  readonly radiusMm: number;
  readonly slope: readonly [number, number];
  readonly weakMm: readonly [number, number, number];
  readonly chance: number;
  readonly layers: number;
  readonly seed: number;
}

const HALF_PLATE = [60, 34] as const;
/** Sides of the part that a story's weak place lies in, mm. */
const STORY_PART_MM = 20;
const BOTTOM_LAYERS = 5;
const LAYER_MM = 0.05;
export const PLATE_OF_STORIES = {
  halfMm: HALF_PLATE,
  bottomLayers: BOTTOM_LAYERS,
  layerMm: LAYER_MM,
} as const;

function pick<Name extends string>(
  weights: Readonly<Partial<Record<Name, number>>>,
  uniform: () => number,
): Name {
  const entries = Object.entries(weights) as [Name, number][];
  let left = uniform() * entries.reduce((sum, [, weight]) => sum + weight, 0);
  for (const [name, weight] of entries) if ((left -= weight) < 0) return name;
  return entries[entries.length - 1][0];
}

/** A printer whose prints fail for one reason, drawn from a seed, or the one given. */
export function drawStory(seed: number, given?: Trouble): Story {
  const { uniform, normal } = seededRandom(seedFrom(seed, 'story'));
  const drawn = pick(TROUBLES, uniform);
  const trouble = given ?? drawn;
  const onPlate = (): [number, number] => [
    HALF_PLATE[0] * (2 * uniform() - 1) * 0.8,
    HALF_PLATE[1] * (2 * uniform() - 1) * 0.8,
  ];
  const angle = 2 * Math.PI * uniform();
  const layers = Math.round(200 + 600 * uniform());
  return {
    trouble,
    spotMm: onPlate(),
    radiusMm: 14 * Math.exp(0.3 * normal()),
    slope: [Math.cos(angle), Math.sin(angle)],
    weakMm: [20 * uniform(), 20 * uniform(), layers * LAYER_MM * (0.15 + 0.75 * uniform())],
    chance: Math.min(0.95, Math.max(0.35, 0.65 + 0.15 * normal())),
    layers,
    seed,
  };
}

/** Kinds that each trouble shows, in parts. */
const KINDS: Readonly<Record<Trouble, Readonly<Record<string, number>>>> = {
  film: { missingRegion: 4, sheared: 3, markOnFace: 3, stuckInVat: 3, missingLayers: 1 },
  panel: { missingRegion: 6, markOnFace: 3, holeClosed: 1 },
  level: { notStuck: 7, stuckInVat: 4, sheared: 2 },
  dirtyPlate: { notStuck: 8, stuckInVat: 4 },
  cold: { notStuck: 4, sheared: 4, stuckInVat: 3, missingLayers: 2 },
  unmixed: { sheared: 3, missingLayers: 2, notStuck: 2, markOnFace: 2 },
  exposure: { fused: 4, holeClosed: 4, sheared: 3, notStuck: 3 },
  supports: { sheared: 6, missingRegion: 3, stuckInVat: 4 },
  island: { missingRegion: 7, stuckInVat: 3 },
  suction: { sheared: 5, missingRegion: 3, stuckInVat: 2 },
  jump: { sheared: 6, markOnFace: 2, stuckInVat: 2, missingLayers: 1 },
  debris: { missingRegion: 5, markOnFace: 4, stuckInVat: 1 },
  thin: { missingRegion: 6, sheared: 2, holeClosed: 1 },
  axis: { markOnFace: 5, missingLayers: 5, stopped: 1 },
  ranDry: { ranDry: 10, missingLayers: 2 },
};

const OF_THE_PART: ReadonlySet<Trouble> = new Set(['supports', 'island', 'suction', 'jump', 'thin']);
const OF_A_SPOT: ReadonlySet<Trouble> = new Set(['film', 'panel', 'dirtyPlate', 'debris']);
const OF_THE_START: ReadonlySet<Trouble> = new Set(['level', 'dirtyPlate']);

/** Chance that one piece fails, lying there. */
function chanceOf(story: Story, [x, y]: readonly [number, number], file: string): number {
  const { trouble, spotMm, radiusMm, slope, chance } = story;
  if (OF_A_SPOT.has(trouble)) {
    const far = Math.hypot(x - spotMm[0], y - spotMm[1]);
    return chance * Math.exp(-0.5 * (far / radiusMm) ** 2) * 1.3;
  }
  if (OF_THE_PART.has(trouble)) return file === 'A' ? chance : 0;
  if (trouble === 'level') {
    const along = (x * slope[0]) / HALF_PLATE[0] + (y * slope[1]) / HALF_PLATE[1];
    return chance / (1 + Math.exp(-5 * along));
  }
  return trouble === 'axis' || trouble === 'ranDry' ? 0.95 : chance;
}

/** Where along the height it fails. */
function layerOf(story: Story, random: SeededRandom): number {
  const { trouble, weakMm, layers } = story;
  const { uniform, normal } = random;
  if (OF_THE_START.has(trouble)) return Math.ceil(BOTTOM_LAYERS * 1.4 * uniform());
  if ((trouble === 'cold' || trouble === 'exposure') && uniform() < 0.4)
    return Math.ceil(BOTTOM_LAYERS * uniform());
  const ofHeight = OF_THE_PART.has(trouble) || trouble === 'axis' || trouble === 'ranDry';
  const spread = trouble === 'supports' ? 30 : 4;
  const layer = ofHeight ? weakMm[2] / LAYER_MM + spread * normal() : 1 + (layers - 1) * uniform();
  return Math.min(layers, Math.max(1, Math.round(layer)));
}

function failureOf(story: Story, random: SeededRandom): NonNullable<TroubledPiece['failure']> {
  const { trouble, weakMm, layers } = story;
  const { uniform, normal } = random;
  const layer = layerOf(story, random);
  const fromPart = OF_THE_PART.has(trouble);
  const at = (axis: 0 | 1) => (fromPart ? weakMm[axis] + 1.5 * normal() : 20 * uniform());
  return {
    partMm: [at(0), at(1), Math.min(layers, layer) * LAYER_MM],
    layer,
    kind: pick(KINDS[trouble], uniform),
  };
}

/** One print of a story: eight pieces of two files in places of their own; the nth is always the same. */
export function printInTrouble(story: Story, nth: number): TroubledPrint {
  const random = seededRandom(seedFrom(story.seed, `print ${nth}`));
  const { uniform } = random;
  const pieces = Array.from({ length: 8 }, (_, i): TroubledPiece => {
    const column = i % 4;
    const row = Math.floor(i / 4);
    const plateMm: [number, number] = [
      HALF_PLATE[0] * (-0.75 + 0.5 * column + 0.15 * (2 * uniform() - 1)),
      HALF_PLATE[1] * (-0.5 + row + 0.2 * (2 * uniform() - 1)),
    ];
    const file = uniform() < 0.7 ? 'A' : 'B';
    const fails = uniform() < chanceOf(story, plateMm, file);
    return { plateMm, file, failure: fails ? failureOf(story, random) : undefined };
  });
  return { pieces, layers: story.layers, bottomLayers: BOTTOM_LAYERS };
}

/** A piece on a real plate, for the simulated eye. */
export interface PieceOnPlate {
  /** Tells pieces apart: the same one always fails alike. */
  readonly key: string;
  /** From the middle of the plate, and half of the plate along both, mm. */
  readonly plateMm: readonly [number, number];
  readonly halfPlateMm: readonly [number, number];
  readonly sizeMm: readonly [number, number];
  /** Where the trouble sits in the part, the weak file has it; others do not. */
  readonly isWeakFile: boolean;
  readonly layers: number;
}

/** What became of a piece of a printer in trouble: how it failed, at which layer, and where from its middle, mm; undefined: it is whole. */
export function lookAtPiece(
  story: Story,
  { key, plateMm, halfPlateMm, sizeMm, isWeakFile, layers }: PieceOnPlate,
): { readonly kind: string; readonly layer: number; readonly partMm: readonly [number, number] } | undefined {
  const random = seededRandom(seedFrom(story.seed, `piece ${key}`));
  const at = (axis: 0 | 1) => (plateMm[axis] / halfPlateMm[axis]) * HALF_PLATE[axis];
  if (random.uniform() >= chanceOf(story, [at(0), at(1)], isWeakFile ? 'A' : 'B')) return undefined;
  const [weakX, weakY, weakZ] = story.weakMm;
  const here: Story = { ...story, layers, weakMm: [weakX, weakY, (weakZ * layers) / story.layers] };
  const { partMm, layer, kind } = failureOf(here, random);
  const inside = (axis: 0 | 1) =>
    (Math.min(1, Math.max(0, partMm[axis] / STORY_PART_MM)) - 0.5) * sizeMm[axis];
  return { kind, layer, partMm: [inside(0), inside(1)] };
}

/**
 * How often a test shows its first outcome: for a fault of the part, of a place on the plate, of one cause, otherwise.
 */
const SHOWS: Readonly<
  Record<string, { part: number; spot: number; own?: Partial<Record<Trouble, number>>; other: number }>
> = {
  turnPart: { part: 0.95, spot: 0.06, other: 0.5 },
  postField: {
    part: 0.05,
    spot: 0.8,
    own: { level: 0.7, cold: 0.3, exposure: 0.25, unmixed: 0.25 },
    other: 0.06,
  },
  imageCheck: { part: 0.03, spot: 0.04, own: { panel: 0.95 }, other: 0.03 },
  filmToLight: { part: 0.07, spot: 0.08, own: { film: 0.9, debris: 0.35 }, other: 0.07 },
  levelByPaper: { part: 0.06, spot: 0.08, own: { level: 0.93, dirtyPlate: 0.1 }, other: 0.06 },
  sameAgain: { part: 0.8, spot: 0.7, own: { debris: 0.4, ranDry: 0.2 }, other: 0.6 },
  otherFile: { part: 0.07, spot: 0.7, own: { level: 0.6 }, other: 0.6 },
  warmer: { part: 0.08, spot: 0.06, own: { cold: 0.9, unmixed: 0.35 }, other: 0.1 },
  twinRegion: { part: 0.75, spot: 0.12, own: { exposure: 0.8 }, other: 0.3 },
};

/** Whether a test shows its first outcome on a printer in trouble; undefined: there is no such test. Made again it shows the same. */
export function showsTest({ trouble, seed }: Story, test: string): boolean | undefined {
  const shows = SHOWS[test];
  if (shows === undefined) return undefined;
  const kind = OF_THE_PART.has(trouble) ? shows.part : OF_A_SPOT.has(trouble) ? shows.spot : shows.other;
  return seededRandom(seedFrom(seed, `shows ${test}`)).uniform() < (shows.own?.[trouble] ?? kind);
}

/** What the records of a workshop with this fault add: mostly the trace of the fault, others by chance. */
export function circumstancesOf({ trouble, seed }: Story): Readonly<Record<string, boolean>> {
  const { uniform } = seededRandom(seedFrom(seed, 'circumstances'));
  const says = (yes: number) => uniform() < yes;
  const when = (own: readonly Trouble[], yes: number, else_: number) =>
    says(own.includes(trouble) ? yes : else_);
  return {
    onSupports: when(['supports'], 0.97, 0.6),
    checkedIsland: when(['island'], 0.93, 0.1),
    checkedSuction: when(['suction'], 0.9, 0.07),
    checkedJump: when(['jump'], 0.88, 0.12),
    checkedThin: when(['thin'], 0.88, 0.1),
    filmOld: when(['film'], 0.8, 0.25),
    coldRoom: when(['cold'], 0.88, 0.13),
    longUnshaken: when(['unmixed'], 0.82, 0.22),
    lowVat: when(['ranDry'], 0.93, 0.06),
    exposureChanged: when(['exposure'], 0.65, 0.1),
    plateWasOff: when(['level', 'dirtyPlate'], 0.65, 0.27),
    failedBefore: when(['debris'], 0.75, 0.22),
  };
}
