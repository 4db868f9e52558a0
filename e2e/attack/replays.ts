import { randomUUID } from 'node:crypto';
import { act, actionNamed, everything, type Report, rows, Tally, type Target } from './target';

/** A tap or a form, as a page sends it. */
interface Sent {
  readonly action: string;
  readonly args: readonly unknown[];
  readonly form?: Readonly<Record<string, string>>;
}

const idOf = (target: Target, statement: string) => rows<{ id: number }>(target, statement)[0].id;

/** The taps and forms that would add, or delete, a second time. */
function listSent(target: Target): Sent[] {
  const runId = idOf(target, "select min(id) id from runs where ended_at is not null and outcome = 'done'");
  const printerId = idOf(
    target,
    `select p.printer_id id from runs r join profiles p on p.id = r.profile_id where r.id = ${runId}`,
  );
  const featureForm = {
    name: 'a feature sent twice',
    sense: 'inside',
    shape: 'round',
    axis: 'XY',
    angleDeg: '',
    base: '',
    targetMm: '8',
    lowerDeviationMm: '-0.1',
    upperDeviationMm: '0.1',
    ruin: 'none',
    mateName: '',
    mateMm: '',
    mateU_mm: '',
    drawnMm: '',
    revision: '1',
  };
  const failure = { clientKey: randomUUID(), pieceIds: [], kind: 'stuckInVat', note: 'sent twice' };
  const clear = (step: string): Sent => ({
    action: 'tapClearing',
    args: [printerId, { step, isWell: true, note: '' }],
  });
  return [
    { action: 'tapFailure', args: [runId, failure] },
    ...['solids', 'plate', 'film', 'filter'].map(clear),
    { action: 'tapMaintenance', args: [printerId, { kind: 'washLiquid', isWell: true, note: '' }] },
    { action: 'dropMaintenance', args: [printerId, 'washLiquid'] },
    { action: 'tapLookOver', args: [printerId, { done: ['filter'], amiss: [], note: 'sent twice' }] },
    { action: 'copyThisJob', args: [5] },
    { action: 'startJob', args: [], form: { name: 'a job sent twice' } },
    { action: 'newFeature', args: [5], form: featureForm },
    { action: 'saveWeighing', args: [runId], form: { parts: '100', supports: '20', unit: 'g' } },
    {
      action: 'noteProfileChange',
      args: [1],
      form: { kind_film: 'on', film: 'sent twice', day: '', note: '' },
    },
    {
      action: 'saveStock',
      args: [],
      form: { name: 'sent twice', unit: 'pieces', counted: '5', perPrint: '1', leadDays: '3' },
    },
    { action: 'saveBottle', args: [1], form: { batch: 'twice', openedOn: '', fullMl: '500', leftMl: '100' } },
  ];
}

const send = (target: Target, { action, args, form }: Sent, tapKey: string) =>
  act(
    target,
    actionNamed(action),
    form === undefined ? [tapKey, ...args] : args,
    form === undefined ? undefined : { ...form, tapKey },
  ).then((answer) => answer.text());

/** Each tap and form is sent three times with its key: the first is done, the others change nothing. */
export async function replays(target: Target): Promise<Report> {
  const tally = new Tally('taps and forms that are sent again');
  for (const sent of listSent(target)) {
    const tapKey = randomUUID();
    const before = everything(target);
    await send(target, sent, tapKey);
    const after = everything(target);
    tally.check(after !== before, `${sent.action} did nothing the first time`);
    await Promise.all([send(target, sent, tapKey), send(target, sent, tapKey)]);
    tally.check(everything(target) === after, `${sent.action} changed something when it was sent again`);
  }
  return tally.report();
}
