import 'server-only';

export { dropWish } from './drop-wish';
export { keepStrength } from './keep-strength';
export { drawnJoints } from './drawn-joints';
export { recordJoint } from './record-joint';
export { removeJoint } from './remove-joint';
export { type GapTestSource } from './gap-steps-for-joint';
export { saveJoint } from './save-joint';
export { type ChainView, type LinkInput, workOutChain } from './view-chain';
export { type FitView, type Mate, viewFits } from './view-fits';
export { type JointFound, jointsOfPrint, listTriedGaps, type PrintedJoint } from './view-joint-outcomes';
export { type JointView, viewJoints } from './view-joints';
export { type Joint, listJoints } from './list-joints';
export { type ResinStrength, strengthOf, type StrengthValue } from './view-strength';
export { drawSizes, type SizeWanted } from './view-wanted-sizes';
export { wishFor, type WishInput } from './wish-for';
