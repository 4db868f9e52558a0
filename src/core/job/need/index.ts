export {
  ACCEPTANCE_TESTS,
  type AcceptanceTest,
  type Answer,
  ANSWERS,
  type Claim,
  CLAIMS,
  LARGEST_PICTURE_BYTES,
  MATE_ORIGINS,
  type MateOrigin,
} from './vocabulary';
export { type PictureFound, type PictureType, readPicture } from './picture';
