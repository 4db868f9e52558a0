import { percent, quoted } from '@/core/kit/wording';
import { describeCsvIssue } from '@/subjects/kit/shared';
import type { ShelfCsvIssue } from './input-shelf-csv';
import type { BadRow } from './input-shelf-json';
import { describeResinSheetIssue, describeUnitIssue } from './words-issues';
import { describeResinTestIssue } from './words-resin-tests';

function describeBadRow({ where, issue }: BadRow): string {
  switch (issue.code) {
    case 'unitUnknown':
    case 'zeroDensity':
    case 'negativeModulus':
    case 'valueOutOfRange':
      return `${where}: ${describeUnitIssue(issue)}`;
    case 'proof':
      return `${where}: ${describeResinTestIssue(issue.issue)}`;
    case 'notReadable':
      return `${where}: ${quoted(issue.detail)}.`;
    case 'nameTwice':
      return `${where} is in the file twice. Keep one.`;
    case 'blendUnknown':
      return `${where} is blended from “${issue.name}”, which is not in the file and not in your resins.`;
    case 'blendSum':
      return `${where}: the parts of the blend add up to ${percent(issue.sum)}, not 100 %.`;
    case 'deflectionCrossed':
    case 'stressesCrossed':
    case 'cureCrossed':
    case 'unitsMixed':
    case 'viscosityWithoutTemperature':
    case 'saidTwice':
      return `${where}: ${describeResinSheetIssue(issue)}`;
  }
}

/** Bad rows that are named one by one. */
const MOST_NAMED = 6;

/** What prevents the import of a resin file, bad rows by name. */
export function describeShelfIssue(issue: ShelfCsvIssue): string {
  switch (issue.code) {
    case 'notJson':
      return 'the file is not valid JSON. Choose a file from “Export resins”, or a CSV with resin, property and value.';
    case 'notAShelf':
      return 'this JSON is not a resin file. It needs "kind": "shelf" and a list of resins.';
    case 'tooManyResins':
      return `more than ${issue.limit} resins. Split the file.`;
    case 'badRows': {
      const named = issue.rows.slice(0, MOST_NAMED).map(describeBadRow);
      const more = issue.rows.length - named.length;
      return `${named.join(' ')}${more > 0 ? ` ${more} more problem${more === 1 ? '' : 's'}.` : ''} Nothing was imported. Correct the file and import it again.`;
    }
    case 'cell':
      return describeCsvIssue(issue.issue);
    case 'emptyTable':
    case 'missingColumns':
    case 'raggedRow':
    case 'tooManyRows':
      return describeCsvIssue(issue);
  }
}
