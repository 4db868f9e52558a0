import 'server-only';

export { type CardView, viewCard } from './view-card';
export { type Film, filmOf } from './film-of';
export { workOf } from './work-of';
export { changePrinter, type PrinterFacts } from './change-printer';
export { chooseControl, drawnControl } from './control';
export { expectControl } from './expect-control';
export { maintenanceDates } from './maintenance-dates';
export { changesAsEvidence } from './changes-as-evidence';
export { correctSettings, type NewChange, noteChange, takeBackChange } from './note-change';
export { type ChangeView, viewChanges } from './view-changes';
export {
  type ControlAlarm,
  type ControlView,
  listControlAlarms,
  listControlChoices,
  viewControl,
} from './view-control';
export { createProfile, type NewProfile } from './create-profile';
export { type ProfileProgram, programOf, snapshotOf } from './program-of';
export { removeForeignLaw, takeForeignLaw } from './foreign-laws';
export { keepSignatures, type Later } from './keep-signature';
export { type LearnedSignature, learnElsewhere, newestSignature, waitForSignature } from './newest-signature';
export { learnShopMeanings } from './tries-as-evidence';
export {
  findPrinter,
  firstProfile,
  glanceAtProfiles,
  listPrinters,
  type ForeignGlance,
  listForeign,
  listProfileChoices,
  type ProfileGlance,
} from './view-profiles';
export { hasProfile, listKeptSignatures, type SignatureView, viewSignature } from './view-signature';
