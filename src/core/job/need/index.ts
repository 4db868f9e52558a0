export { type Claim, claimOf, CLAIMS, nameRating } from './claims';
export { type PictureFound, type PictureType, readPicture } from './picture';
export {
  ACCEPTANCE_TESTS,
  type Answer,
  ANSWER_WORDS,
  ANSWERS,
  LARGEST_PICTURE_BYTES,
  MATE_ORIGINS,
  type MateOrigin,
  ORIGIN_WORDS,
} from './vocabulary';
