/**
 * Which door a request came in by: the machine's own loopback address, or the shared address by a paired device. The mark
 * holds a secret of this process, so that only this process can set it. The framework may send a request on to itself,
 * over loopback again; it hands the mark on, and the request keeps the door it first came in by.
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

/** Marks a request as one that came in at the machine itself; whatever it said of its door is overwritten. */
export function markMachine({ headers }) {
  headers[HEADER] = signed(MACHINE);
}

/** Marks a request as one from a paired device. */
export function markDevice({ headers }, id) {
  headers[HEADER] = signed(`device ${id}`);
}

/** Whether a mark, as a handler finds it in its headers, says that the request came in at the machine. */
export function isMachineMark(mark) {
  return typeof mark === 'string' && isOurs(mark) && mark === signed(MACHINE);
}
