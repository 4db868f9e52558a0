import { openDb, queries } from '@/db';
import { makeDemo } from '@/demo/make-demo';
import { viewJob } from '@/services/view-job';
import { planDraw, startAttempt, notePrint } from '@/services/draw-next';
import { closeJaws } from '@/services/stand-in';
import { recordReading, startSession } from '@/services/take-readings';
import { tellStory } from '@/services/tell-story';
import { glanceAtJobs } from '@/services/look-around';
const db = openDb(':memory:');
let t = Date.now(); makeDemo(db); console.log('demo ms', Date.now() - t);
console.log(glanceAtJobs(db).map(g => [g.id, g.name, g.outcome, g.step]));
for (const id of [4, 3]) {
  const read = (n: number) => {
    const a = queries.listAttempts(db, id).at(-1)!; const p = a.prints.at(-1)!.id;
    const s = startSession(db, { jobId: id, instrumentId: 1, zeroMm: 0, partC: 21, instrumentC: 21, state: 'cured', warm: false });
    for (const f of queries.listFeatures(db, id)) for (let k = 1; k <= n; k++) { const r = closeJaws(db, f.id, p, k, 1); if (r.ok) { const q = recordReading(db, { clientKey: `${f.id}-${p}-${k}-x`, sessionId: s, featureId: f.id, printId: p, readingMm: r.value, confirmed: false }); if (!q.ok) console.log(q.issue) } }
  };
  if (id === 4) read(3);
  const show = () => { const v = viewJob(db, id)!; for (const f of v.current!.features) console.log(f.name, f.targetMm, 'drawn', f.drawnMm, 'size', f.size?.sizeMm.toFixed(3), 'U', f.size?.expandedU_mm.toFixed(3), JSON.stringify(f.verdict), 'pred', f.predicted?.meanMm.toFixed(3)); return v; };
  let v = show();
  const plan = planDraw(v)!;
  console.log(plan.lines.map(l => [l.feature.name, l.next.drawMm.toFixed(3), l.next.inTolerance.toFixed(2)]).join(' | '), plan.joint, plan.jointUnchanged);
  const at = startAttempt(db, v, { lever: 'drawn', reason: 'learned', drawnMm: new Map(plan.lines.map(l => [l.feature.id, l.next.drawMm])) });
  if (at.ok) notePrint(db, at.value, 2, id);
  read(3); v = show();
  console.log(JSON.stringify(tellStory(db, v).map(s => [s.number, s.outcome, s.changes.length])));
}
console.log(viewJob(db, 4)!.learned!.signature.parameters.map(p => `${p.name} ${p.mean.toFixed(4)} ${p.sd.toFixed(4)} ${p.pinned}`).join('\n'), viewJob(db,4)!.learned!.report.suspicious);
