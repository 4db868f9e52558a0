import { expose, transfer } from 'comlink';
import Module from 'manifold-3d';
import type { GaugeIssue } from '@/core/fit/gauges';
import type { Result } from '@/core/kit';
import type { SolidKernel } from '@/core/fit/solids';
import { buildGaugeFiles, type AskedGauge, type BuiltGauge } from './gauge-api';

let kernel: Promise<SolidKernel> | undefined;

function loadKernel(wasmUrl: string): Promise<SolidKernel> {
  kernel ??= Module({ locateFile: () => wasmUrl }).then((loaded) => {
    loaded.setup();
    return loaded;
  });
  return kernel;
}

const exposed = {
  async build(wasmUrl: string, asked: AskedGauge): Promise<Result<BuiltGauge, GaugeIssue>> {
    const built = buildGaugeFiles(await loadKernel(wasmUrl), asked);
    return built.ok ? transfer(built, [built.value.stl.buffer, built.value.threeMf.buffer]) : built;
  },
};
export type GaugeWorkerApi = typeof exposed;

expose(exposed);
