export { buildMesh, sidesOfCircle, type Corner, type Solid, type SolidKernel, type Workshop } from './kernel';
export { profileOf, type Profile } from './profile';
export {
  featuresOfRecipe,
  lengthOf,
  renumberRecipe,
  ringOf,
  type CombRecipe,
  type DrawnOf,
  type Length,
  type PlateRecipe,
  type SolidRecipe,
  type TurnedRecipe,
  type TurnedSection,
} from './recipe';
export { anchorsOf, buildSolid } from './solids';
export { extentOfProfile, profileToDxf, profileToSvg } from './write-profile';
