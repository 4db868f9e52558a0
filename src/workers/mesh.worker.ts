import { expose, transfer } from 'comlink';
import { ok } from '@/core/kit';
import type { AnchoredFeature, Progress } from '@/core/part/mesh';
import { type FileWanted, MeshApi } from './mesh-api';
import { drawnProxy } from './proxy';
import { thinned } from './thinned';

const api = new MeshApi();
const exposed = {
  async load(bytes: Uint8Array<ArrayBuffer>, onProgress: Progress, name: string) {
    const loaded = api.load(bytes, thinned(onProgress), name);
    if (!loaded.ok) return loaded;
    const { stl } = loaded.value;
    const { corners, proxyFacets } = await drawnProxy(api.loaded, loaded.value.corners);
    const buffers = stl === undefined ? [corners.buffer] : [corners.buffer, stl.buffer];
    return transfer(ok({ ...loaded.value, corners, proxyFacets }), buffers);
  },
  scaled(by: number) {
    const stl = api.scaled(by);
    return transfer(stl, [stl.buffer]);
  },
  silhouettes: () => api.silhouettes(),
  correct(wanted: FileWanted, features: readonly AnchoredFeature[]) {
    const corrected = api.correct(wanted, features);
    return transfer(corrected, [corrected.stl.buffer]);
  },
};
export type MeshWorkerApi = typeof exposed;

expose(exposed);
