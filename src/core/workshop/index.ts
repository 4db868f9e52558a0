export { PRACTICE_DEFINITIONS, PRACTICE_GROUPS } from './practice-definitions';
export {
  DEFAULT_PRACTICES,
  type Practice,
  PRACTICES,
  type Practices,
  practicesOf,
  reasonsOfPractice,
} from './practices';
