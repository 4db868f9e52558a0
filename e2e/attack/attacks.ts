import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { expectOk } from '@/core/kit';
import { formatShelfJson, parseShelfJson } from '@/subjects/resin/shelf/shared';
import { parseReadingsCsv } from '@/subjects/measure/readings/shared';
import { STRANGE_NAMES } from '@/testing/strange-texts';
import {
  act,
  actionNamed,
  ask,
  everything,
  listActions,
  type Report,
  rows,
  Tally,
  type Target,
} from './target';

const STEPS = ['need', 'need/sheet', 'resin', 'fit', 'check', 'run', 'measure', 'correct', 'story'];

const PAGES = [
  '/',
  '/house',
  '/printers',
  '/printers/1',
  '/printers/1/light',
  '/shelf',
  '/shelf/1',
  '/shelf/blend',
  '/gauges',
  '/strips',
];

const pagesOf = (jobId: number) => STEPS.map((step) => `/jobs/${jobId}/${step}`);

/** Every route handler, with the methods that it has. */
export const ROUTES: readonly (readonly [string, readonly string[]])[] = [
  ['/api/backup', ['GET', 'POST']],
  ['/api/find?words=a', ['GET']],
  ['/api/kernel', ['GET']],
  ['/api/meshes/aa', ['GET']],
  ['/api/originals', ['POST']],
  ['/api/pictures/1', ['GET']],
  ['/api/readings', ['POST']],
  ['/api/shelf', ['GET', 'POST']],
  ['/api/strips?exposure=2&layer=0.05', ['GET']],
  ['/api/deciding?run=1&test=postField', ['GET']],
  ['/api/brackets?exposure=2', ['GET']],
  ['/api/simulated', ['GET']],
  ['/api/simulated/stations/wash', ['GET', 'POST']],
  ['/api/tries', ['POST']],
  ['/api/bodies', ['POST']],
  ['/api/closed', ['GET', 'POST']],
  ['/api/joints', ['POST']],
  ['/api/rungs', ['POST']],
  ['/api/runs/1', ['POST']],
  ['/api/signatures/1', ['GET']],
  ['/api/simulated/printers/1', ['GET', 'POST']],
  ['/api/jobs/5/part', ['GET', 'POST']],
  ['/api/jobs/5/profile', ['GET']],
  ['/api/jobs/5/readings', ['GET', 'POST']],
];

/** Strangers: another name that points here, another page’s origin, a request that a browser says is another site’s. */
export async function strangers(target: Target): Promise<Report> {
  const tally = new Tally('foreign hosts and origins');
  const own = new URL(target.address).host;
  const strange: readonly Record<string, string>[] = [
    { Host: `bench.example:${new URL(target.address).port}` },
    { Host: own, Origin: 'http://elsewhere.example' },
    { Host: own, 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'cors' },
  ];
  for (const headers of strange) {
    for (const page of [...PAGES, ...pagesOf(5)]) {
      const status = await ask(target, page, { headers });
      tally.check(status === 403, `${page} ${JSON.stringify(headers)}: ${status}`);
    }
    for (const { id, name, page } of listActions()) {
      const all = { ...headers, 'Next-Action': id, 'Content-Type': 'text/plain' };
      const status = await ask(target, page, { method: 'POST', headers: all, body: '[]' });
      tally.check(status === 403, `action ${name} ${JSON.stringify(headers)}: ${status}`);
    }
    for (const [route, methods] of ROUTES)
      for (const method of methods) {
        const status = await ask(target, route, {
          method,
          headers,
          body: method === 'POST' ? '{}' : undefined,
        });
        tally.check(status === 403, `${method} ${route} ${JSON.stringify(headers)}: ${status}`);
      }
  }
  return tally.report();
}

/** A body that says nothing of its length, sent until it is this long or nobody takes it any more. */
function chunked(bytes: number): ReadableStream<Uint8Array> {
  let left = bytes;
  return new ReadableStream({
    pull(controller) {
      if (left <= 0) return controller.close();
      const chunk = new Uint8Array(Math.min(left, 65_536)).fill(0x61);
      left -= chunk.length;
      controller.enqueue(chunk);
    },
  });
}

const WRONG_BODIES: readonly BodyInit[] = [
  '',
  '{',
  '[]',
  'null',
  '{"a":1}',
  '\u0000\uffff',
  '=1+1\n',
  '<x/>',
  'x'.repeat(100_000),
];

/** Asked without a body; one that comes along is thrown away. */
const TAKES_NO_BODY = new Set(['/api/runs/1']);

/** Bodies that are none, wrong or far too long, at every door. */
export async function bodies(target: Target, { isShort }: { readonly isShort: boolean }): Promise<Report> {
  const tally = new Tally('no, wrong and huge bodies');
  // A part may be a file of any kind at all until it is read; what was measured and drawn must stay.
  const measured = () =>
    [
      'features',
      'attempts',
      'drawn_sizes',
      'prints',
      'sessions',
      'readings',
      'tries',
      'retractions',
      'signatures',
    ].map((table) => rows(target, `select * from ${table}`));
  const before = JSON.stringify(measured());
  const takers = ROUTES.filter(([, methods]) => methods.includes('POST'))
    .map(([route]) => route)
    .filter((route) => !TAKES_NO_BODY.has(route));
  for (const route of takers) {
    for (const body of WRONG_BODIES) {
      const refusesAll = !route.endsWith('/part');
      const answer = await fetch(`${target.address}${route}`, { method: 'POST', body });
      const said = await answer.text();
      const expected = refusesAll ? answer.status >= 400 && answer.status < 500 : answer.status < 500;
      tally.check(expected && said.length < 1500, `${route}: ${answer.status} ${said.slice(0, 200)}`);
    }
    const bytes = (isShort ? 1 : 70) * 1024 * 1024;
    const answer = await fetch(`${target.address}${route}`, {
      method: 'POST',
      body: chunked(bytes),
      duplex: 'half',
    } as RequestInit);
    const said = await answer.text();
    tally.check(answer.status < 500 && said.length < 1500, `${route}, ${bytes} bytes: ${answer.status}`);
  }
  for (const action of listActions()) {
    for (const args of [[], [null], [{}, [], 'x'], ['1; drop table jobs', -1, 1e300]]) {
      const { status } = await act(target, action, args);
      tally.check(status < 500, `action ${action.name}: ${status}`);
    }
  }
  tally.check(JSON.stringify(measured()) === before, 'something that was measured or drawn has changed');
  return tally.report();
}

/** Ids of one job sent with those of another, and ids that are none. */
export async function ids(target: Target): Promise<Report> {
  const tally = new Tally('ids of other jobs, and none at all');
  const [mine, other] = rows<{ job: number; feature: number; print: number; session: number }>(
    target,
    `select f.job_id job, min(f.id) feature, min(p.id) print, min(s.id) session from features f
     join attempts a on a.job_id = f.job_id join prints p on p.attempt_id = a.id
     join sessions s on s.job_id = f.job_id group by f.job_id limit 2`,
  );
  const before = everything(target);
  const unchanged = (what: string) => tally.check(everything(target) === before, `${what} changed something`);
  const json = { 'Content-Type': 'application/json' };
  for (const mixed of [
    { printId: other.print },
    { sessionId: other.session },
    { featureId: other.feature },
  ]) {
    const reading = {
      clientKey: `mixed-${Object.keys(mixed)[0]}`,
      featureId: mine.feature,
      printId: mine.print,
      sessionId: mine.session,
      readingMm: 9,
      confirmed: true,
      ...mixed,
    };
    const answer = await fetch(`${target.address}/api/readings`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify(reading),
    });
    tally.check(
      ((await answer.json()) as { ok: boolean }).ok === false,
      `reading with ${JSON.stringify(mixed)}`,
    );
  }
  unchanged('a mixed reading');
  /** A row with an owner that is not its own. */
  const strayOf = (table: string, owner: string, owners: string) =>
    rows<{ id: number; other: number }>(
      target,
      `select t.id, o.id other from ${table} t join ${owners} o on o.id <> t.${owner} where t.removed_at is null limit 1`,
    )[0];
  const bottle = strayOf('bottles', 'resin_id', 'resins');
  const proof = strayOf('proofs', 'resin_id', 'resins');
  const joint = strayOf('joints', 'job_id', 'jobs');
  const foreign: readonly (readonly [string, readonly unknown[]])[] = [
    ['putFeatureAway', [mine.job, other.feature]],
    ['placeOnPart', [mine.job, other.feature, [1, 2, 3]]],
    ['takeWishOff', [mine.job, other.feature]],
    ['takeBack', [mine.job, other.print]],
    ['saveBroken', [mine.job, other.print, 'broken']],
    ['makePrint', [mine.job, 1e6]],
    ['dropJoint', [joint.other, joint.id]],
    ['removeBottle', [bottle.other, bottle.id]],
    ['removeResinTest', [proof.other, proof.id]],
  ];
  const BEHIND_A_FORM = new Set(['makePrint']);
  const sound = (text: string) => text.replace(/"revision":\d+/g, '');
  for (const [name, args] of foreign) {
    await act(target, actionNamed(name), BEHIND_A_FORM.has(name) ? args : [randomUUID(), ...args]);
    tally.check(
      sound(everything(target)) === sound(before),
      `${name} ${JSON.stringify(args)} changed something`,
    );
  }
  for (const id of ['0', '-1', '1.5', '1e3', 'abc', '999999', '%00', '..%2f..%2fetc'])
    for (const [method, route] of [
      ['GET', 'part'],
      ['POST', 'part'],
      ['GET', 'readings'],
      ['POST', 'readings'],
      ['GET', 'profile'],
    ]) {
      const answer = await fetch(`${target.address}/api/jobs/${id}/${route}`, {
        method,
        body: method === 'POST' ? 'x' : undefined,
      });
      tally.check(
        answer.status >= 400 && answer.status < 500,
        `${method} /api/jobs/${id}/${route}: ${answer.status}`,
      );
    }
  unchanged('an id that is none');
  return tally.report();
}

const BLANK_NEED = {
  need: '',
  acceptance: '',
  rule: 'guarded',
  quantity: '1',
  dueOn: '',
  seenFaces: '',
  hottestC: '',
  hottestWhen: '',
  fitC: '',
  loadWords: '',
  loadN: '',
  profileId: '1',
};

/** What the doors keep of a name. */

const cleaned = (name: string) => name.replace(/[\u0000-\u001f\u007f]+/g, ' ').trim();

/** A name through every form that takes one; gives the job that bears it. */
async function nameEverything(target: Target, name: string): Promise<number> {
  const send = (action: string, args: readonly unknown[], form: Record<string, string>) =>
    act(target, actionNamed(action), args, form).then((answer) => answer.text());
  await send('startJob', [], { name, profileId: '1' });
  const [{ id: jobId, revision }] = rows<{ id: number; revision: number }>(
    target,
    'select id, revision from jobs order by id desc limit 1',
  );
  await send('saveNeed', [jobId], {
    ...BLANK_NEED,
    name,
    need: name,
    acceptance: name,
    seenFaces: name,
    loadWords: name,
    revision: String(revision),
  });
  const feature = {
    name,
    sense: 'inside',
    shape: 'round',
    axis: 'XY',
    angleDeg: '',
    base: '',
    targetMm: '8',
    lowerDeviationMm: '-0.1',
    upperDeviationMm: '0.1',
    ruin: 'none',
    mateName: name,
    mateMm: '7.9',
    mateU_mm: '',
    drawnMm: '',
    revision: '1',
  };
  await send('newFeature', [jobId], feature);
  const caliper = { name, mpeMm: '0.02', resolutionMm: '0.01', jawFlatMm: '', body: 'steel' };
  await send('addInstrument', [], caliper).catch(() => undefined);
  await send('startResin', [], { name, family: 'general' });
  const resin = rows<{ id: number }>(target, 'select id from resins order by id desc limit 1')[0].id;
  await send('saveQuote', [resin], {
    property: 'elongation',
    value: '0.2',
    unit: '',
    condition: 'cured',
    standard: name,
    testMPa: '',
    atC: '',
    on: '',
  });
  await send('saveFacts', [resin], {
    family: 'general',
    clarity: '',
    alone: '',
    light: '',
    rated: '',
    cautions: name,
  });
  await send('saveBottle', [resin], { batch: name, openedOn: '', fullMl: '500', leftMl: '100' });
  await send('saveHouse', [], { benchName: name, letterKeys: 'on' });
  await send('makeProfile', [jobId], {
    printerName: name,
    resinName: name,
    profileName: name,
    layerMm: '0.05',
    pixelMm: '',
    lot: name,
  });
  return jobId;
}

const RAW = /<script>alert\(1\)|<img src=x/;

/** Names of every kind through every form, onto every page, out as every file and in again. */
export async function names(target: Target, { isShort }: { readonly isShort: boolean }): Promise<Report> {
  const tally = new Tally('names with markup, formulas and control characters');
  const all = [...STRANGE_NAMES, '<img src=x onerror=alert(1)>', 'tab\tand\nline', '\u0000\u0007bell'];
  for (const [i, name] of (isShort ? all.filter((_, k) => k % 4 === 0) : all).entries()) {
    const jobId = await nameEverything(target, `${name} ${i}`);
    const kept = cleaned(`${name} ${i}`);
    for (const statement of [
      `select name from jobs where id = ${jobId}`,
      `select name from features where job_id = ${jobId}`,
      'select name from resins',
      'select name from mates',
      'select name from instruments',
      'select batch name from bottles',
    ])
      tally.check(
        rows<{ name: string }>(target, statement).some((row) => row.name === kept),
        `${JSON.stringify(kept)} is not in: ${statement}`,
      );
    for (const page of ['/', '/house', '/shelf', '/printers', ...pagesOf(jobId)]) {
      const answer = await fetch(`${target.address}${page}`);
      const html = await answer.text();
      tally.check(
        answer.status === 200 && !RAW.test(html),
        `${page} with ${JSON.stringify(name)}: ${answer.status}`,
      );
    }
    const csv = `feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm\n"${`${name} f`.replaceAll('"', '""')}",inside,round,XY,,,8,"${`${name} p`.replaceAll('"', '""')}",cured,8.01\n`;
    await fetch(`${target.address}/api/jobs/${jobId}/readings`, { method: 'POST', body: csv });
    const out = await (await fetch(`${target.address}/api/jobs/${jobId}/readings`)).text();
    const [before, after] = [csv, out].map((text) => expectOk(parseReadingsCsv(text))[0]);
    tally.check(
      before.feature === after?.feature && before.print === after?.print,
      `readings of ${JSON.stringify(name)}`,
    );
    const again = await fetch(`${target.address}/api/jobs/${jobId}/readings`, { method: 'POST', body: out });
    tally.check(
      ((await again.json()) as { readings: number }).readings === 0,
      `${JSON.stringify(name)} doubled`,
    );
  }
  const shelf = await (await fetch(`${target.address}/api/shelf`)).text();
  const entries = expectOk(parseShelfJson(shelf));
  const again = expectOk(parseShelfJson(formatShelfJson(entries)));
  tally.check(isDeepStrictEqual(again, entries), 'the shelf does not come back as it went out');
  for (const form of ['json', 'csv']) {
    const file = await (await fetch(`${target.address}/api/shelf?form=${form}`)).text();
    const taken = await fetch(`${target.address}/api/shelf`, { method: 'POST', body: file });
    tally.check(taken.status === 200, `the shelf as ${form}: ${await taken.text()}`);
  }
  const said = rows(
    target,
    'select name from jobs union select name from resins union select name from features',
  );
  const backup = await (await fetch(`${target.address}/api/backup`)).arrayBuffer();
  const restored = await fetch(`${target.address}/api/backup`, { method: 'POST', body: backup });
  tally.check(restored.status === 200, `the backup: ${await restored.text()}`);
  const back = rows(
    target,
    'select name from jobs union select name from resins union select name from features',
  );
  tally.check(JSON.stringify(back) === JSON.stringify(said), 'names changed on their way through the backup');
  return tally.report();
}
