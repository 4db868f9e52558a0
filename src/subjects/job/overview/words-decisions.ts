import { type CheckEntry, describeCheckEntry } from '@/subjects/part/shared';
import { type ChoiceEntry, describeChoiceEntry } from '@/subjects/resin/choice/shared';
import { describeFitEntry, type FitEntry } from '@/subjects/fit/mating/shared';
import { describeGaugeEntry, type GaugeEntry } from '@/subjects/fit/gauges/shared';
import { describeJobEntry, type JobEntry } from '@/subjects/job/jobs/shared';
import { describeLogEntry, type LogEntry } from '@/subjects/log/shared';
import { describeMeasureEntry, type MeasureEntry } from '@/subjects/measure/readings/shared';
import { describeNeedEntry, type NeedEntry } from '@/subjects/job/need/shared';
import { describeToldEntry, type DecisionWords, type ToldEntry } from '@/subjects/workshop/records/shared';
import { describePlateEntry, type PlateEntry } from '@/subjects/print/plate/shared';
import { describeSheetEntry, type SheetEntry } from '@/subjects/job/sheets/shared';

/** All decisions in the history of a job; each subject describes its own. */
export type DecisionEntry =
  | JobEntry
  | NeedEntry
  | SheetEntry
  | ChoiceEntry
  | FitEntry
  | GaugeEntry
  | CheckEntry
  | MeasureEntry
  | PlateEntry
  | LogEntry
  | ToldEntry;

/** Returns a decision as text. */
export function describeDecision(entry: DecisionEntry): DecisionWords {
  switch (entry.code) {
    case 'attemptDrawn':
    case 'partBroughtIn':
    case 'featureChanged':
      return describeJobEntry(entry);
    case 'testAgreed':
    case 'ruleChosen':
    case 'needReopened':
    case 'testAnswered':
      return describeNeedEntry(entry);
    case 'sheetTakenOver':
      return describeSheetEntry(entry);
    case 'strainAsked':
    case 'resinChosen':
      return describeChoiceEntry(entry);
    case 'wished':
    case 'jointKept':
    case 'jointFound':
      return describeFitEntry(entry);
    case 'gaugeDrawn':
      return describeGaugeEntry(entry);
    case 'stanceSaid':
    case 'layersRead':
    case 'findingJudged':
    case 'partTurned':
    case 'printed':
      return describeCheckEntry(entry);
    case 'readingsTakenIn':
      return describeMeasureEntry(entry);
    case 'runStarted':
    case 'runEnded':
      return describePlateEntry(entry);
    case 'failed':
      return describeLogEntry(entry);
    case 'told':
      return describeToldEntry(entry);
  }
}
