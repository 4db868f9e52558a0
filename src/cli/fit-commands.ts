import {
  estimateGapTest,
  findGapTestNote,
  isoFit,
  pressFit,
  snapHook,
  summariseGapTest,
} from '@/core/fit/mating';
import { parseLength } from '@/core/measure';
import { describeIsoIssue } from '@/subjects/fit/mating/shared';
import { describeGapTestNote, parseOutcomesCsv } from '@/subjects/fit/gauges/shared';
import { describeCsvIssue, describeQuantityIssue } from '@/subjects/kit/shared';
import { type Arguments, neededNumber } from './arguments';
import { readText } from './files';
import { remark } from './progress';
import { UsageError, valueOrRefuse } from './usage-error';

/** `ladder OUTCOMES.csv`: the threshold of coming free, and the gap to draw. */
export function runGapTest({ positionals: [path] }: Arguments): object {
  const rungs = valueOrRefuse(
    parseOutcomesCsv(readText(path)),
    (issue) => `${path}: ${describeCsvIssue(issue)}`,
  );
  const { g50Mm, widthMm, recommendedMm, interval95Mm } = summariseGapTest(estimateGapTest(rungs));
  const note = findGapTestNote(rungs);
  if (note !== undefined) remark(`${path}: ${describeGapTestNote(note)}`);
  return { g50_mm: g50Mm, width_mm: widthMm, recommended_mm: recommendedMm, interval95_mm: interval95Mm };
}

/** `press`: two cylinders pressed together. */
export function runPress(given: Arguments): object {
  const interfaceMm = neededNumber(given, 'interface');
  const outerMm = neededNumber(given, 'outer');
  const boreMm = neededNumber(given, 'bore', 0);
  if (outerMm <= interfaceMm)
    throw new UsageError(
      `--outer ${outerMm} must be larger than --interface ${interfaceMm}: the hub has no wall.`,
    );
  if (boreMm >= interfaceMm)
    throw new UsageError(
      `--bore ${boreMm} must be smaller than --interface ${interfaceMm}: the shaft has no wall.`,
    );
  const result = pressFit({
    interfaceMm,
    outerMm,
    boreMm,
    interferenceMm: neededNumber(given, 'interference', 0),
    hubModulusMPa: neededNumber(given, 'hub-e'),
    hubPoisson: neededNumber(given, 'hub-nu', 0),
    shaftModulusMPa: neededNumber(given, 'shaft-e'),
    shaftPoisson: neededNumber(given, 'shaft-nu', 0),
    lengthMm: neededNumber(given, 'length'),
    friction: neededNumber(given, 'friction', 0),
  });
  return {
    pressure_MPa: result.pressureMPa,
    hubHoop_MPa: result.hubHoopMPa,
    hubStrain: result.hubStrain,
    push_N: result.pushN,
  };
}

/** `snap`: a cantilever hook. */
export function runSnap(given: Arguments): object {
  const leadDeg = neededNumber(given, 'lead-deg', 0);
  if (leadDeg >= 90)
    throw new UsageError(`--lead-deg: ${leadDeg} must be below 90, measured from the push direction.`);
  const result = snapHook({
    lengthMm: neededNumber(given, 'length'),
    thicknessMm: neededNumber(given, 'thickness'),
    widthMm: neededNumber(given, 'width'),
    deflectionMm: neededNumber(given, 'deflection', 0),
    modulusMPa: neededNumber(given, 'modulus'),
    friction: neededNumber(given, 'friction', 0),
    leadRad: (leadDeg * Math.PI) / 180,
  });
  if (result.insertN === Infinity)
    throw new UsageError(
      `--lead-deg ${leadDeg} with --friction ${given.options.friction}: the slope locks and cannot be pushed in. Make it flatter.`,
    );
  return { strain: result.strain, deflect_N: result.deflectN, insert_N: result.insertN };
}

/** `iso286 SIZE FIT`: limits and clearances. */
export function runIso286({ positionals: [size, fit] }: Arguments): object {
  const { valueMm } = valueOrRefuse(parseLength(size), (issue) => `size: ${describeQuantityIssue(issue)}`);
  return valueOrRefuse(isoFit(valueMm, fit), describeIsoIssue);
}
