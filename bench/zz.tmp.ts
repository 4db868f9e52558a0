import { seededRandom } from '@/core/numerics';
import { estimateSignature, leaveOneOut, drawTarget, jointChance, type SignatureReading, type Try } from '@/core/signature';
const KINDS = [
  { sense: 'outside', shape: 'flat', axis: 'X' }, { sense: 'outside', shape: 'flat', axis: 'Y' }, { sense: 'inside', shape: 'flat', axis: 'X' },
  { sense: 'inside', shape: 'round', axis: 'XY' }, { sense: 'outside', shape: 'round', axis: 'XY' }, { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
] as const;
const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
function make(prints: number): { readings: SignatureReading[]; tries: Try[] } {
  const random = seededRandom(3); const readings: SignatureReading[] = []; const tries: Try[] = [];
  for (let p = 0; p < prints; p++) for (let i = 0; i < 4; i++) {
    const kind = KINDS[(p + i) % 6]; const drawnMm = 3 + 30 * random.uniform();
    const feature = `${Math.floor(p / 1.5)}/${i}`; const size = drawnMm * 0.996 + (kind.sense === 'inside' ? -0.1 : 0.08) + 0.02 * random.normal();
    for (let k = 0; k < 3; k++) readings.push({ ...kind, feature, print: `P${p}`, drawnMm, readingMm: Math.round((size + 0.007 * random.normal()) * 100) / 100, warmth: { sitting: `s${p}`, u: 2e-4 } });
    if (i === 0 && kind.axis !== 'Z') tries.push({ ...kind, feature, print: `P${p}`, drawnMm, word: 'right', mateMm: size - (kind.sense === 'inside' ? 0.08 : -0.08), mateU_mm: 0.01 });
  }
  return { readings, tries };
}
for (const n of [160, 160]) {
  const { readings, tries } = make(n);
  const kept = new Map();
  const t: number[] = [performance.now()]; const tick = () => t.push(performance.now());
  estimateSignature(readings, { ...OPTIONS, kept }); tick();
  const more = [...readings, { ...readings.at(-1)!, readingMm: readings.at(-1)!.readingMm + 0.005 }];
  const s = estimateSignature(more, { ...OPTIONS, kept }); tick();
  leaveOneOut(s, OPTIONS); tick();
  const k2 = new Map();
  const w = estimateSignature(readings, { ...OPTIONS, tries, kept: k2 }); tick();
  estimateSignature(more, { ...OPTIONS, tries, kept: k2 }); tick();
  const target = { feature: '0/0', kind: KINDS[0], targetMm: 10, lowerDeviationMm: -0.05, upperDeviationMm: 0.05 };
  drawTarget(w, target); tick();
  let bytes = 0; for (const g of kept.values()) for (const l of (g as any).left.values()) bytes += l.byteLength;
  console.log(n, 'groups', kept.size, 'nodes', s.posterior.nodes.length, s.posterior.stride, 'MB', (bytes / 1e6).toFixed(1), '| nothing', (t[1]-t[0]).toFixed(0), 'one more', (t[2]-t[1]).toFixed(0), 'loo', (t[3]-t[2]).toFixed(0), 'words', (t[4]-t[3]).toFixed(0), 'words more', (t[5]-t[4]).toFixed(0), 'draw', (t[6]-t[5]).toFixed(0));
}
{
  const { readings } = make(160); const kept = new Map();
  const a = estimateSignature(readings, { ...OPTIONS, kept }); const before = new Set(kept.values());
  for (const d of [0.005, 0, 0.002]) {
  const more = [...readings, { ...readings.at(-1)!, readingMm: readings.at(-1)!.readingMm + d }];
  let t = performance.now();
  const b = estimateSignature(more, { ...OPTIONS, kept });
  console.log('changed', [...kept.values()].filter((g) => !before.has(g)).length, a.observations[0].u_mm, b.observations[0].u_mm, performance.now() - t);
  kept.forEach((g) => before.add(g));
  t = performance.now(); estimateSignature(more, { ...OPTIONS, kept }); console.log('same again', performance.now() - t);
  }
}
