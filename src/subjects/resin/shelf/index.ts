import 'server-only';

export { addResin, takeOffShelf } from './add-resin';
export { bringAll, importShelf, importShelfSteps } from './bring-shelf';
export { addBottle, keepLeft, shakeBottle, throwBottle } from './keep-bottle';
export { keepResinTest, readCreepAgain, takeBackResinTest } from './keep-resin-test';
export { loadVat } from './load-vat';
export { makeBlend } from './make-blend';
export { resinFile } from './resin-file';
export { dropQuote, keepFacts, keepQuote } from './state-property';
export { listCreepChecks } from './view-creep-checks';
export { exportShelf } from './view-shelf-file';
export {
  findShelved,
  glanceAtShelf,
  listBlendable,
  listShelfNames,
  listShort,
  listVats,
  type ShelfLine,
  type ShelvedBottle,
  shelvedBottles,
  type ShelvedResinTest,
} from './view-shelf';
