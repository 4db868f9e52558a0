import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import http from 'node:http';
import { By } from 'selenium-webdriver';
import { click, find, openBrowser, waitForText } from './browser';
import { type BenchServer, serveBench } from './bench-server';

const DEVICE = '127.0.0.2';
let server: BenchServer;
let port: number;
beforeAll(async () => {
  server = await serveBench('demo', ['--share', DEVICE]);
  port = Number(new URL(server.address).port);
});
afterAll(() => server.stop());

interface Answer {
  readonly status: number;
  readonly body: string;
  readonly cookie?: string;
  readonly location?: string;
}

/** A request as a device sends it; Host and cookie as they are given. */
function ask(
  path: string,
  {
    method = 'GET',
    headers = {},
    body = '',
  }: { method?: string; headers?: Record<string, string>; body?: string } = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const request = http.request(
      { host: DEVICE, port, path, method, headers, localAddress: DEVICE },
      (response) => {
        let text = '';
        response.on('data', (chunk) => (text += String(chunk)));
        response.on('end', () =>
          resolve({
            status: response.statusCode!,
            body: text,
            cookie: response.headers['set-cookie']?.[0].split(';')[0],
            location: response.headers.location,
          }),
        );
      },
    );
    request.on('error', reject);
    request.end(body);
  });
}

const pair = (code: string) =>
  ask('/pair', {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams({ code, name: 'Phone' }).toString(),
  });

describe('the bench on a second address', () => {
  test('a device without pairing is refused everything but the page of pairing', async () => {
    for (const path of ['/', '/jobs/5/measure', '/api/find?q=rack', '/_next/static/x', '/house'])
      expect((await ask(path)).status).toBe(403);
    expect((await ask('/', { headers: { 'Sec-Fetch-Mode': 'navigate' } })).location).toBe('/pair');
    const page = await ask('/pair');
    expect(page.status).toBe(200);
    expect(page.body).not.toContain('Tern Rock');
    expect((await ask('/', { headers: { Host: 'evil.example' } })).status).toBe(403);
    expect((await ask('/pair', { headers: { Host: 'evil.example' } })).status).toBe(403);
    expect((await pair('WRONGONE')).status).toBe(403);
  });

  test('paired by the code from House it measures and runs on 390 px; revoked it is out', async () => {
    const machine = await openBrowser();
    const phone = await openBrowser();
    try {
      await machine.driver.get(`${server.address}/house`);
      await click(machine.driver, 'Pair a device');
      const shown = await find(machine.driver, 'figcaption strong');
      const code = await shown.getText();
      await phone.resize(390, 844);
      await phone.driver.get(`http://${DEVICE}:${port}/pair#${code}`);
      await click(phone.driver, 'Pair device');
      await waitForText(phone.driver, 'Tern Rock bench');
      expect((await pair(code)).status).toBe(403);
      await phone.driver.get(`http://${DEVICE}:${port}/jobs/8/run`);
      await click(phone.driver, 'Start');
      await waitForText(phone.driver, 'left');
      await phone.driver.get(`http://${DEVICE}:${port}/jobs/8/measure`);
      await waitForText(phone.driver, 'Start measuring');
      await phone.driver.get(`http://${DEVICE}:${port}/house`);
      await waitForText(phone.driver, 'on the computer that runs the server');
      const { cookie } = { cookie: (await phone.driver.manage().getCookie('mellow-device')).value };
      const restored = await ask('/api/backup', {
        method: 'POST',
        headers: { Cookie: `mellow-device=${cookie}` },
      });
      expect([restored.status, restored.body]).toEqual([
        403,
        expect.stringContaining('on the computer that runs the server'),
      ]);
      await machine.driver.navigate().refresh();
      const revoke = await machine.driver.findElement(By.xpath("//button[starts-with(., 'Revoke')]"));
      await revoke.click();
      await waitForText(machine.driver, 'No paired devices.');
      expect((await ask('/', { headers: { Cookie: `mellow-device=${cookie}` } })).status).toBe(403);
    } finally {
      await machine.quit();
      await phone.quit();
    }
  });
});
