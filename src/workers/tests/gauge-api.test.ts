import { describe, expect, test } from '@jest/globals';
import { GAUGE_CHOICES, type GaugeParameters } from '@/core/fit/gauges';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { loadTestKernel } from '@/testing/kernel';
import { buildGaugeFiles } from '../gauge-api';

/** Small ones: two or three steps. */
const ASKED: GaugeParameters = { choice: 'hinge', fromMm: 0.3, stepMm: 0.1, count: 2, pinMm: 8 };

describe('a gauge built for the page', () => {
  test.each(GAUGE_CHOICES)('%s: its files are closed and low, and tell what they take', async (choice) => {
    const plain = choice === 'pocket' || choice === 'hole' || choice === 'pin';
    const parameters = {
      ...ASKED,
      choice,
      fromMm: plain ? 3 : 0.3,
      pinMm: { links: 3, bar: 4 }[choice as string] ?? 8,
      count: choice === 'chosenBlock' ? 3 : 2,
    };
    const built = expectOk(buildGaugeFiles(await loadTestKernel(), { parameters, layerMm: 0.05 }));
    expect(built.watertight).toBe(true);
    const check = checkMesh(weldCorners(expectOk(readStl(built.stl)).corners));
    expect(check.watertight).toBe(true);
    expect(check.bounds.min[2]).toBeCloseTo(0, 4);
    expect(built.effort.heightMm).toBeLessThanOrEqual(20);
    expect(built.effort.volumeMl).toBeCloseTo(check.volumeMm3 / 1000, 2);
    expect(new TextDecoder().decode(built.threeMf.subarray(0, 2))).toBe('PK');
  });

  test('twice the layers at half their height, and longer to print', async () => {
    const kernel = await loadTestKernel();
    const [coarse, fine] = [0.1, 0.05].map(
      (layerMm) => expectOk(buildGaugeFiles(kernel, { parameters: ASKED, layerMm })).effort,
    );
    expect(fine.layers).toBe(2 * coarse.layers);
    expect(fine.minutes).toBeGreaterThan(coarse.minutes);
  });

  test('what cannot be built comes back with its reason and no file', async () => {
    const kernel = await loadTestKernel();
    const refuse = (change: Partial<GaugeParameters>) =>
      buildGaugeFiles(kernel, { parameters: { ...ASKED, ...change }, layerMm: 0.05 });
    expect(refuse({ count: 1 })).toMatchObject({ ok: false, issue: { code: 'rungCount', count: 1 } });
    expect(refuse({ stepMm: -0.01 })).toMatchObject({ ok: false, issue: { code: 'rungOrder' } });
    expect(refuse({ fromMm: 3 })).toMatchObject({ ok: false, issue: { code: 'rungSize' } });
    expect(refuse({ pinMm: 60 })).toMatchObject({ ok: false, issue: { code: 'pinSize' } });
  });
});
