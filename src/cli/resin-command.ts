import { type Check, type Ranked, rankResins, type ShelfEntry, SHIPPED_SHELF } from '@/core/resin';
import { describeRequirementIssue, parseRequirementJson } from '@/subjects/resin/choice/shared';
import { describeShelfIssue, parseShelfJson } from '@/subjects/resin/shelf/shared';
import { type Arguments, textOption } from './arguments';
import { readText } from './files';
import { valueOrRefuse } from './usage-error';

/** A share or a temperature is not a thing of fifteen digits. */
const tidy = (value: number | null) =>
  value === null || !Number.isFinite(value) ? null : Number(value.toPrecision(12));

const rowOf = ({ requirement, need, have }: Check) => ({ requirement, need: tidy(need), have: tidy(have) });

function rankedRow({ resin, score, checks }: Ranked) {
  return {
    resin,
    score: tidy(score),
    margins: checks.map((check) => ({ ...rowOf(check), margin: tidy(check.margin) })),
  };
}

/** `resin rank REQUIREMENT.json [--resins RESINS.json]`: which resins pass, and why each other one does not. */
export function runResinRank(given: Arguments): object {
  const [path] = given.positionals;
  const wanted = valueOrRefuse(
    parseRequirementJson(readText(path)),
    (issue) => `${path}: ${describeRequirementIssue(issue)}`,
  );
  const file = textOption(given, 'resins');
  const shelf: readonly ShelfEntry[] =
    file === undefined
      ? SHIPPED_SHELF
      : valueOrRefuse(parseShelfJson(readText(file)), (issue) => `${file}: ${describeShelfIssue(issue)}`);
  const all = rankResins(shelf, wanted);
  return {
    ranked: all.filter(({ verdict }) => verdict === 'passes').map(rankedRow),
    rejected: all
      .filter(({ verdict }) => verdict !== 'passes')
      .map(({ resin, checks }) => ({
        resin,
        reasons: checks.filter(({ state }) => state !== 'pass').map(rowOf),
      })),
  };
}
