import { expect, test } from '@jest/globals';
import { z } from 'zod';
import { download, readJson } from '../answers';

const request = (headers: Record<string, string>, body?: string) =>
  new Request('http://127.0.0.1:4310/api/readings', { method: 'POST', headers, body });

test('a body that is no JSON or does not fit is answered with 400 and what is wrong', async () => {
  const schema = z.object({ readingMm: z.number() });
  const broken = await readJson(request({}, '{'), schema);
  expect(broken.ok ? 0 : broken.issue.status).toBe(400);
  const wrong = await readJson(request({}, '{"readingMm":"x"}'), schema);
  expect(wrong.ok ? '' : ((await wrong.issue.json()) as { message: string }).message).toContain('readingMm');
  expect(await readJson(request({}, '{"readingMm":3}'), schema)).toEqual({
    ok: true,
    value: { readingMm: 3 },
  });
});

test('a file name cannot break out of its header', () => {
  expect(download('a"b\r\nX: y.stl')['Content-Disposition']).toBe('attachment; filename="a-b-X- y.stl"');
});
