/**
 * The workshop on one named address of this computer, for phones and tablets that were paired once. Off by default. The
 * devices belong to the computer, not to the workshop: they are stored beside it and in no backup.
 */
import { randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { sealData, unsealData } from 'iron-session';
import { z } from 'zod';
import { markDevice } from './door.mjs';
import { findStranger } from './guard.mjs';
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

/** What lies in the file: the key that cookies are sealed with, and every device that was ever paired. */
const keptShape = z.object({
  key: z.string().min(32),
  devices: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      pairedAt: z.number(),
      /** The device that paired it; left out if it was paired on the server's computer. */
      pairedBy: z.string().optional(),
      revokedAt: z.number().optional(),
    }),
  ),
});

function sameText(a, b) {
  const [first, second] = [Buffer.from(a), Buffer.from(b)];
  return first.length === second.length && timingSafeEqual(first, second);
}

/** The value of a cookie in a header. */
function cookieIn(header, name) {
  const found = (header ?? '').split(';').find((part) => part.trim().startsWith(`${name}=`));
  return found?.trim().slice(name.length + 1);
}

/** The body of a request, no longer than a form can be: undefined beyond that, and where its sender went away. */
async function bodyOf(request) {
  let text = '';
  try {
    for await (const chunk of request) {
      text += chunk;
      if (text.length > LONGEST_BODY) return undefined;
    }
  } catch {
    return undefined;
  }
  return text;
}

/** Returns the paired devices, as stored on the disk; none if there is no file. Throws if it cannot be read. */
function readKept(file) {
  if (!existsSync(file)) return { key: randomBytes(32).toString('hex'), devices: [] };
  return keptShape.parse(JSON.parse(readFileSync(file, 'utf8')));
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
    this.#kept = readKept(this.file);
    this.#keep();
  }

  /**
   * Opens the list of devices of a folder; where it cannot be read or written, a sentence with the path and the remedy.
   *
   * @returns {{ ok: true, value: Share } | { ok: false, issue: string }}
   */
  static open(options) {
    try {
      return { ok: true, value: new Share(options) };
    } catch (error) {
      const file = path.join(options.root, FILE);
      const remedy =
        error instanceof SyntaxError || error instanceof z.ZodError
          ? 'Move it away and pair the devices again'
          : `Allow the server to read and write it (${error.code ?? error.message})`;
      return {
        ok: false,
        issue: `${file} cannot be used, so nothing is shared. ${remedy}, then start again.`,
      };
    }
  }

  get origin() {
    return `http://${this.address.includes(':') ? `[${this.address}]` : this.address}:${this.port}`;
  }

  /** Written beside and moved into place: a crash leaves the old list or the new one. */
  #keep() {
    writeFileSync(`${this.file}.new`, JSON.stringify(this.#kept, null, 2), { mode: 0o600 });
    renameSync(`${this.file}.new`, this.file);
  }

  /** A code that pairs one device within five minutes; an earlier one no longer works. */
  newCode() {
    const code = Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
    const madeAt = this.clock();
    this.#code = { code, madeAt, expiresAt: madeAt + CODE_MS, wrong: 0 };
    return { code, expiresAt: this.#code.expiresAt, url: `${this.origin}/pair#${code}` };
  }

  /** Devices that were paired and not revoked. */
  list() {
    return this.#kept.devices.filter(({ revokedAt }) => revokedAt === undefined);
  }

  /** Ends a device, and every device that it paired. */
  revoke(id) {
    if (!this.list().some((device) => device.id === id)) return false;
    const ended = [id];
    for (const each of ended)
      for (const device of this.#kept.devices) {
        if (device.id === each) device.revokedAt ??= this.clock();
        if (device.pairedBy === each && !ended.includes(device.id)) ended.push(device.id);
      }
    this.#keep();
    return true;
  }

  /** Why a request on this address is refused before anything is read; undefined: it comes from this address's own pages. */
  findStranger(request) {
    return findStranger(request, (host) => host === new URL(this.origin).host);
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
    const now = this.clock();
    // Tries from the future are those of a clock that was set back since: they keep nobody out.
    const recent = (this.#tries.get(from) ?? []).filter((at) => at > now - TRIES_MS && at <= now);
    const tries = [...recent, now];
    this.#tries.set(from, tries);
    return tries.length;
  }

  /**
   * Pairs a device that brings the code; each code once, few wrong ones, few tries from one address.
   *
   * @param {{ code: string, name: string, from: string, by?: string }} wanted `by`: the device that asks, where one does.
   */
  pair({ code, name, from, by }) {
    if (this.#triesOf(from) > MOST_TRIES)
      return { status: 429, message: 'Too many tries from this device. Wait ten minutes.' };
    const wanted = this.#code;
    const now = this.clock();
    // A clock that was set back ends a code too.
    if (wanted === undefined || now > wanted.expiresAt || now < wanted.madeAt) {
      this.#code = undefined;
      return {
        status: 403,
        message:
          'This code has expired or was used. Create a new one on the computer that runs the server, in Settings.',
      };
    }
    if (!sameText(code.trim().toUpperCase(), wanted.code)) {
      wanted.wrong++;
      if (wanted.wrong >= WRONG_TRIES) this.#code = undefined;
      return {
        status: 403,
        message: 'The code is wrong. Check it on the computer that runs the server, in Settings.',
      };
    }
    this.#code = undefined;
    const device = {
      id: randomBytes(9).toString('base64url'),
      name: name.trim().slice(0, LONGEST_NAME) || 'A device',
      pairedAt: this.clock(),
      pairedBy: by,
    };
    this.#kept.devices.push(device);
    this.#keep();
    return { status: 200, device };
  }

  /** Lax, so that a link in a message opens the page: a request that changes anything is refused from other sites anyway. */
  async #cookieFor({ id }) {
    const sealed = await sealData({ id }, { password: this.#kept.key, ttl: COOKIE_SECONDS });
    return `${COOKIE}=${sealed}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${COOKIE_SECONDS}`;
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
      by: (await this.deviceOf(request))?.id,
    });
    if (answer.device === undefined) return show(answer.status, answer.message);
    response.writeHead(303, { Location: '/', 'Set-Cookie': await this.#cookieFor(answer.device) });
    response.end();
  }

  /**
   * Returns whether a request may continue to the application; otherwise answers it. Its body is not read before.
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
      return refuse(
        403,
        'This device is not paired. Pair it on the computer that runs the server, in Settings.',
      );
    }
    markDevice(request, device.id);
    return true;
  }
}
