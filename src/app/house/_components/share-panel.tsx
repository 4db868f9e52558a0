'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { describeLeft, useServerClock } from '@/app/_components/use-countdown';
import type { PairedDevice } from '@/subjects/workshop/settings';
import { Button, Problem } from '@/ui';
import { makeCode, revokeDevice, type ShownCode } from '../share-actions';

interface SharePanelProps {
  /** Address that devices use; undefined: sharing is off. */
  readonly origin?: string;
  readonly devices: readonly PairedDevice[];
  /** Why nothing is shared although an address was named. */
  readonly trouble?: string;
  readonly serverNow: number;
}

/** Phones and tablets: how to share, a code with its picture, and who is paired. */
export function SharePanel({ origin, devices, trouble, serverNow }: SharePanelProps) {
  const router = useRouter();
  const [code, setCode] = useState<ShownCode>();
  const [problem, setProblem] = useState('');
  const [isBusy, startTransition] = useTransition();
  if (trouble !== undefined) return <Problem>{trouble}</Problem>;
  if (origin === undefined)
    return (
      <p className="text-soft">
        Off: only this computer can open the workshop. To use phones and tablets, start it with{' '}
        <code className="num">npm start -- --share ADDRESS</code>, where ADDRESS is an address of this
        computer.
      </p>
    );
  const make = () =>
    startTransition(async () => {
      const made = await makeCode().catch(() => 'The connection was lost. Try again.');
      setProblem(typeof made === 'string' ? made : '');
      setCode(typeof made === 'string' ? undefined : made);
    });
  const revoke = (id: string) =>
    startTransition(async () => {
      setProblem(await revokeDevice(id).catch(() => 'The connection was lost. Try again.'));
      router.refresh();
    });
  return (
    <>
      <p className="text-soft">
        Shared at <span className="num">{origin}</span>, for paired devices only. The connection is not
        encrypted: use it only in a network that you trust. Without encryption, a phone allows no
        notifications; an open page plays a sound.
      </p>
      <Button onClick={make} disabled={isBusy} className="mt-2">
        Pair a device
      </Button>
      {problem !== '' && <Problem>{problem}</Problem>}
      {code !== undefined && <Code code={code} serverNow={serverNow} />}
      <ul className="mt-3 border-t border-hair">
        {devices.map(({ id, name, pairedAt }) => (
          <li key={id} className="flex items-center justify-between gap-3 border-b border-hair py-1.5">
            <span>
              {name}{' '}
              <span className="text-sm text-soft">
                since {new Date(pairedAt).toLocaleDateString('en-CA')}
              </span>
            </span>
            <Button onClick={() => revoke(id)} disabled={isBusy}>
              Revoke<span className="sr-only"> {name}</span>
            </Button>
          </li>
        ))}
      </ul>
      {devices.length === 0 && <p className="mt-1 text-sm text-soft">No paired devices.</p>}
    </>
  );
}

function Code({ code, serverNow }: { code: ShownCode; serverNow: number }) {
  const now = useServerClock(serverNow);
  if (now > code.expiresAt) return <p className="mt-2 text-soft">The code has expired. Create a new one.</p>;
  return (
    <figure className="mt-3">
      {/* A picture made here for this one minute: nothing to be optimised. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img src={code.picture} alt="Pairing code as QR code" className="size-48 bg-sheet" />
      <figcaption>
        <strong className="num text-2xl tracking-widest">{code.code}</strong>
        <span className="block text-sm text-soft">
          {describeLeft(code.expiresAt - now)}; it pairs one device. Scan it with the device camera, or open{' '}
          <span className="num">{code.url.split('#')[0]}</span> and enter it.
        </span>
      </figcaption>
    </figure>
  );
}
