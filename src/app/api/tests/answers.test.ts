import { describe, expect, test } from '@jest/globals';
import { z } from 'zod';
import { readyBench } from '@/testing/bench';
import { importReadingsSteps } from '@/subjects/measure/readings';
import { answering, download, idIn, readJson, takeBytes, takeText } from '../answers';
import { answerInTurns, inTurns } from '../in-turns';

const request = (headers: Record<string, string>, body?: BodyInit) =>
  new Request('http://127.0.0.1:4310/api/readings', {
    method: 'POST',
    headers,
    body,
    duplex: 'half',
  } as RequestInit);

const said = async (response: Response) => ((await response.json()) as { message: string }).message;

test('a body that is no JSON or does not fit is answered with 400 and what is wrong', async () => {
  const schema = z.object({ readingMm: z.number() });
  const broken = await readJson(request({}, '{'), schema);
  expect(broken.ok ? 0 : broken.issue.status).toBe(400);
  const wrong = await readJson(request({}, '{"readingMm":"x"}'), schema);
  expect(wrong.ok ? '' : await said(wrong.issue)).toContain('readingMm');
  expect(await readJson(request({}, '{"readingMm":3}'), schema)).toEqual({
    ok: true,
    value: { readingMm: 3 },
  });
});

/** A body that goes on for ever and says nothing of its length; counts what was taken of it. */
function endless() {
  const taken = { bytes: 0 };
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      const chunk = new Uint8Array(1000);
      taken.bytes += chunk.length;
      controller.enqueue(chunk);
    },
  });
  return { body, taken };
}

describe('a limit on a body', () => {
  test('holds whatever its sender says of its length, and no more of it is read', async () => {
    const { body, taken } = endless();
    const answer = await takeBytes(request({}, body), 5000);
    expect(answer.ok ? 0 : answer.issue.status).toBe(413);
    expect(taken.bytes).toBeLessThan(10_000);
  });

  test('that is announced is refused before anything is read', async () => {
    const answer = await takeText(request({ 'Content-Length': '6000' }, 'short'), 5000);
    expect(answer.ok ? '' : await said(answer.issue)).toContain('5 kB');
  });

  test('holds for JSON too', async () => {
    const answer = await readJson(request({}, endless().body), z.unknown());
    expect(answer.ok ? 0 : answer.issue.status).toBe(413);
  });
});

describe('a disk that does not take it', () => {
  test.each([
    ['SQLITE_FULL', 507, 'disk is full'],
    ['ENOSPC', 507, 'disk is full'],
    ['SQLITE_BUSY', 503, 'another program'],
    ['SQLITE_READONLY', 503, 'cannot be written'],
    ['SQLITE_CORRUPT', 503, 'damaged'],
    [
      'SQLITE_IOERR_WRITE',
      503,
      'the disk reports an error, so nothing was saved. Check the disk, then send it again.',
    ],
  ])('%s is said in a sentence', async (code, status, words) => {
    const response = await answering(() => {
      throw Object.assign(new Error('x'), { code });
    })(request({}));
    expect(response.status).toBe(status);
    expect(await said(response)).toContain(words);
  });

  test('an error of ours is none of the disk’s', async () => {
    const faulty = answering(() => {
      throw new RangeError('ours');
    });
    await expect(faulty(request({}))).rejects.toThrow('ours');
  });
});

function* long(): Generator<number, string, void> {
  for (let i = 0; i < 40; i++) {
    const until = performance.now() + 5;
    while (performance.now() < until);
    yield i / 40;
  }
  return 'done';
}

describe('long work', () => {
  test('lets everything else have its turn between its steps', async () => {
    let turns = 0;
    const ticking = setInterval(() => turns++, 0);
    expect(await inTurns(long(), { isStopped: () => false })).toBe('done');
    clearInterval(ticking);
    expect(turns).toBeGreaterThan(3);
  });

  test('is stopped by who asked for it, and answers nothing', async () => {
    let steps = 0;
    const answer = await inTurns(long(), { isStopped: () => ++steps > 2 });
    expect(answer).toBeUndefined();
    expect(steps).toBe(3);
  });

  test('tells how far it is, line by line, and last how it went', async () => {
    const asked = request({ Accept: 'application/x-ndjson' });
    const answer = await answerInTurns(asked, long(), (value) => Response.json({ value }));
    const lines = (await answer.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as object);
    expect(lines.length).toBeGreaterThan(3);
    expect(lines[0]).toEqual({ share: expect.any(Number) });
    expect(lines.at(-1)).toEqual({ status: 200, body: { value: 'done' } });
  });

  test('who goes away stops it: a file of readings leaves nothing', async () => {
    const { db, jobId } = readyBench();
    const header = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm';
    const row = 'bore,inside,round,XY,,,8,P1,cured,8.02\n';
    const before = db.$client.prepare('select count(*) from readings').pluck().get();
    const going = new AbortController();
    const asked = new Request('http://127.0.0.1:4310/api', { method: 'POST', signal: going.signal });
    const steps = importReadingsSteps(db, jobId, `${header}\n${row.repeat(20_000)}`);
    const answer = answerInTurns(asked, steps, () => Response.json({}));
    going.abort();
    expect((await answer).status).toBe(499);
    expect(db.$client.prepare('select count(*) from readings').pluck().get()).toBe(before);
  });
});

test('a number in an address is the id of a row, or none', () => {
  expect(['8', '0', '-1', '1.5', '1e3', 'abc', '9'.repeat(20), ''].map((text) => idIn(text))).toEqual([
    8,
    ...Array<undefined>(7).fill(undefined),
  ]);
  expect(idIn(null)).toBeUndefined();
});

test('a file name cannot break out of its header', () => {
  expect(download('a"b\r\nX: y.stl')['Content-Disposition']).toBe('attachment; filename="a-b-X- y.stl"');
});
