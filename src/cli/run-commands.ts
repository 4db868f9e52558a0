import { planDay, planResin } from '@/core/print';
import {
  describeDayIssue,
  describeRunFileIssue,
  parseDayJson,
  parseRunJson,
} from '@/subjects/print/postprocess/shared';
import { type Arguments, textOption } from './arguments';
import { readText } from './files';
import { UsageError, valueOrRefuse } from './usage-error';

/** `run RUN.json`: how long a print takes, the resin it uses, and when to pour. */
export function runRun({ positionals: [path] }: Arguments): object {
  const { program, areasMm2, vat } = valueOrRefuse(
    parseRunJson(readText(path)),
    (issue) => `${path}: ${describeRunFileIssue(issue)}`,
  );
  try {
    const { durationS, resinMl, topUps, leftMl } = planResin(areasMm2, program, vat);
    return {
      duration_s: durationS,
      resin_mL: resinMl,
      topUps: topUps.map(({ layer, clockS, addMl }) => ({ layer, clock_s: clockS, add_mL: addMl })),
      left_mL: leftMl,
    };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new UsageError(
      `${path}: one layer needs more resin than a full vat holds above its minimum level. Check the areas, or use a larger vat.`,
    );
  }
}

/** `plan DAY.json`: the steps of a day's jobs over the stations and the person. */
export function runPlan(given: Arguments): object {
  const [path] = given.positionals;
  const day = valueOrRefuse(
    parseDayJson(readText(path)),
    (issue) => `${path}: ${describeRunFileIssue(issue)}`,
  );
  const seed = Number(textOption(given, 'seed') ?? 1);
  if (!Number.isSafeInteger(seed)) throw new UsageError('--seed takes a whole number.');
  const plan = valueOrRefuse(planDay(day, { seed }), (issue) => `${path}: ${describeDayIssue(issue)}`);
  const asJson = ({ tardinessMin, finishMin }: typeof plan.worth) => ({
    tardiness_min: tardinessMin,
    finish_min: finishMin,
  });
  return {
    steps: plan.steps.map(({ job, step, startMin, endMin }) => ({
      job,
      step,
      start_min: startMin,
      end_min: endMin,
    })),
    ...asJson(plan.worth),
    bound: asJson(plan.bound),
    exact: plan.exact,
  };
}
