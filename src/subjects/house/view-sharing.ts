/** A phone or tablet that was paired. */
export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  /** Milliseconds since the epoch. */
  readonly pairedAt: number;
}

/** A code that pairs one device. */
export interface PairingCode {
  readonly code: string;
  readonly url: string;
  readonly expiresAt: number;
}

/** The bench on an address for paired devices, as the server keeps it; see scripts/share.mjs. */
export interface Sharing {
  readonly origin: string;
  newCode(): PairingCode;
  list(): readonly PairedDevice[];
  revoke(id: string): boolean;
}

/** Undefined: the server was started without an address to share. */
export function sharing(): Sharing | undefined {
  return (globalThis as { mellowShare?: Sharing }).mellowShare;
}
