/**
 * A job with five sizes, printed at its targets and measured; then each correction method alone, and the one that the
 * program recommends: share of jobs with every size in its limits in the next print, over simulated printers whose
 * light does not follow the model. Usage: `npm run bench:levers [-- PRINTERS]`.
 */
import {
  chooseCorrectionMethod,
  compareCorrectionMethods,
  type CorrectionMethod,
  CORRECTION_METHODS,
  type CorrectionMethodWorth,
} from '@/core/exposure';
import { estimateSignature } from '@/core/signature';
import { exposedBy, type Family, holds } from '@/core/simulated';
import { isRight, makeWorld, placed, type World } from './job';
import { OPTIONS, readPart, share } from './world';

/** True effect of a correction method: the printer unchanged, or with the changed exposure. */
function comesRight(world: World, { drawn, exposureS = 1 }: CorrectionMethodWorth): boolean {
  const printer = exposedBy(world.printer, exposureS);
  if (!holds(printer)) return false;
  const sizes = new Map(drawn.map(({ target, drawMm }) => [target.feature, drawMm]));
  return isRight(
    { ...world, printer },
    placed(world, ({ feature }) => sizes.get(feature)!),
    'A2',
  );
}

interface Played {
  readonly levers: Readonly<Record<CorrectionMethod, { readonly right: boolean; readonly told: number }>>;
  readonly chosen: CorrectionMethod;
}

/** A printer whose scales, heights and film were set right before: what is left is its exposure, 0.7 to 1.6 times the true one. */
function onlyExposed(world: World): World {
  const dose = 2 * 0.7 * (1.6 / 0.7) ** world.random.uniform();
  const still = { shrinkX: 0, shrinkY: 0, shrinkZ: 0, skew: 0, insideFilmMm: 0, squashMm: 0 };
  return { ...world, printer: { ...world.printer, ...still, dose } };
}

type Case = Family | 'exposure only';

function play(seed: number, kind: Case): Played {
  const world = kind === 'exposure only' ? onlyExposed(makeWorld(seed, 'first')) : makeWorld(seed, kind);
  const untouched = placed(world, ({ targetMm }) => targetMm);
  const signature = estimateSignature(readPart(world, untouched, 'A1'), OPTIONS);
  const worths = compareCorrectionMethods({
    signature,
    sizes: world.targets.map((target) => ({ target, asDrawnMm: target.targetMm })),
    options: { pixelMm: world.printer.pixelMm },
    light: { exposureS: 1 },
  });
  const levers = Object.fromEntries(
    worths.map((worth) => [worth.lever, { right: comesRight(world, worth), told: worth.joint }]),
  ) as Played['levers'];
  return { levers, chosen: chooseCorrectionMethod(worths).lever };
}

const printers = Number(process.argv[2] ?? 200);
for (const kind of ['first', 'second', 'exposure only'] as const) {
  const played = Array.from({ length: printers }, (_, i) => play(1000 + i, kind));
  const told = (of: (each: Played) => number) =>
    `${((100 * played.reduce((sum, each) => sum + of(each), 0)) / printers).toFixed(0)} %`;
  const row = (name: string, of: (each: Played) => CorrectionMethod) =>
    console.log(
      `| ${name} | ${share(played.filter((each) => each.levers[of(each)].right).length, printers)} | ${told((each) => each.levers[of(each)].told)} |`,
    );
  console.log(`\n${kind}, ${printers} printers: all five sizes right at the next print`);
  console.log('| method | right | stated |');
  console.log('|---|---|---|');
  for (const lever of CORRECTION_METHODS) row(lever, () => lever);
  row('the one chosen', ({ chosen }) => chosen);
  const counts = CORRECTION_METHODS.map(
    (lever) => `${lever} ${played.filter(({ chosen }) => chosen === lever).length}`,
  );
  console.log(`Chosen: ${counts.join(', ')}.`);
}
