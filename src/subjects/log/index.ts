import 'server-only';

export {
  keepCause,
  keepTest,
  noteCare,
  noteFailure,
  noteWell,
  takeBackCare,
  takeBackFailure,
} from './keep-failure';
export { type CareView, careOf, listDueCare } from './view-care';
export { type CaseView, listFailuresOf, type TestView, viewCase } from './view-case';
export { type LogView, type PlacedFailure, viewLog } from './view-log';
export { type RateGroup } from './view-rates';
