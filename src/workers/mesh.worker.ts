import { expose, transfer } from 'comlink';
import type { AnchoredFeature, PartCorrection, Progress } from '@/core/mesh';
import { MeshApi } from './mesh-api';

const api = new MeshApi();
const LEAST_APART_MS = 50;

/** Progress at most every 50 ms. */
function thinned(onProgress: Progress): Progress {
  let last = 0;
  return (share) => {
    if (performance.now() - last < LEAST_APART_MS) return;
    last = performance.now();
    onProgress(share);
  };
}

const exposed = {
  load(bytes: Uint8Array<ArrayBuffer>, onProgress: Progress, name: string) {
    const loaded = api.load(bytes, thinned(onProgress), name);
    if (!loaded.ok) return loaded;
    const { corners, stl } = loaded.value;
    return transfer(loaded, stl === undefined ? [corners.buffer] : [corners.buffer, stl.buffer]);
  },
  correct(by: PartCorrection, features: readonly AnchoredFeature[]) {
    const corrected = api.correct(by, features);
    return transfer(corrected, [corrected.stl.buffer]);
  },
};
export type MeshWorkerApi = typeof exposed;

expose(exposed);
