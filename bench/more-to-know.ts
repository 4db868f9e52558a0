/**
 * What more information brings, over the virtual printers of first-print-right: pieces of known size for the caliper, places
 * on the plate, six sizes chosen for the job, a shop's other profiles, and ten jobs in a row. Written down before the first
 * run. Usage: npm run bench:more [-- PRINTERS].
 */
import { BLOCK_OF_24, BLOCK_OF_6, BLOCK_SIZES, type BlockSize, chooseBlock } from '@/core/fit/gauges';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import {
  type CheckReading,
  drawTarget,
  estimateSignature,
  priorFromRelatedProfiles,
  type RelatedProfile,
  type Signature,
  type SignatureOptions,
  type SignatureReading,
} from '@/core/signature';
import type { Family, PlacedFeature } from '@/core/simulated';
import { isRight, makeWorld, placed, type World } from './job';
import { type Measured, plainPrior } from './plain-shop';
import { shopPrinter } from './shop';
import { drawKnowing, OPTIONS, readPart, readSize, share } from './world';

/** A piece for the outside jaws and a ring for the inside ones, both 10 mm, known to 0.001, read three times. */
function readPieces({ caliper, random }: World): CheckReading[] {
  return (['outside', 'inside'] as const).flatMap((jaw) => {
    const kind =
      jaw === 'outside'
        ? ({ sense: jaw, shape: 'flat', axis: 'X' } as const)
        : ({ sense: jaw, shape: 'round', axis: 'XY' } as const);
    return readSize(caliper, 10, kind, random).map((readingMm) => ({
      jaw,
      knownMm: 10,
      u_mm: 0.001,
      readingMm,
    }));
  });
}

/** Does the first print of the job come right when it is drawn by this signature? */
function firstPrintRight(world: World, signature: Signature, isPlaceTold = false): boolean {
  const { pixelMm } = world.printer;
  const draw = (target: World['targets'][number]) => {
    const place = isPlaceTold ? { xMm: target.xMm, yMm: target.yMm } : undefined;
    return drawTarget(signature, { ...target, place }, { pixelMm }).drawMm;
  };
  return isRight(world, placed(world, draw), 'A1');
}

function knowingRight(world: World): boolean {
  return isRight(
    world,
    placed(world, (target) => drawKnowing(world.printer, target, target.targetMm)),
    'A1',
  );
}

/** Sizes of a gauge where they stand: those of the block as there, those like the job's at the job's own places. */
function placeSizes(world: World, sizes: readonly BlockSize[]): PlacedFeature[] {
  return sizes.map((size) => {
    const own = world.targets.find(({ feature }) => `like ${feature}` === size.feature);
    const { xMm, yMm } = own ?? BLOCK_OF_24.find(({ feature }) => feature === size.feature)!;
    return { ...size, xMm, yMm };
  });
}

/** Six sizes chosen for the job: from the block's, and sizes like the job's own. */
function chosenForJob(world: World): PlacedFeature[] {
  const own = world.targets.map(({ feature, kind, targetMm }) => ({
    feature: `like ${feature}`,
    kind,
    drawnMm: targetMm,
  }));
  return placeSizes(world, chooseBlock(6, world.targets, { pool: [...BLOCK_SIZES, ...own] }));
}

type Row = readonly [name: string, right: boolean];

/** What is read of one printer before its first job, in several ways. */
function playInformation(seed: number, family: Family): Row[] {
  const world = makeWorld(seed, family);
  const read = (places: readonly PlacedFeature[], isPlaceTold = false) =>
    readPart(world, places, 'G', { isPlaceTold });
  const learn = (readings: readonly SignatureReading[], more: Partial<SignatureOptions> = {}) =>
    estimateSignature(readings, { ...OPTIONS, ...more });
  const [six, block, placedBlock] = [read(BLOCK_OF_6), read(BLOCK_OF_24), read(BLOCK_OF_24, true)];
  const chosen = read(chosenForJob(world), true);
  const checks = readPieces(world);
  const again = readPart(world, BLOCK_OF_24, 'G2');
  return [
    ['six usual sizes', firstPrintRight(world, learn(six))],
    ['six usual sizes, check pieces', firstPrintRight(world, learn(six, { checks }))],
    ['six sizes chosen for the job', firstPrintRight(world, learn(chosen), true)],
    ['six sizes chosen for the job, check pieces', firstPrintRight(world, learn(chosen, { checks }), true)],
    ['24 sizes', firstPrintRight(world, learn(block))],
    ['24 sizes, places told', firstPrintRight(world, learn(placedBlock), true)],
    ['24 sizes, check pieces', firstPrintRight(world, learn(block, { checks }))],
    ['24 sizes, printed twice', firstPrintRight(world, learn([...block, ...again]))],
    ['24 sizes, check pieces and places told', firstPrintRight(world, learn(placedBlock, { checks }), true)],
    ['perfect knowledge of the law', knowingRight(world)],
  ];
}

const JOBS = 10;

/** Ten jobs in a row on one printer, without any gauge, each measured after its first print. */
function playJobs(seed: number, family: Family): Row[] {
  const readings: SignatureReading[] = [];
  const { printer, caliper } = makeWorld(seed, family);
  const rows: Row[] = [];
  const knowing: boolean[] = [];
  for (let job = 1; job <= JOBS; job++) {
    const drawn = makeWorld(seed * 1000 + job, family);
    const targets = drawn.targets.map((target) => ({ ...target, feature: `${job} ${target.feature}` }));
    const world: World = { ...drawn, printer, caliper, targets };
    const signature = estimateSignature(readings, OPTIONS);
    const places = placed(
      world,
      (target) => drawTarget(signature, target, { pixelMm: printer.pixelMm }).drawMm,
    );
    rows.push([`job ${job}`, isRight(world, places, `J${job}`)]);
    knowing.push(
      isRight(
        world,
        placed(world, (target) => drawKnowing(printer, target, target.targetMm)),
        `J${job}`,
      ),
    );
    readings.push(...readPart(world, places, `J${job}`));
  }
  return [...rows, ['the tenth, perfect knowledge of the law', knowing[JOBS - 1]]];
}

/** Five pairs of a shop of four machines and five resins that were measured, and the sixth, which shares both with some. */
const MEASURED = [
  [0, 0],
  [0, 1],
  [1, 2],
  [2, 3],
  [3, 4],
] as const;
const SIXTH = [1, 0] as const;

/** The first job of an unused pair, with data from the shop's other profiles. */
function playShop(seed: number, common: number): Row[] {
  const printerOf = ([machine, resin]: readonly [number, number]) =>
    shopPrinter({ seed, machine, resin, common });
  const { caliper } = makeWorld(seed, 'first');
  const measured = MEASURED.map((pair, i): Measured => {
    const random = seededRandom(seedFrom(seed, `shop ${i}`));
    const signature = estimateSignature(
      readPart({ printer: printerOf(pair), caliper, random }, BLOCK_OF_24, 'B'),
      OPTIONS,
    );
    return { kin: { printer: String(pair[0]), resin: String(pair[1]) }, signature };
  });
  const relatives = measured.map(({ kin, signature }): RelatedProfile => ({
    kin,
    mean: signature.parameters.map(({ mean }) => mean),
    covariance: signature.covariance,
  }));
  const world: World = { ...makeWorld(seed, 'first'), printer: printerOf(SIXTH), caliper };
  const sixth = { printer: String(SIXTH[0]), resin: String(SIXTH[1]) };
  const prior = priorFromRelatedProfiles(sixth, relatives);
  const plain = plainPrior(sixth, measured);
  const six = readPart(world, BLOCK_OF_6, 'G');
  return [
    ['nothing measured, no related profiles', firstPrintRight(world, estimateSignature([], OPTIONS))],
    [
      'nothing measured, related profiles',
      firstPrintRight(world, estimateSignature([], { ...OPTIONS, prior })),
    ],
    [
      'nothing measured, related profiles, one dense solver over all their readings',
      firstPrintRight(world, estimateSignature([], { ...OPTIONS, prior: plain })),
    ],
    ['six usual sizes, no related profiles', firstPrintRight(world, estimateSignature(six, OPTIONS))],
    [
      'six usual sizes, related profiles',
      firstPrintRight(world, estimateSignature(six, { ...OPTIONS, prior })),
    ],
    ['perfect knowledge of the law', knowingRight(world)],
  ];
}

function report(title: string, printers: number, play: (seed: number) => Row[]): void {
  const played = Array.from({ length: printers }, (_, i) => new Map(play(1000 + i)));
  const names = [...played[0].keys()];
  const hitsOf = (name: string) => played.filter((rows) => rows.get(name)).length;
  const perfect = hitsOf(names.at(-1)!);
  console.log(
    `\n${title}, ${printers} virtual printers: every feature in tolerance, and as a share of perfect knowledge`,
  );
  for (const name of names)
    console.log(`| ${name} | ${share(hitsOf(name), printers)} | ${(hitsOf(name) / perfect).toFixed(2)} |`);
}

const printers = Number(process.argv[2] ?? 200);
for (const family of ['first', 'second'] as const) {
  report(`${family} family, first print`, printers, (seed) => playInformation(seed, family));
  report(`${family} family, ten jobs in a row without a gauge`, printers, (seed) => playJobs(seed, family));
}
report('a shop whose profiles have in common what is assumed', printers, (seed) => playShop(seed, 1));
report('a shop whose profiles have half of that in common', printers, (seed) => playShop(seed, 0.5));
