export { chainInput, wantedSizesInput } from './input-desk';
export { jointForm, strengthForm, wishForm } from './input-fit';
export { describeFastening, describeFasteningReason, describeFasteningSize } from './words-fastening';
export { describeIsoIssue, describePress } from './words-fit';
export { describeWishIssue, describeWishKept } from './words-issues';
export { describeFitEntry, type FitEntry } from './words-ledger';
export { listStandardMates } from './words-standard-mates';
