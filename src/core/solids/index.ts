export { featuresOfRecipe, type CombRecipe, type DrawnOf, type RingRecipe, type SolidRecipe } from './recipe';
export { anchorsOf, buildSolid, sidesOfCircle, type SolidKernel } from './solids';
