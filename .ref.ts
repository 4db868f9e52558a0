import { readFileSync } from 'node:fs';
import { estimateSignature, } from '@/core/signature/estimate';
import { drawTarget, jointChance } from '@/core/signature/draw';
import { leaveOneOut } from '@/core/signature/suspicious';
for (const n of [11, 12]) {
  const base = `/work/shared/reference/signature-${n}`;
  const rows = readFileSync(base + '.readings.csv', 'utf8').trim().split('\n').slice(1).map(l => l.split(','));
  const kindOf = (c: string[]) => ({ sense: c[1], shape: c[2], axis: c[3], angleRad: c[4] ? +c[4] * Math.PI / 180 : undefined, base: c[5] || undefined }) as any;
  const readings = rows.map((c, i) => ({ feature: c[0], ...kindOf(c), drawnMm: +c[6], print: c[7], readingMm: +c[9], source: i + 2 }));
  const exp = JSON.parse(readFileSync(base + '.expected.json', 'utf8'));
  const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
  let t = performance.now();
  const s = estimateSignature(readings, options);
  console.log('ms', performance.now() - t);
  for (const p of exp.parameters) { const q = s.parameters.find(x => x.name === p.name)!; console.log(p.name, ((q.mean - p.mean) / p.sd).toFixed(4), (q.sd / p.sd).toFixed(4)); }
  console.log(s.scatter, exp.scatter);
  const ts = readFileSync(base + '.targets.csv', 'utf8').trim().split('\n').slice(1).map(l => l.split(',')).map(c => ({ feature: c[0], kind: kindOf(c), targetMm: +c[6], lowerMm: +c[7], upperMm: +c[8] }));
  const drawn = ts.map(t => ({ target: t, d: drawTarget(s, t) }));
  drawn.forEach(({ d }, i) => { const e = exp.targets[i]; console.log(d.feature, ((d.drawMm - e.draw_mm) / e.sd_mm).toFixed(4), (d.sdMm / e.sd_mm).toFixed(4), (d.inTolerance - e.inTolerance).toFixed(4)); });
  t = performance.now();
  console.log(jointChance(s, drawn.map(({ target, d }) => ({ target, drawMm: d.drawMm }))), 'ms', performance.now() - t);
  t = performance.now();
  console.log(leaveOneOut(s, options).suspicious.length, 'ms', performance.now() - t);
}
{
  const base = `/work/shared/reference/signature-11`;
  const rows = readFileSync(base + '.readings.csv', 'utf8').trim().split('\n').slice(1).map(l => l.split(','));
  const kindOf = (c: string[]) => ({ sense: c[1], shape: c[2], axis: c[3], angleRad: c[4] ? +c[4] * Math.PI / 180 : undefined, base: c[5] || undefined }) as any;
  const readings = rows.map((c, i) => ({ feature: c[0], ...kindOf(c), drawnMm: +c[6], print: c[7], readingMm: +c[9], source: i + 2 }));
  const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
  for (let k = 0; k < 4; k++) { let t = performance.now(); const s = estimateSignature(readings, options); const a = performance.now(); leaveOneOut(s, options); console.log('est', a - t, 'loo', performance.now() - a); }
}
