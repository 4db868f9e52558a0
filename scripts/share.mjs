/**
 * The bench on one named address of this machine, for phones and tablets that were paired once. Off unless asked for.
 * The devices belong to the machine, not to the bench: they lie beside it and in no backup.
 */
import { randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import path from 'node:path';
import { sealData, unsealData } from 'iron-session';
import { pairPage } from './pair-page.mjs';

const FILE = 'devices.json';
const COOKIE = 'mellow-device';
const COOKIE_SECONDS = 365 * 86_400;
/** Characters that nobody mistakes for each other. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;
const CODE_MS = 5 * 60_000;
const WRONG_TRIES = 5;
/** So many tries from one address in so much time. */
const MOST_TRIES = 10;
const TRIES_MS = 10 * 60_000;
const LONGEST_BODY = 1024;
const LONGEST_NAME = 40;

/** What a paired device may not ask for, by method and path, and the sentence that says so. */
const AT_THE_MACHINE = /^\/(api\/(backup|originals)|rescue|house)(\/|\?|$)/;

/** Whether an address is one of this machine's own, and one only. */
export function isOwnAddress(address) {
  if (/^127(\.\d{1,3}){3}$/.test(address)) return true;
  return Object.values(networkInterfaces()).some((each) => each.some((own) => own.address === address));
}

function sameText(a, b) {
  const [first, second] = [Buffer.from(a), Buffer.from(b)];
  return first.length === second.length && timingSafeEqual(first, second);
}

/** The value of a cookie in a header. */
function cookieIn(header, name) {
  const found = (header ?? '').split(';').find((part) => part.trim().startsWith(`${name}=`));
  return found?.trim().slice(name.length + 1);
}

/** The body of a request, no longer than a form can be; undefined beyond that. */
async function bodyOf(request) {
  let text = '';
  for await (const chunk of request) {
    text += chunk;
    if (text.length > LONGEST_BODY) return undefined;
  }
  return text;
}

export class Share {
  #code;
  #tries = new Map();
  #kept;

  /** @param {{ address: string, port: number, root: string, clock?: () => number }} options */
  constructor({ address, port, root, clock = Date.now }) {
    this.address = address;
    this.port = port;
    this.file = path.join(root, FILE);
    this.clock = clock;
    mkdirSync(root, { recursive: true });
    this.#kept = existsSync(this.file)
      ? JSON.parse(readFileSync(this.file, 'utf8'))
      : { key: randomBytes(32).toString('hex'), devices: [] };
    this.#keep();
  }

  get origin() {
    return `http://${this.address.includes(':') ? `[${this.address}]` : this.address}:${this.port}`;
  }

  /** Written beside and moved into place: a crash leaves the old list or the new one. */
  #keep() {
    writeFileSync(`${this.file}.new`, JSON.stringify(this.#kept, null, 2), { mode: 0o600 });
    renameSync(`${this.file}.new`, this.file);
  }

  /** A code that pairs one device within five minutes; an earlier one is void. */
  newCode() {
    const code = Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
    this.#code = { code, expiresAt: this.clock() + CODE_MS, wrong: 0 };
    return { code, expiresAt: this.#code.expiresAt, url: `${this.origin}/pair#${code}` };
  }

  /** Devices that were paired and not revoked. */
  list() {
    return this.#kept.devices.filter(({ revokedAt }) => revokedAt === undefined);
  }

  revoke(id) {
    const device = this.#kept.devices.find((each) => each.id === id);
    if (device === undefined) return false;
    device.revokedAt = this.clock();
    this.#keep();
    return true;
  }

  /** Why a request on this address is refused before anything is read; undefined: it is this address's own. */
  findStranger({ headers }) {
    const own = new URL(this.origin).host;
    if (headers.host !== own) return 'This bench does not answer under that name.';
    if (headers.origin !== undefined && headers.origin !== this.origin)
      return 'Another page may not use this bench.';
    const site = headers['sec-fetch-site'];
    if (site !== undefined && site !== 'same-origin' && site !== 'none')
      return 'Another page may not use this bench.';
    return undefined;
  }

  /** What a paired device is refused, in a sentence. */
  findForbidden({ method = 'GET', url = '/' }) {
    return method !== 'GET' && AT_THE_MACHINE.test(url)
      ? 'Restore, house rules, pairing and revoking are done at the machine itself.'
      : undefined;
  }

  /** The device that a request comes from; undefined: it was never paired, or was revoked. */
  async deviceOf({ headers }) {
    const sealed = cookieIn(headers.cookie, COOKIE);
    if (sealed === undefined) return undefined;
    const { id } = await unsealData(sealed, { password: this.#kept.key, ttl: COOKIE_SECONDS }).catch(
      () => ({}),
    );
    return this.list().find((device) => device.id === id);
  }

  /** Tries of one address in the last minutes, this one counted. */
  #triesOf(from) {
    const since = this.clock() - TRIES_MS;
    const tries = [...(this.#tries.get(from) ?? []).filter((at) => at > since), this.clock()];
    this.#tries.set(from, tries);
    return tries.length;
  }

  /** Pairs a device that brings the code; each code once, few wrong ones, few tries from one address. */
  pair({ code, name, from }) {
    if (this.#triesOf(from) > MOST_TRIES)
      return { status: 429, message: 'Too many tries from this device. Wait ten minutes.' };
    const wanted = this.#code;
    if (wanted === undefined || this.clock() > wanted.expiresAt) {
      this.#code = undefined;
      return {
        status: 403,
        message: 'This code has run out or was used. Make a new one at the machine, under House.',
      };
    }
    if (!sameText(code.trim().toUpperCase(), wanted.code)) {
      wanted.wrong++;
      if (wanted.wrong >= WRONG_TRIES) this.#code = undefined;
      return { status: 403, message: 'That is not the code. Read it again at the machine, under House.' };
    }
    this.#code = undefined;
    const device = {
      id: randomBytes(9).toString('base64url'),
      name: name.trim().slice(0, LONGEST_NAME) || 'A device',
      pairedAt: this.clock(),
    };
    this.#kept.devices.push(device);
    this.#keep();
    return { status: 200, device };
  }

  async #cookieFor({ id }) {
    const sealed = await sealData({ id }, { password: this.#kept.key, ttl: COOKIE_SECONDS });
    return `${COOKIE}=${sealed}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${COOKIE_SECONDS}`;
  }

  /** The page and the form of pairing: all that an unpaired device gets to see. */
  async servePairing(request, response, nonce) {
    const show = (status, message) => {
      response.writeHead(status, { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' });
      response.end(pairPage({ message, nonce }));
    };
    if (request.method !== 'POST') return show(200);
    const body = await bodyOf(request);
    if (body === undefined) return show(413, 'That is more than a code.');
    const form = new URLSearchParams(body);
    const answer = this.pair({
      code: form.get('code') ?? '',
      name: form.get('name') ?? '',
      from: request.socket.remoteAddress ?? '',
    });
    if (answer.device === undefined) return show(answer.status, answer.message);
    response.writeHead(303, { Location: '/', 'Set-Cookie': await this.#cookieFor(answer.device) });
    response.end();
  }

  /**
   * Whether a request may go on to the bench; answers it itself where not. Nothing of it is read before.
   *
   * @returns {Promise<boolean>}
   */
  async lets(request, response) {
    const refuse = (status, message) => {
      response.writeHead(status, { 'Content-Type': 'application/json' });
      response.end(JSON.stringify({ message }));
      return false;
    };
    const stranger = this.findStranger(request);
    if (stranger !== undefined) return refuse(403, stranger);
    const isPairing = /^\/pair(\?|$)/.test(request.url ?? '');
    if (isPairing) {
      await this.servePairing(request, response, request.headers['x-nonce']);
      return false;
    }
    const device = await this.deviceOf(request);
    if (device === undefined) {
      if (request.method === 'GET' && request.headers['sec-fetch-mode'] === 'navigate') {
        response.writeHead(303, { Location: '/pair' });
        response.end();
        return false;
      }
      return refuse(403, 'This device is not paired. Pair it at the machine, under House.');
    }
    const forbidden = this.findForbidden(request);
    if (forbidden !== undefined) return refuse(403, forbidden);
    request.headers['x-mellow-device'] = device.id;
    return true;
  }
}
