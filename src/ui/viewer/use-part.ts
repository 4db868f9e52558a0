'use client';

import { useEffect, useState } from 'react';
import { describeMeshIssue } from '@/subjects/workshop/records/shared';
import { type LoadedPart, Stopped, MeshWorker } from '@/workers';

export type PartState =
  | { readonly kind: 'none' }
  | { readonly kind: 'loading'; readonly share: number; readonly stop: () => void }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly part: LoadedPart };

/** Fetches and reads a part's file off the page's thread. `version` changes when the file behind the address does. */
export function usePart(source: string | undefined, version: number): PartState {
  const [state, setState] = useState<PartState>({ kind: 'none' });
  useEffect(() => {
    if (source === undefined) return;
    const worker = new MeshWorker();
    const abort = new AbortController();
    const stop = () => {
      abort.abort();
      worker.stop();
      setState({ kind: 'stopped' });
    };
    const load = async () => {
      setState({ kind: 'loading', share: 0, stop });
      const address = source.startsWith('blob:')
        ? source
        : `${source}${source.includes('?') ? '&' : '?'}v=${version}`;
      const response = await fetch(address, { signal: abort.signal });
      if (!response.ok)
        return setState({ kind: 'failed', message: 'The part file is missing. Import it again.' });
      const bytes = new Uint8Array(await response.arrayBuffer());
      const loaded = await worker.load(bytes, (share) => setState({ kind: 'loading', share, stop }));
      setState(
        loaded.ok
          ? { kind: 'ready', part: loaded.value }
          : { kind: 'failed', message: describeMeshIssue(loaded.issue) },
      );
    };
    load().catch((error: Error) => {
      if (error instanceof Stopped || abort.signal.aborted) return;
      setState({
        kind: 'failed',
        message: 'The part could not be loaded. Check the connection and reload the page.',
      });
    });
    return () => {
      abort.abort();
      worker.stop();
    };
  }, [source, version]);
  return source === undefined ? { kind: 'none' } : state;
}
