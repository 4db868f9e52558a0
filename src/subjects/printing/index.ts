import 'server-only';

export { createProfile } from './create-profile';
export { type LearnedSignature, learnSignature } from './learn-signature';
export { setStations } from './set-stations';
export { learnShopMeanings } from './tries-as-evidence';
export { firstProfile, glanceAtProfiles, listProfileChoices, listStations } from './view-profiles';
export { listKeptSignatures, type SignatureView, viewSignature } from './view-signature';
