'use server';

import QRCode from 'qrcode';
import { tapAtMachine } from '@/app/_actions/at-machine';
import { changedHouse } from '@/app/_actions/changed';
import { sharing, sharingTrouble } from '@/subjects/workshop/settings';

/** A pairing code as the server's own screen shows it, with its picture. */
export interface ShownCode {
  readonly code: string;
  readonly url: string;
  readonly expiresAt: number;
  /** An SVG as a data address. */
  readonly picture: string;
}

/** A new code that pairs one device. */
export const makeCode = tapAtMachine(async (): Promise<ShownCode | string> => {
  const share = sharing();
  if (share === undefined)
    return (
      sharingTrouble() ?? 'Sharing is off. Start the server with --share and an address of this computer.'
    );
  const made = share.newCode();
  const svg = await QRCode.toString(made.url, { type: 'svg', margin: 2 });
  return { ...made, picture: `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}` };
});

/** Ends a device, and every device that it paired. */
export const revokeDevice = tapAtMachine(async (id: string): Promise<string> => {
  const isRevoked = sharing()?.revoke(String(id)) ?? false;
  changedHouse();
  return isRevoked ? '' : 'That device is already removed. Reload the page.';
});
