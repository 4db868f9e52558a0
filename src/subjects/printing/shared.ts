export { profileForm } from './input-profile';
export { stationsForm } from './input-stations';
export { describeProfileIssue, type ProfileIssue } from './words-issues';
export { parameterWords } from './words-signature';
