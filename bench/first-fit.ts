/**
 * Share of rings that fit at the first print: a push fit at both interfaces, one signature block measured before.
 * Population: core/simulated/printer.ts and caliper.ts; bores uniform 14 … 24 mm, shafts uniform 6 … 10 mm, both measured
 * three times with the same caliper. A ring fits if the true clearance of the virtual print is in the fit class at both
 * interfaces. Everything here was fixed before the first run. Usage: npm run bench:fit [-- PRINTERS]
 */
import { estimateBody } from '@/core/measure';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { drawFit, targetForMate, wishedClearance, type FitTarget } from '@/core/fit/mating';
import { BLOCK_OF_24 } from '@/core/fit/gauges';
import { estimateSignature } from '@/core/signature';
import { drawCaliper, drawPrinter, printFeature, type Family } from '@/core/simulated';
import { drawKnowing, INSTRUMENT, OPTIONS, readPart, readSize, share } from './world';

const OUTSIDE = { sense: 'outside', shape: 'round', axis: 'XY' } as const;
const INSIDE = { sense: 'inside', shape: 'round', axis: 'XY' } as const;

const WAYS = [
  'naive wall',
  'middle of the class, no signature',
  'signature of one block',
  'perfect law, mates as read',
  'perfect law, true mates',
] as const;
type Way = (typeof WAYS)[number];

function play(seed: number, family: Family): Record<Way, boolean> {
  const random = seededRandom(seedFrom(seed, 'ring'));
  const [printer, caliper] = [drawPrinter(seed, family), drawCaliper(seed, family)];
  const world = { printer, caliper, random };
  const boreMm = 14 + 10 * random.uniform();
  const shaftMm = 6 + 4 * random.uniform();
  const place = { xMm: 30 * (random.uniform() - 0.5), yMm: 30 * (random.uniform() - 0.5) };
  const signature = estimateSignature(readPart(world, BLOCK_OF_24, 'block'), OPTIONS);
  const faces = [
    { feature: 'outside', kind: OUTSIDE, mateKind: INSIDE, mateMm: boreMm },
    { feature: 'bore', kind: INSIDE, mateKind: OUTSIDE, mateMm: shaftMm },
  ].map((face) => {
    const readings = readSize(caliper, face.mateMm, face.mateKind, random);
    const body = estimateBody(
      readings.map((mm) => ({ mm, level: 0, turn: 0 })),
      face.mateKind.sense,
      INSTRUMENT,
    );
    const band = wishedClearance('push', body.sizeMm);
    const wanted: FitTarget = {
      feature: face.feature,
      kind: face.kind,
      ...targetForMate(face.kind.sense, body, band),
    };
    const truth = targetForMate(
      face.kind.sense,
      { sizeMm: face.mateMm, u_mm: 0 },
      wishedClearance('push', face.mateMm),
    );
    return { ...face, body, wanted, truth };
  });
  const fits = (draw: (face: (typeof faces)[number]) => number) =>
    faces.every((face) => {
      const size = printFeature(
        printer,
        { ...place, feature: face.feature, kind: face.kind, drawnMm: draw(face) },
        'A1',
      );
      const { targetMm, lowerDeviationMm, upperDeviationMm } = face.truth;
      return size >= targetMm + lowerDeviationMm && size <= targetMm + upperDeviationMm;
    });
  return {
    'naive wall': fits(({ body }) => body.sizeMm),
    'middle of the class, no signature': fits(({ wanted }) => wanted.targetMm),
    'signature of one block': fits(({ wanted }) => drawFit(signature, wanted).drawMm),
    'perfect law, mates as read': fits(({ feature, kind, wanted }) =>
      drawKnowing(printer, { ...place, feature, kind }, wanted.targetMm),
    ),
    'perfect law, true mates': fits(({ feature, kind, truth }) =>
      drawKnowing(printer, { ...place, feature, kind }, truth.targetMm),
    ),
  };
}

const printers = Number(process.argv[2] ?? 200);
for (const family of ['first', 'second'] as const) {
  const hits = Object.fromEntries(WAYS.map((way) => [way, 0])) as Record<Way, number>;
  for (let seed = 1; seed <= printers; seed++) {
    const outcome = play(seed, family);
    for (const way of WAYS) hits[way] += Number(outcome[way]);
  }
  console.log(`${family} family, ${printers} printers:`);
  for (const way of WAYS) console.log(`  ${way}: ${share(hits[way], printers)}`);
  const ratio = hits['signature of one block'] / hits['perfect law, mates as read'];
  console.log(`  signature over perfect law: ${ratio.toFixed(2)}`);
}
