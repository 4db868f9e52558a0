import 'server-only';

export { changePrinter, type PrinterFacts } from './change-printer';
export { createProfile, type NewProfile } from './create-profile';
export { keepSignatures, type Later } from './keep-signature';
export { type LearnedSignature, learnElsewhere, newestSignature, waitForSignature } from './newest-signature';
export { learnShopMeanings } from './tries-as-evidence';
export {
  findPrinter,
  firstProfile,
  glanceAtProfiles,
  listPrinters,
  listProfileChoices,
  type ProfileGlance,
} from './view-profiles';
export { hasProfile, listKeptSignatures, type SignatureView, viewSignature } from './view-signature';
