export { ARRIVING, GOING, moveTo, replaceFile, syncPath } from './disk';
export { type DatabaseTrouble, findDatabaseTrouble } from './find-trouble';
export { type Hold, holdFolder, type HoldIssue } from './hold-folder';
export {
  type BenchMark,
  currentFolder,
  DATABASE,
  databaseFile,
  FILE_FOLDERS,
  listOriginals,
  markFile,
  type Original,
  readMark,
  writeMark,
} from './mark';
export {
  arrivingFolder,
  type BenchTrouble,
  type HeldBench,
  openBenchAt,
  openHeldBench,
  type OpenBench,
  pointTo,
  putInPlace,
} from './open-bench';
