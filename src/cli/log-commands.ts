import { bitsOf, posteriorOf, samePlace } from '@/core/log';
import { describeJsonIssue } from '@/subjects/kit/shared';
import {
  describeCauseIssue,
  describePlaceIssue,
  parseCauseJson,
  parsePlacesJson,
} from '@/subjects/log/shared';
import type { Arguments } from './arguments';
import { readText } from './files';
import { valueOrRefuse } from './usage-error';

/** `log where PLACES.json`: whether failures of several prints are at the same place, or random choices do as well. */
export function runLogWhere({ positionals: [path] }: Arguments): object {
  const prints = valueOrRefuse(
    parsePlacesJson(readText(path)),
    (issue) => `${path}: ${describeJsonIssue(issue)}`,
  );
  const { statistic, arrangements, p, isExact } = valueOrRefuse(
    samePlace(prints),
    (issue) => `${path}: ${describePlaceIssue(issue)}`,
  );
  // JSON knows no infinity: arrangements past counting are left out.
  const counted = Number.isFinite(arrangements) ? { arrangements } : {};
  return { statistic_mm: statistic, ...counted, p, exact: isExact };
}

/** `log cause CAUSE.json`: the posterior of the causes, and the bits that each test would tell. */
export function runLogCause({ positionals: [path] }: Arguments): object {
  const { tests, ...ask } = valueOrRefuse(
    parseCauseJson(readText(path)),
    (issue) => `${path}: ${describeJsonIssue(issue)}`,
  );
  const { chances } = valueOrRefuse(posteriorOf(ask), (issue) => `${path}: ${describeCauseIssue(issue)}`);
  const bits = Object.fromEntries(
    Object.entries(tests).map(([name, table]) => [name, bitsOf(chances, table)]),
  );
  return { posterior: chances, bits };
}
