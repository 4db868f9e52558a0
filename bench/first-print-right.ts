/**
 * Share of jobs with every feature in tolerance, over virtual printers whose truth is not the signature's model.
 * Population: core/simulated/printer.ts and caliper.ts. Job: bench/job.ts, five features, sizes uniform in ranges.
 * Everything here was written down before the first run. Usage: npm run bench [-- PRINTERS]
 */
import { mixtureQuantile } from '@/core/kit/numerics';
import { BLOCK_OF_24, BLOCK_OF_6 } from '@/core/fit/gauges';
import {
  drawTarget,
  estimateSignature,
  predictSize,
  type Signature,
  type SignatureReading,
} from '@/core/signature';
import { printFeature, type Family, type PlacedFeature } from '@/core/simulated';
import { isRight, makeWorld, placed, type World } from './job';
import { drawKnowing, drawKnowingHabit, OPTIONS, readPart } from './world';

function scaleFactor(readings: readonly SignatureReading[]): number {
  const cube = readings.filter(({ feature }) => feature === 'width X 20' || feature === 'width Y 20');
  return cube.reduce((sum, reading) => sum + reading.readingMm / reading.drawnMm, 0) / cube.length;
}

interface Outcome {
  readonly right: Record<string, boolean>;
  readonly covered: number;
  readonly predicted: number;
}

function meanReading(readings: readonly SignatureReading[], feature: string): number {
  const own = readings.filter((reading) => reading.feature === feature);
  return own.reduce((sum, reading) => sum + reading.readingMm, 0) / own.length;
}

/** How many of a print's true sizes lie in the 95 % intervals given before it. */
function countCovered(
  world: World,
  signature: Signature,
  places: readonly PlacedFeature[],
  print: string,
): number {
  return places.filter((place) => {
    const mixture = predictSize(signature, { ...place, pixelMm: world.printer.pixelMm });
    const size = printFeature(world.printer, place, print);
    return size >= mixtureQuantile(mixture, 0.025) && size <= mixtureQuantile(mixture, 0.975);
  }).length;
}

function play(seed: number, family: Family): Outcome {
  const world = makeWorld(seed, family);
  const { pixelMm } = world.printer;
  const options = { pixelMm };
  const drawWith = (signature: Signature) =>
    placed(world, (target) => drawTarget(signature, target, options).drawMm);
  const block24 = readPart(world, BLOCK_OF_24, 'B24');
  const block6 = readPart(world, BLOCK_OF_6, 'B6');
  const untouched = placed(world, (target) => target.targetMm);
  const factor = scaleFactor(block24);
  const after24 = estimateSignature(block24, OPTIONS);
  const first24 = drawWith(after24);
  const readFirst = readPart(world, first24, 'A1');
  const readUntouched = readPart(world, untouched, 'A1');
  const ownFix = (places: readonly PlacedFeature[], readings: readonly SignatureReading[]) =>
    placed(world, (target) => {
      const drawn = places.find(({ feature }) => feature === target.feature)!.drawnMm;
      const read = meanReading(readings, target.feature);
      return Number.isFinite(read) ? drawn + target.targetMm - read : drawn;
    });
  const second24 = drawWith(estimateSignature([...block24, ...readFirst], OPTIONS));
  const right = {
    'first print, untouched': isRight(world, untouched, 'A1'),
    'first print, one scale factor': isRight(
      world,
      placed(world, (target) => target.targetMm / factor),
      'A1',
    ),
    'first print, signature after six features': isRight(
      world,
      drawWith(estimateSignature(block6, OPTIONS)),
      'A1',
    ),
    'first print, signature after 24 features': isRight(world, first24, 'A1'),
    'first print, perfect knowledge of the law': isRight(
      world,
      placed(world, (target) => drawKnowing(world.printer, target, target.targetMm)),
      'A1',
    ),
    'second print without gauge, own deviations': isRight(world, ownFix(untouched, readUntouched), 'A2'),
    'second print without gauge, signature': isRight(
      world,
      drawWith(estimateSignature(readUntouched, OPTIONS)),
      'A2',
    ),
    'second print after the 24-feature block, own deviations': isRight(
      world,
      ownFix(first24, readFirst),
      'A2',
    ),
    'second print after the 24-feature block, signature': isRight(world, second24, 'A2'),
    'second print, perfect knowledge of law and habit': isRight(
      world,
      placed(world, (target) => drawKnowingHabit(world.printer, target, target.targetMm)),
      'A2',
    ),
  };
  return { right, covered: countCovered(world, after24, first24, 'A1'), predicted: first24.length };
}

function report(family: Family, printers: number): void {
  const outcomes = Array.from({ length: printers }, (_, i) => play(1000 + i, family));
  console.log(`\n${family} family of truths, ${printers} virtual printers: every feature in tolerance`);
  for (const name of Object.keys(outcomes[0].right)) {
    const share = outcomes.filter(({ right }) => right[name]).length / printers;
    const error = Math.sqrt((share * (1 - share)) / printers);
    console.log(`| ${name} | ${(100 * share).toFixed(1)} % | ± ${(100 * error).toFixed(1)} |`);
  }
  const shares = outcomes.map(({ covered, predicted }) => covered / predicted);
  const mean = shares.reduce((sum, share) => sum + share, 0) / printers;
  const spread = Math.sqrt(
    shares.reduce((sum, share) => sum + (share - mean) ** 2, 0) / (printers - 1) / printers,
  );
  console.log(
    `| 95 % intervals hold the true size | ${(100 * mean).toFixed(1)} % | ± ${(100 * spread).toFixed(1)} |`,
  );
}

const printers = Number(process.argv[2] ?? 200);
report('first', printers);
report('second', printers);
