import { useEffect, useState } from 'react';
import type { GaugeEffort, GaugeIssue } from '@/core/fit/gauges';
import { GaugeWorker, type AskedGauge } from '@/workers';

export type GaugeState =
  | { readonly kind: 'none' }
  | { readonly kind: 'building'; readonly stop: () => void }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'refused'; readonly issue: GaugeIssue }
  | { readonly kind: 'failed' }
  | {
      readonly kind: 'ready';
      readonly stlUrl: string;
      readonly threeMfUrl: string;
      readonly watertight: boolean;
      readonly effort: GaugeEffort;
    };

/** While somebody types, nothing is built. */
const PAUSE_MS = 250;

/** Builds a gauge off the page's thread whenever its parameters change. */
export function useGauge(gauge: AskedGauge | undefined): GaugeState {
  const [state, setState] = useState<GaugeState>({ kind: 'none' });
  const asked = gauge && JSON.stringify(gauge);
  useEffect(() => {
    if (asked === undefined) return;
    const urls: string[] = [];
    let worker: GaugeWorker | undefined;
    let current = true;
    const build = async () => {
      worker = new GaugeWorker();
      const stop = () => {
        current = false;
        worker?.stop();
        setState({ kind: 'stopped' });
      };
      setState({ kind: 'building', stop });
      const built = await worker.build(JSON.parse(asked) as AskedGauge);
      if (!current) return;
      if (!built.ok) return setState({ kind: 'refused', issue: built.issue });
      const { stl, threeMf, watertight, effort } = built.value;
      const [stlUrl, threeMfUrl] = [
        URL.createObjectURL(new Blob([stl], { type: 'model/stl' })),
        URL.createObjectURL(new Blob([threeMf], { type: 'model/3mf' })),
      ];
      urls.push(stlUrl, threeMfUrl);
      setState({ kind: 'ready', stlUrl, threeMfUrl, watertight, effort });
    };
    const timer = setTimeout(() => {
      build().catch(() => current && setState({ kind: 'failed' }));
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
      worker?.stop();
      urls.forEach((url) => URL.revokeObjectURL(url));
    };
  }, [asked]);
  return state;
}
