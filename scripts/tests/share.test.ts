import { afterEach, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Share } from '../share.mjs';

const folders: string[] = [];
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true, force: true })));

function makeShare(root = mkdtempSync(path.join(tmpdir(), 'mellow-share-'))) {
  folders.push(root);
  const time = { now: 1_800_000_000_000 };
  const share = new Share({ address: '127.0.0.2', port: 4310, root, clock: () => time.now });
  return { share, time, root };
}

const from = '192.0.2.7';

describe('pairing', () => {
  test('a code pairs one device, once', () => {
    const { share } = makeShare();
    const { code } = share.newCode();
    expect(share.pair({ code: code.toLowerCase(), name: ' Phone ', from })).toMatchObject({ status: 200 });
    expect(share.list()).toMatchObject([{ name: 'Phone' }]);
    expect(share.pair({ code, name: 'Another', from })).toMatchObject({ status: 403 });
    expect(share.list()).toHaveLength(1);
  });

  test('after five minutes, or five wrong tries, a code is void', () => {
    const { share, time } = makeShare();
    const late = share.newCode().code;
    time.now += 5 * 60_000 + 1;
    expect(share.pair({ code: late, name: '', from })).toMatchObject({ status: 403 });
    const { code } = share.newCode();
    for (let i = 0; i < 5; i++)
      expect(share.pair({ code: 'WRONGONE', name: '', from: `192.0.2.${i}` })).toMatchObject({ status: 403 });
    expect(share.pair({ code, name: '', from })).toMatchObject({ status: 403 });
    expect(share.list()).toEqual([]);
  });

  test('a newer code makes the earlier one void', () => {
    const { share } = makeShare();
    const first = share.newCode().code;
    share.newCode();
    expect(share.pair({ code: first, name: '', from })).toMatchObject({ status: 403 });
  });

  test('one address has ten tries in ten minutes, whatever it brings', () => {
    const { share, time } = makeShare();
    for (let i = 0; i < 10; i++) share.pair({ code: 'WRONGONE', name: '', from });
    const { code } = share.newCode();
    expect(share.pair({ code, name: '', from })).toMatchObject({ status: 429 });
    time.now += 10 * 60_000 + 1;
    expect(share.pair({ code: share.newCode().code, name: '', from })).toMatchObject({ status: 200 });
  });
});

describe('who is let in', () => {
  const host = { host: '127.0.0.2:4310' };

  test('only under its own name, and from its own pages', () => {
    const { share } = makeShare();
    expect(share.findStranger({ headers: host })).toBeUndefined();
    expect(share.findStranger({ headers: { host: 'evil.example:4310' } })).toMatch(/does not respond/);
    expect(share.findStranger({ headers: { host: '127.0.0.1:4310' } })).toMatch(/does not respond/);
    expect(share.findStranger({ headers: { ...host, origin: 'http://evil.example' } })).toMatch(
      /Another page/,
    );
    expect(share.findStranger({ headers: { ...host, 'sec-fetch-site': 'cross-site' } })).toMatch(
      /Another page/,
    );
  });

  test('without a cookie, with a forged one, and after revoking nobody is known', async () => {
    const { share } = makeShare();
    const { device } = share.pair({ code: share.newCode().code, name: 'Phone', from }) as {
      device: { id: string };
    };
    expect(await share.deviceOf({ headers: {} })).toBeUndefined();
    expect(await share.deviceOf({ headers: { cookie: 'mellow-device=forged' } })).toBeUndefined();
    const other = makeShare();
    expect(await other.share.deviceOf({ headers: { cookie: `mellow-device=${device.id}` } })).toBeUndefined();
    expect(share.revoke(device.id)).toBe(true);
    expect(share.revoke('nobody')).toBe(false);
    expect(share.list()).toEqual([]);
  });

  test('a target that is not what it says is refused, and a link to a page from elsewhere is not', () => {
    const { share } = makeShare();
    for (const url of ['/x/../api/backup', '/./api/backup', '/api/backup#', '//evil.example/api', '/x\\y'])
      expect(share.findStranger({ method: 'POST', url, headers: host })).toMatch(/not valid/);
    const link = { ...host, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' };
    expect(share.findStranger({ method: 'GET', url: '/jobs/8/run', headers: link })).toBeUndefined();
    expect(share.findStranger({ method: 'GET', url: '/api/shelf', headers: link })).toMatch(/Another page/);
    expect(share.findStranger({ method: 'POST', url: '/jobs/8/run', headers: link })).toMatch(/Another page/);
  });
});

describe('revoking', () => {
  const pairOne = (share: Share, by?: string) =>
    (share.pair({ code: share.newCode().code, name: '', from, by }) as { device: { id: string } }).device.id;

  test('ends a device with all that it paired, and those that these paired', () => {
    const { share } = makeShare();
    const [first, other] = [pairOne(share), pairOne(share)];
    pairOne(share, pairOne(share, first));
    expect(share.list()).toHaveLength(4);
    expect(share.revoke(first)).toBe(true);
    expect(share.list().map(({ id }) => id)).toEqual([other]);
    expect(share.revoke(first)).toBe(false);
  });

  test('two devices that paired each other both end', () => {
    const { share, root } = makeShare();
    const one = pairOne(share);
    const two = pairOne(share, one);
    const file = path.join(root, 'devices.json');
    const kept = JSON.parse(readFileSync(file, 'utf8'));
    kept.devices[0].pairedBy = two;
    writeFileSync(file, JSON.stringify(kept));
    const again = new Share({ address: '127.0.0.2', port: 4310, root });
    again.revoke(two);
    expect(again.list()).toEqual([]);
  });
});

test('tries of a clock that was set back since keep nobody out', () => {
  const { share, time } = makeShare();
  for (let i = 0; i < 20; i++) share.pair({ code: 'WRONGONE', name: '', from });
  time.now -= 40 * 24 * 3_600_000;
  expect(share.pair({ code: share.newCode().code, name: '', from })).toMatchObject({ status: 200 });
});

test('a clock that is set back ends a code too', () => {
  const { share, time } = makeShare();
  const { code } = share.newCode();
  time.now -= 3_600_000;
  expect(share.pair({ code, name: '', from })).toMatchObject({ status: 403 });
});

test.each([
  ['nothing at all', ''],
  ['half of it', '{"key":"0011'],
  ['another shape', '{"devices":[]}'],
  ['a list', '[]'],
])('a list of devices that holds %s shares nothing, and says where it lies and what to do', (_what, text) => {
  const root = mkdtempSync(path.join(tmpdir(), 'mellow-share-'));
  folders.push(root);
  writeFileSync(path.join(root, 'devices.json'), text);
  const opened = Share.open({ address: '127.0.0.2', port: 4310, root });
  expect(opened).toEqual({
    ok: false,
    issue: `${path.join(root, 'devices.json')} cannot be used, so nothing is shared. Move it away and pair the devices again, then start again.`,
  });
  expect(readFileSync(path.join(root, 'devices.json'), 'utf8')).toBe(text);
});

test('a list of devices that is a folder shares nothing either', () => {
  const root = mkdtempSync(path.join(tmpdir(), 'mellow-share-'));
  folders.push(root);
  mkdirSync(path.join(root, 'devices.json'));
  const opened = Share.open({ address: '127.0.0.2', port: 4310, root });
  expect(opened.ok).toBe(false);
});

test('devices and key outlive the server, for nobody else to read', () => {
  const { share, root } = makeShare();
  share.pair({ code: share.newCode().code, name: 'Phone', from });
  const file = path.join(root, 'devices.json');
  expect(statSync(file).mode & 0o077).toBe(0);
  const again = new Share({ address: '127.0.0.2', port: 4310, root });
  expect(again.list()).toMatchObject([{ name: 'Phone' }]);
  expect(JSON.parse(readFileSync(file, 'utf8')).key).toHaveLength(64);
});
