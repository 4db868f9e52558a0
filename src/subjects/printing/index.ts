import 'server-only';

export { createProfile, type NewProfile } from './create-profile';
export { keepSignatures, type Later } from './keep-signature';
export { type LearnedSignature, newestSignature } from './newest-signature';
export { setStations } from './set-stations';
export { learnShopMeanings } from './tries-as-evidence';
export { firstProfile, glanceAtProfiles, listProfileChoices, listStations } from './view-profiles';
export { listKeptSignatures, type SignatureView, viewSignature } from './view-signature';
