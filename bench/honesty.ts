/**
 * Shows where the width of a prediction comes from, beside the true errors: for the features of a job on virtual
 * printers, the variance that the model gives to the law, to repeatable deviation and chance, to the drift of a print
 * and to pixels, and the true mean square of each. Usage: npm run bench:honesty [-- PRINTERS].
 */
import { BLOCK_OF_24, BLOCK_OF_6 } from '@/core/fit/gauges';
import { mixtureMoments } from '@/core/kit/numerics';
import {
  DRIFT_EDGE_SD_MM,
  DRIFT_SCALE_SD,
  driftRow,
  drawTarget,
  estimateSignature,
  predictSize,
  type Signature,
} from '@/core/signature';
import { type Family, lawfulSize, printFeature } from '@/core/simulated';
import { makeWorld, type PlacedTarget, type World } from './job';
import { OPTIONS, readPart } from './world';

const PARTS = ['law', 'repeatable deviation and chance', 'drift', 'pixels'] as const;
type Part = (typeof PARTS)[number];

interface Budget {
  readonly said: Readonly<Record<Part, number>>;
  readonly true: Readonly<Record<Part, number>>;
  readonly covered: boolean;
}

function budgetOf({ printer }: World, target: PlacedTarget, signature: Signature): Budget {
  const { pixelMm } = printer;
  const { drawMm } = drawTarget(signature, target, { pixelMm });
  const { mean, sd } = mixtureMoments(
    predictSize(signature, { kind: target.kind, drawnMm: drawMm, pixelMm }),
  );
  const place = { ...target, drawnMm: drawMm };
  const lawful = lawfulSize({ ...printer, pixelMm: 1e-6 }, place);
  const { nodes, weights } = signature.posterior;
  const scatter = nodes.reduce((sum, { tauB, tauP }, i) => sum + weights[i] * (tauB ** 2 + tauP ** 2), 0);
  const drift = driftRow(target.kind, drawMm);
  const driftOf = (edge: number, scale: number) => (drift.edge * edge) ** 2 + (drift.scale * scale) ** 2;
  const aligned = target.kind.shape === 'flat' && (target.kind.axis === 'X' || target.kind.axis === 'Y');
  const pixels = aligned ? pixelMm ** 2 / 6 : 0;
  const said = {
    'repeatable deviation and chance': scatter,
    drift: driftOf(DRIFT_EDGE_SD_MM, DRIFT_SCALE_SD),
    pixels,
  };
  const size = printFeature(printer, place, 'A1');
  return {
    said: { ...said, law: sd ** 2 - said['repeatable deviation and chance'] - said.drift - said.pixels },
    true: {
      law: (mean - lawful) ** 2,
      'repeatable deviation and chance': printer.habitSd ** 2 + printer.chanceSd ** 2,
      drift: driftOf(printer.driftEdgeSd, printer.driftScaleSd),
      pixels,
    },
    covered: Math.abs(size - mean) <= 1.96 * sd,
  };
}

function report(family: Family, gauge: 'six' | '24', printers: number): void {
  const budgets = Array.from({ length: printers }, (_, i) => {
    const world = makeWorld(1000 + i, family);
    const block = gauge === 'six' ? BLOCK_OF_6 : BLOCK_OF_24;
    const signature = estimateSignature(readPart(world, block, 'G'), OPTIONS);
    return world.targets.map((target) => budgetOf(world, target, signature));
  }).flat();
  const meanOf = (of: (budget: Budget) => number) =>
    budgets.reduce((sum, budget) => sum + of(budget), 0) / budgets.length;
  const covered = meanOf((budget) => (budget.covered ? 1 : 0));
  console.log(
    `\n${family} family, ${gauge} sizes, ${printers} printers: 95 % intervals cover ${(100 * covered).toFixed(1)} %`,
  );
  const micron = (variance: number) => (1000 * Math.sqrt(Math.max(0, variance))).toFixed(1);
  for (const part of PARTS)
    console.log(
      `| ${part} | said ${micron(meanOf(({ said }) => said[part]))} µm | in truth ${micron(meanOf((budget) => budget.true[part]))} µm |`,
    );
}

const printers = Number(process.argv[2] ?? 200);
for (const family of ['first', 'second'] as const)
  for (const gauge of ['six', '24'] as const) report(family, gauge, printers);
