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
{
  const { readings, tries } = make(160); const kept = new Map();
  for (let i = 0; i < 8; i++) { const t = performance.now(); estimateSignature(readings, { ...OPTIONS, tries, kept }); console.log(performance.now() - t); }
}
