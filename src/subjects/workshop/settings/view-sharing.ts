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

/** The server's address for paired devices; see scripts/share.mjs. */
export interface Sharing {
  readonly origin: string;
  newCode(): PairingCode;
  list(): readonly PairedDevice[];
  revoke(id: string): boolean;
}

/** What the server that this runs in keeps for its pages; see scripts/server.mjs. */
interface ServerDoor {
  mellowShare?: Sharing;
  mellowShareTrouble?: string;
  mellowDoor?: { isMachineMark(mark: string | null): boolean };
}

const server = globalThis as ServerDoor;

/** Undefined: the server was started without an address to share, or could not share on it. */
export function sharing(): Sharing | undefined {
  return server.mellowShare;
}

/** Why nothing is shared although an address was named, with the remedy. */
export function sharingTrouble(): string | undefined {
  return server.mellowShareTrouble;
}

/** Header by which the server says which door a request came in by. */
const DOOR_HEADER = 'x-mellow-door';

/**
 * Returns whether a request came from the server's own computer, by its headers. A request without the server's mark
 * did not.
 */
export function isAtMachine(headers: Pick<Headers, 'get'>): boolean {
  return server.mellowDoor?.isMachineMark(headers.get(DOOR_HEADER)) ?? false;
}
