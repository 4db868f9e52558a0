import 'server-only';

export { writeBackup } from './back-up-bench';
export { arrivingFolder } from '@/store';
export { bench, BenchClosed, benchHouse, frameOfBench, today } from './bench';
export { writeHouseRules } from './change-house-rules';
export { storageTroubleOf } from './find-storage-trouble';
export { deleteOriginal, putOriginalBack } from './keep-originals';
export { reopenBench } from './reopen-bench';
export { restoreBackup } from './restore-bench';
export { HOUSE_DEFAULTS, type HouseRules, readHouseRules } from './view-house-rules';
export { isThere, nextThere, presenceBetween, type Stretch } from './view-presence';
export {
  isAtMachine,
  type PairedDevice,
  type PairingCode,
  type Sharing,
  sharing,
  sharingTrouble,
} from './view-sharing';
export { benchTrouble, examineBench, viewOriginals } from './view-originals';
