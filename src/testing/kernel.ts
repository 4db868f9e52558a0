import Module from 'manifold-3d';
import type { SolidKernel } from '@/core/fit/solids';

let kernel: Promise<SolidKernel> | undefined;

/** The solid kernel, loaded once a test file. */
export function loadTestKernel(): Promise<SolidKernel> {
  kernel ??= Module().then((loaded) => {
    loaded.setup();
    return loaded;
  });
  return kernel;
}
