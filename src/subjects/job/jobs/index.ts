import 'server-only';

export { addFeature } from './add-feature';
export { archiveJob } from './archive-job';
export {
  buildJobFile,
  canBuild,
  loadKernel,
  outlineOfJob,
  PART_FORMATS,
  type PartFormat,
} from './build-part';
export { changeProcess, takeBackProcess } from './change-process';
export { changeFitClasses } from './change-fit-classes';
export { changeFeature, type FeatureChange } from './change-feature';
export { copyJob } from './copy-job';
export { createJob } from './create-job';
export { createProfileForJob } from './create-profile-for-job';
export { drawnOfPart, drawOptions } from './drawn-sizes';
export { type FeatureInput } from './feature-input';
export { keepMateBody, type MateInput } from './keep-mate';
export { keepPartFile } from './keep-part-file';
export {
  bandOf,
  conditionsOf,
  limitsOf,
  mateOf,
  NO_WISH,
  type WishGround,
  wishGround,
} from './limits-of-wish';
export { markOvertaken } from './mark-overtaken';
export { notePrint, notePrints } from './note-print';
export { type FootThen, type FootView, listFeet, viewFoot } from './view-foot';
export { placeFeature } from './place-feature';
export { limitsOffered, refit, takeOverClasses } from './refit-job';
export { removeFeature } from './remove-feature';
export { reopenedSince, type Standing, standingOf } from './reopened';
export { type DrawnJoint, type NewAttempt, startAttempt } from './start-attempt';
export {
  isJob,
  type JobView,
  type PartView,
  profileOfJob,
  viewJob,
  viewJobUnlearned,
  viewPart,
} from './view-job';
export { type JobPart, basePartOfJob, partOfJob } from './view-part';
export { type FeatureView, type PrintView, viewPrint } from './view-print';
