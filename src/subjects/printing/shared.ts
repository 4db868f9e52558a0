export { profileForm } from './input-profile';
export { stationsForm } from './input-stations';
export { parameterWords } from './words-signature';
