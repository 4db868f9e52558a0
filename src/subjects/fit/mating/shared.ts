export { chainInput, wantedSizesInput } from './input-desk';
export { jointForm, type JointFoundInput, jointFoundInput, strengthForm, wishForm } from './input-fit';
export { describeFastening, describeFasteningReason, describeFasteningSize } from './words-fastening';
export { describeIsoIssue, describePress } from './words-fit';
export { describeWishIssue, describeWishKept } from './words-issues';
export { describeJointFound, describeJointOutcome } from './words-joint';
export { describeFitEntry, type FitEntry } from './words-decisions';
export { listStandardMates } from './words-standard-mates';
