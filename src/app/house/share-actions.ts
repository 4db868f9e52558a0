'use server';

import { headers } from 'next/headers';
import QRCode from 'qrcode';
import { changedHouse } from '@/app/_actions/changed';
import { sharing } from '@/subjects/house';

/** A code as the machine's own screen shows it, with its picture. */
export interface ShownCode {
  readonly code: string;
  readonly url: string;
  readonly expiresAt: number;
  /** An SVG as a data address. */
  readonly picture: string;
}

/** Pairing and revoking are done at the machine: what comes from a paired device carries its mark. */
async function isAtMachine(): Promise<boolean> {
  return (await headers()).get('x-mellow-device') === null;
}

const AT_MACHINE = 'This is done at the machine itself.';

export async function makeCode(): Promise<ShownCode | string> {
  if (!(await isAtMachine())) return AT_MACHINE;
  const share = sharing();
  if (share === undefined)
    return 'Sharing is off. Start the bench with --share and an address of this machine.';
  const made = share.newCode();
  const svg = await QRCode.toString(made.url, { type: 'svg', margin: 2 });
  return { ...made, picture: `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}` };
}

export async function revokeDevice(id: string): Promise<string> {
  if (!(await isAtMachine())) return AT_MACHINE;
  const isRevoked = sharing()?.revoke(String(id)) ?? false;
  changedHouse();
  return isRevoked ? '' : 'That device is gone already. Load the page again.';
}
