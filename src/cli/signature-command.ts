import {
  correctReading,
  estimateSize,
  type Instrument,
  PART_STATES,
  type PartState,
  pooledScatter,
} from '@/core/metrology';
import {
  estimateSignature,
  groupObservations,
  lawPrior,
  reportSignature,
  type SignatureReading,
  type SignatureReport,
} from '@/core/signature';
import { parseTargetsCsv } from '@/subjects/job/shared';
import { describeCsvIssue, quoted } from '@/subjects/language/shared';
import { parseReadingsCsv, type ReadingRow } from '@/subjects/measure/shared';
import { type Arguments, numberOption, onePath, parseArguments, textOption } from './arguments';
import { readText } from './files';
import { UsageError, valueOrRefuse } from './usage-error';

const OPTIONS = ['targets', 'mpe', 'resolution', 'jaw-flat', 'state', 'json'];

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
    throw new UsageError(`--state: “${quoted(text)}” is none of ${PART_STATES.join(', ')}.`);
  return state;
}

/** Rows of the state asked for (those without one count), or all when they agree. */
function selectState(rows: readonly ReadingRow[], state: PartState | undefined, path: string): ReadingRow[] {
  if (state !== undefined) {
    const kept = rows.filter((row) => row.state === undefined || row.state === state);
    if (kept.length === 0)
      throw new UsageError(`${path}: no reading was taken ${state}. Choose another --state.`);
    return kept;
  }
  const stated = rows.filter((row) => row.state !== undefined);
  const other = stated.find((row) => row.state !== stated[0].state);
  if (other !== undefined) {
    throw new UsageError(
      `${path}: line ${other.line} is ${other.state}, line ${stated[0].line} ${stated[0].state}. Choose one with --state.`,
    );
  }
  return [...rows];
}

function isTooLow(row: ReadingRow): boolean {
  return row.kind.axis !== 'Z' && row.heightMm !== undefined && row.heightMm < LEAST_HEIGHT_MM;
}

function toReading(row: ReadingRow, instrument: Instrument): SignatureReading {
  const conditions = { zeroMm: row.zeroMm, partC: row.partC };
  return {
    ...row.kind,
    feature: row.feature,
    print: row.print,
    drawnMm: row.drawnMm,
    readingMm: correctReading(row.readingMm, row.kind, instrument, conditions),
    shownMm: row.readingMm,
    instrument: row.instrument,
    source: row.line,
  };
}

/** `signature READINGS.csv …`: the report, and what is to be said beside it. */
export function runSignature(words: readonly string[]): { report: SignatureReport; notes: string[] } {
  const given = parseArguments(words, OPTIONS);
  const path = onePath(given, 'signature');
  const all = valueOrRefuse(
    parseReadingsCsv(readText(path)),
    (issue) => `${path}: ${describeCsvIssue(issue)}`,
  );
  const selected = selectState(all, stateOption(given), path);
  const rows = selected.filter((row) => !isTooLow(row));
  if (rows.length === 0)
    throw new UsageError(
      `${path}: every reading was taken under 1 mm height, where first layers flare. Read higher up.`,
    );
  const instrument: Instrument = {
    mpeMm: numberOption(given, 'mpe', 0.02),
    resolutionMm: numberOption(given, 'resolution', 0.01),
    jawFlatMm: jawFlatOption(given),
  };
  const targetsPath = textOption(given, 'targets');
  const targets =
    targetsPath === undefined
      ? []
      : valueOrRefuse(
          parseTargetsCsv(readText(targetsPath)),
          (issue) => `${targetsPath}: ${describeCsvIssue(issue)}`,
        );
  const readings = rows.map((row) => toReading(row, instrument));
  const names = new Set(rows.map((row) => row.instrument ?? ''));
  const options = {
    instruments: Object.fromEntries([...names].map((name) => [name, instrument])),
    prior: lawPrior({ jawFlatsUnknown: instrument.jawFlatMm === 'unknown' }),
  };
  const observations = groupObservations(readings, options.instruments);
  const pooled = pooledScatter(observations.map((each) => each.readings.map((reading) => reading.readingMm)));
  const uOfSize = (index: number) => {
    const values = observations[index].readings.map((reading) => reading.readingMm);
    return estimateSize(values, { instrument, pooled, warmthU: 0 }).u_mm;
  };
  const report = reportSignature(estimateSignature(readings, options), targets, options, uOfSize);
  const notes = selected
    .filter(isTooLow)
    .map(
      (row) =>
        `line ${row.line}: ${row.feature} was read ${row.heightMm} mm above the plate, where first layers flare; not learned from.`,
    );
  return { report, notes };
}
