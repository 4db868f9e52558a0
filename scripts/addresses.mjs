/** Ports and addresses that a server may be started on, checked before anything is done. */
import { createServer } from 'node:net';
import { networkInterfaces } from 'node:os';

export const HOST = '127.0.0.1';

/** Returns a typed port; throws a RangeError with a sentence if it is not one. */
export function readPort(given) {
  const port = Number(given);
  if (/^\d+$/.test(given) && port > 0 && port < 65_536) return port;
  throw new RangeError('a port is a whole number from 1 to 65535.');
}

/** Addresses of this machine that others in its network reach. */
function listAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter(({ internal, address }) => !internal && !address.startsWith('fe80'))
    .map(({ address }) => address);
}

function suggestAddress() {
  const [first] = listAddresses();
  return first === undefined
    ? 'This machine has no such address now; connect it to a network first.'
    : `Name an address of this machine, such as ${first}.`;
}

/**
 * An address of this machine that paired devices may reach the workshop on; throws a RangeError with a sentence where it
 * is none. Other loopback addresses than 127.0.0.1 are taken: tests and tunnels use them.
 */
export function readSharedAddress(given) {
  if (given === HOST || given === 'localhost' || given === '::1')
    throw new RangeError(
      `that address is served already, and only this machine reaches it. ${suggestAddress()}`,
    );
  if (given === '0.0.0.0' || given === '::')
    throw new RangeError(`that stands for every address at once. ${suggestAddress()}`);
  if (/^127(\.\d{1,3}){3}$/.test(given)) return given;
  const own = Object.values(networkInterfaces()).some((each) =>
    each.some(({ address }) => address === given),
  );
  if (own) return given;
  throw new RangeError(`this machine does not have that address. ${suggestAddress()}`);
}

/** Why a port cannot be used on an address, in a sentence; undefined where it is free. */
export function findPortTrouble(port, address = HOST) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => resolve(describePortTrouble(error, port, address)));
    probe.listen(port, address, () => probe.close(() => resolve(undefined)));
  });
}

/** Why a server could not listen, and what to do. */
export function describePortTrouble({ code, message }, port, address = HOST) {
  if (code === 'EADDRINUSE')
    return `Port ${port} of ${address} is in use. Stop the program that uses it, or add --port ${port === 65_535 ? port - 1 : port + 1}.`;
  if (code === 'EACCES')
    return `Port ${port} is reserved for the system. Choose one from 1024 up, such as --port 4310.`;
  if (code === 'EADDRNOTAVAIL')
    return `This machine does not have the address ${address}. Name one that it has.`;
  return `Port ${port} of ${address} cannot be used: ${message}`;
}
