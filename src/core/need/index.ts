export {
  ACCEPTANCE_TESTS,
  ANSWERS,
  CLAIMS,
  LARGEST_PICTURE_BYTES,
  MATE_ORIGINS,
  type AcceptanceTest,
  type Answer,
  type Claim,
  type MateOrigin,
} from './vocabulary';
