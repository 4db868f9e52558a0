import { expose, transfer } from 'comlink';
import type { LayerReading } from '@/core/part/layers';
import type { Point, Progress } from '@/core/part/mesh';
import { ok } from '@/core/kit';
import { CheckApi, type CheckAsk, type CheckFound } from './check-api';
import { drawnProxy } from './proxy';
import { thinned } from './thinned';

const api = new CheckApi();

const exposed = {
  async open(bytes: Uint8Array<ArrayBuffer>, onProgress: Progress) {
    const opened = api.open(bytes, thinned(onProgress));
    if (!opened.ok) return opened;
    const drawn = await drawnProxy(api.part, opened.value.corners);
    return transfer(ok({ ...opened.value, ...drawn }), [drawn.corners.buffer]);
  },
  layers: (layerMm: number, wallMm?: number) => api.layers(layerMm, wallMm),
  hollow: (wallMm: number, onProgress: Progress) => api.hollow(wallMm, onProgress),
  glance: (ask: CheckAsk): CheckFound => api.glance(ask),
  read: (ask: CheckAsk, onProgress: Progress): CheckFound => api.read(ask, thinned(onProgress)),
  slice: (reading: Pick<LayerReading, 'fromMm' | 'heightMm' | 'count'>, layer: number) =>
    api.slice(reading, layer),
  listFeatures: () => api.listFeatures(),
  featuresAt: (place: Point) => api.featuresAt(place),
  study: (ask: CheckAsk, onProgress: Progress) => api.study(ask, thinned(onProgress)),
  turn(up: Point) {
    const turned = api.turn(up);
    return transfer(turned, [turned.stl.buffer]);
  },
  mend() {
    const mended = api.mend();
    return mended === undefined ? undefined : transfer(mended, [mended.stl.buffer]);
  },
};
export type CheckWorkerApi = typeof exposed;

expose(exposed);
