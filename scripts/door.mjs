/**
 * The door that a request came in by: the server's own loopback address, or the shared address by a paired device. The
 * mark holds a secret of this process, so that only this process can set it. The framework may send a request on to
 * itself over loopback; it passes the mark on, so the request keeps its first door.
 */
import { randomBytes, timingSafeEqual } from 'node:crypto';

const HEADER = 'x-mellow-door';
const SECRET = randomBytes(32).toString('hex');
const MACHINE = 'machine';

const signed = (door) => `${door} ${SECRET}`;

function isOurs(mark) {
  const [given, wanted] = [Buffer.from(String(mark).split(' ').at(-1)), Buffer.from(SECRET)];
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}

/** Whether this process sent the request to itself: it bears a door's mark already. */
export function isHandedOn({ headers }) {
  return headers[HEADER] !== undefined && isOurs(headers[HEADER]);
}

/** Marks a request as coming from the server's own computer; a mark sent by the client is overwritten. */
export function markMachine({ headers }) {
  headers[HEADER] = signed(MACHINE);
}

/** Marks a request as one from a paired device. */
export function markDevice({ headers }, id) {
  headers[HEADER] = signed(`device ${id}`);
}

/** Returns whether a mark in the headers shows that the request came from the server's own computer. */
export function isMachineMark(mark) {
  return typeof mark === 'string' && isOurs(mark) && mark === signed(MACHINE);
}
