export { groupBy } from './group-by';
export { keepAnswer } from './keep-answer';
export { keysOf, mapRecord, recordOf } from './records';
export { expectOk, fail, ok, type Result } from './result';
export { atOnce, partOf, type Steps } from './steps';
