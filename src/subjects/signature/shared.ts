export { changeForm, controlForm, settingsForm } from './input-change';
export { foreignForm } from './input-foreign';
export { describeForeignIssue } from './words-issues';
export { describeLawIssue } from './words-law';
export { cardForm } from './input-card';
export {
  type ChangeIssue,
  describeAlarm,
  describeChange,
  describeChangeIssue,
  describeChangeKind,
  describeSettingChange,
  describeVoided,
} from './words-changes';
export { profileForm } from './input-profile';
export { printerForm } from './input-printer';
export {
  describeSignatureFileIssue,
  parseRelatedProfilesJson,
  parseSignatureJson,
  type SignatureFileIssue,
} from './input-signature-json';
export { describeProfileIssue, type ProfileIssue } from './words-issues';
export { describePrinter } from './words-printer';
