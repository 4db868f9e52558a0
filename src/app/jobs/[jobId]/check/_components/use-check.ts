'use client';

import { useCallback, useEffect, useState } from 'react';
import { countLayers, MOST_LAYERS } from '@/core/part/layers';
import type { JobPart } from '@/subjects/job/jobs';
import { describeMeshIssue } from '@/subjects/workshop/records/shared';
import { type CheckAsk, type CheckFound, CheckWorker, Stopped, type OpenedPart } from '@/workers';

/** How far the reading of a part has come. */
export interface CheckState {
  readonly opened?: OpenedPart;
  readonly found?: CheckFound;
  readonly worker?: CheckWorker;
  /** What is being done, with the share done; undefined: nothing. */
  readonly busy?: { readonly what: string; readonly share: number };
  readonly problem?: string;
}

/** Reads the part in a worker: what areas show first, the slow findings after. Stopping keeps what was found. */
export function useCheck(
  { source, version }: JobPart,
  ask: CheckAsk,
): CheckState & { readonly stop: () => void } {
  const [state, setState] = useState<CheckState>({});
  const [worker, setWorker] = useState<CheckWorker | undefined>();
  // The ask arrives again with every refresh of the page; only what the reading depends on counts.
  const asked = JSON.stringify({ ...ask, critical: [], seen: [] });
  useEffect(() => {
    const reader = new CheckWorker();
    let live = true;
    const merge = (part: Partial<CheckState>) => live && setState((before) => ({ ...before, ...part }));
    const tell = (what: string) => (share: number) => merge({ busy: { what, share } });
    const run = async () => {
      setWorker(reader);
      setState({ busy: { what: 'Reading the part', share: 0 } });
      const response = await fetch(`${source}${source.includes('?') ? '&' : '?'}v=${version}`);
      if (!response.ok)
        return merge({ busy: undefined, problem: 'The part file is missing. Import it again.' });
      const bytes = new Uint8Array(await response.arrayBuffer());
      const opened = await reader.open(bytes, tell('Reading the part'));
      if (!opened.ok) return merge({ busy: undefined, problem: describeMeshIssue(opened.issue) });
      merge({ opened: opened.value, worker: reader });
      const given = JSON.parse(asked) as CheckAsk;
      if (countLayers(opened.value.check.bounds, given.limits.layerMm) > MOST_LAYERS)
        return merge({
          busy: undefined,
          problem: `The part has more than ${MOST_LAYERS.toLocaleString('en')} layers, which is too large for any printer. Was it drawn in another unit? Import it again.`,
        });
      merge({ found: await reader.glance(given), busy: { what: 'Reading the layers', share: 0 } });
      const found = await reader.read(given, tell('Reading the layers'));
      merge({ found, busy: undefined });
    };
    run().catch((error: Error) => {
      const problem =
        error instanceof Stopped
          ? 'Stopped. The findings so far are below. Reload the page to continue.'
          : 'The part could not be read. Check the connection and reload the page.';
      merge({ busy: undefined, worker: undefined, problem });
    });
    return () => {
      live = false;
      reader.stop();
    };
  }, [source, version, asked]);
  const stop = useCallback(() => worker?.stop(), [worker]);
  return { ...state, stop };
}
