export {
  answerForm,
  claimFieldName,
  FIT_STATES,
  needForm,
  LONGEST_CAPTION,
  sideFieldName,
  pictureForm,
} from './input-need';
export { describeAnswerIssue, describeNeedIssue, describePictureIssue } from './words-issues';
export { describeNeedEntry, type NeedEntry } from './words-decisions';
