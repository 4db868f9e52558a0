import Module from 'manifold-3d';
import { writeStl, type Mesh } from '@/core/mesh';
import { buildSolid, type SolidKernel, type SolidRecipe } from '@/core/solids';

let kernel: Promise<SolidKernel> | undefined;

/** The solid kernel, loaded once. */
function loadKernel(): Promise<SolidKernel> {
  kernel ??= Module().then((loaded) => {
    loaded.setup();
    return loaded;
  });
  return kernel;
}

/** Builds a part from drawn sizes by feature id. */
export async function buildPart(recipe: SolidRecipe, drawnMm: ReadonlyMap<number, number>): Promise<Mesh> {
  return buildSolid(await loadKernel(), recipe, (featureId) => {
    const drawn = drawnMm.get(featureId);
    if (drawn === undefined) throw new RangeError(`buildPart: no drawn size for feature ${featureId}`);
    return drawn;
  });
}

export async function buildPartStl(
  recipe: SolidRecipe,
  drawnMm: ReadonlyMap<number, number>,
): Promise<Uint8Array<ArrayBuffer>> {
  return writeStl(await buildPart(recipe, drawnMm));
}
