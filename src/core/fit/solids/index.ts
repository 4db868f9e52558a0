export { buildMesh, type Corner, sidesOfCircle, type Solid, type SolidKernel, Workshop } from './kernel';
export { type Profile, profileOf } from './profile';
export { type PlateRecipe, renumberRecipe, ringOf, type SolidRecipe } from './recipe';
export { anchorsOf, buildSolid } from './solids';
export { extentOfProfile, profileToDxf, profileToSvg } from './write-profile';
