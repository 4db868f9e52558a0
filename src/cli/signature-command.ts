import { quoted } from '@/core/kit/wording';
import {
  correctReading,
  estimateSize,
  type Instrument,
  PART_STATES,
  type PartState,
  pooledScatter,
} from '@/core/measure';
import {
  estimateSignature,
  lawPrior,
  priorFromRelatedProfiles,
  reportSignature,
  type SignatureOptions,
  type SignatureReading,
  type SignatureReport,
} from '@/core/signature';
import type { Result } from '@/core/kit';
import { parseChecksCsv } from '@/subjects/measure/calipers/shared';
import { parseTargetsCsv } from '@/subjects/job/jobs/shared';
import { describeCsvIssue } from '@/subjects/kit/shared';
import { parseReadingsCsv, type ReadingRow } from '@/subjects/measure/readings/shared';
import { describeSignatureFileIssue, parseRelatedProfilesJson } from '@/subjects/signature/shared';
import { type Arguments, numberOption, textOption } from './arguments';
import { readText } from './files';
import { remark } from './progress';
import { UsageError, valueOrRefuse } from './usage-error';

/** First layers flare: sizes in the plane read lower than this are reported, not learned from. */
const LEAST_HEIGHT_MM = 1;

function jawFlatOption(given: Arguments): Instrument['jawFlatMm'] {
  const text = textOption(given, 'jaw-flat');
  return text === 'unknown' ? 'unknown' : text === undefined ? undefined : numberOption(given, 'jaw-flat', 0);
}

function stateOption(given: Arguments): PartState | undefined {
  const text = textOption(given, 'state');
  if (text === undefined) return undefined;
  const state = PART_STATES.find((candidate) => candidate === text);
  if (state === undefined)
    throw new UsageError(`--state: “${quoted(text)}” is not valid. Use one of ${PART_STATES.join(', ')}.`);
  return state;
}

function isTooLow(row: ReadingRow): boolean {
  return row.kind.axis !== 'Z' && row.heightMm !== undefined && row.heightMm < LEAST_HEIGHT_MM;
}

/** Why a reading is kept and not learned from; undefined where it is. */
function leftOutOf(row: ReadingRow): string | undefined {
  if (isTooLow(row))
    return `was measured ${row.heightMm} mm above the plate, where first layers flare; not learned from.`;
  if (row.state === 'coated' && row.coatMm === undefined)
    return 'is coated but has no coat_mm, so it is not used. Enter the coating thickness per face.';
  return undefined;
}

function toReading(row: ReadingRow, instrument: Instrument, unstated: PartState): SignatureReading {
  const conditions = { zeroMm: row.zeroMm, partC: row.partC };
  return {
    ...row.kind,
    feature: row.feature,
    print: row.print,
    drawnMm: row.drawnMm,
    readingMm: correctReading(row.readingMm, row.kind, instrument, conditions),
    shownMm: row.readingMm,
    state: row.state ?? unstated,
    coatMm: row.coatMm,
    place: row.place,
    instrument: row.instrument,
    source: row.line,
  };
}

/** The rows of readings.csv; a header alone gives none, so that the prior can be asked for. */
function readReadings(path: string): ReadingRow[] {
  const text = readText(path);
  const parsed = parseReadingsCsv(text);
  if (!parsed.ok && parsed.issue.code === 'emptyTable' && text.trim() !== '') return [];
  return valueOrRefuse(parsed, (issue) => `${path}: ${describeCsvIssue(issue)}`);
}

/** The state of rows that state none: the one that all others were read in, or cured. */
function unstatedState(rows: readonly ReadingRow[]): PartState {
  const stated = new Set(rows.flatMap(({ state }) => state ?? []));
  return stated.size === 1 ? [...stated][0] : 'cured';
}

/** A file given as an option, parsed; the first thing wrong with it is said behind its name. */
function optionalFile<Value, Issue>(
  given: Arguments,
  name: string,
  parse: (text: string) => Result<Value, Issue>,
  describe: (issue: Issue) => string,
): Value | undefined {
  const path = textOption(given, name);
  if (path === undefined) return undefined;
  return valueOrRefuse(parse(readText(path)), (issue) => `${path}: ${describe(issue)}`);
}

function instrumentOption(given: Arguments): Instrument {
  return {
    mpeMm: numberOption(given, 'mpe', 0.02),
    resolutionMm: numberOption(given, 'resolution', 0.01),
    jawFlatMm: jawFlatOption(given),
  };
}

/** What the signature is learned with beside the readings. */
function signatureOptions(
  given: Arguments,
  instrument: Instrument,
  names: Iterable<string>,
): SignatureOptions {
  const ownPrior = lawPrior({ jawFlatsUnknown: instrument.jawFlatMm === 'unknown' });
  const related = optionalFile(given, 'relatives', parseRelatedProfilesJson, describeSignatureFileIssue);
  return {
    instruments: Object.fromEntries([...new Set(names)].map((name) => [name, instrument])),
    prior:
      related === undefined ? ownPrior : priorFromRelatedProfiles(related.kin, related.relatives, ownPrior),
    ownPrior,
    checks: optionalFile(given, 'checks', parseChecksCsv, describeCsvIssue),
    state: stateOption(given),
  };
}

/** `signature READINGS.csv …`: the report; what was not learned from is remarked on. */
export function runSignature(given: Arguments): SignatureReport {
  const [path] = given.positionals;
  const all = readReadings(path);
  const rows = all.filter((row) => leftOutOf(row) === undefined);
  if (rows.length === 0 && all.length > 0)
    throw new UsageError(`${path}: line ${all[0].line}: ${all[0].feature} ${leftOutOf(all[0])}`);
  const instrument = instrumentOption(given);
  const targets = optionalFile(given, 'targets', parseTargetsCsv, describeCsvIssue) ?? [];
  const options = signatureOptions(
    given,
    instrument,
    rows.map((row) => row.instrument ?? ''),
  );
  const unstated = unstatedState(all);
  const signature = estimateSignature(
    rows.map((row) => toReading(row, instrument, unstated)),
    options,
  );
  const values = signature.observations.map((each) => each.readings.map(({ readingMm }) => readingMm));
  const pooled = pooledScatter(values);
  const uOfSize = (index: number) => estimateSize(values[index], { instrument, pooled, warmthU: 0 }).u_mm;
  const report = reportSignature(signature, targets, options, uOfSize);
  for (const row of all) {
    const why = leftOutOf(row);
    if (why !== undefined) remark(`line ${row.line}: ${row.feature} ${why}`);
  }
  return report;
}
