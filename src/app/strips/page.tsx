import type { Metadata } from 'next';
import { RuleStrip, type StripTone, type StripValues } from '@/ui';

export const metadata: Metadata = { title: 'Rule strips' };

const LIMITS = { lowerDeviationMm: -0.05, upperDeviationMm: 0.05, resolutionMm: 0.01 };
const CASES: readonly { readonly words: string; readonly tone: StripTone; readonly values: StripValues }[] = [
  {
    words: 'in',
    tone: 'in',
    values: { ...LIMITS, predictedMm: 0.01, predictedHalfMm: 0.03, measuredMm: 0.004, expandedU_mm: 0.02 },
  },
  {
    words: 'out, 0.04 over',
    tone: 'over',
    values: { ...LIMITS, predictedMm: 0.06, measuredMm: 0.09, expandedU_mm: 0.02 },
  },
  {
    words: 'out, 0.03 under',
    tone: 'under',
    values: { ...LIMITS, predictedMm: -0.02, measuredMm: -0.08, expandedU_mm: 0.02 },
  },
  { words: 'can’t tell yet', tone: 'unsure', values: { ...LIMITS, measuredMm: 0.04, expandedU_mm: 0.025 } },
  { words: 'not measured yet', tone: 'none', values: { ...LIMITS, predictedMm: 0, predictedHalfMm: 0.045 } },
  {
    words: 'out of limits, far over',
    tone: 'over',
    values: { ...LIMITS, measuredMm: 2.3, expandedU_mm: 0.02 },
  },
  {
    words: 'in limits, one-sided',
    tone: 'in',
    values: { ...LIMITS, lowerDeviationMm: 0, upperDeviationMm: 0.1, measuredMm: 0.05, expandedU_mm: 0.02 },
  },
];
const WIDTHS = [160, 330, 900];

/** The rule strip at its widths and in its states, to be looked at. */
export default function StripsPage() {
  return (
    <div className="px-6 py-5">
      <h1 className="text-2xl">Rule strips</h1>
      {WIDTHS.map((width) => (
        <section key={width} aria-label={`${width} px`} className="mt-4">
          <h2 className="text-base">{width} px</h2>
          {CASES.map(({ words, tone, values }) => (
            <div key={words} style={{ width, maxWidth: '100%' }}>
              <RuleStrip {...values} words={words} tone={tone} />
            </div>
          ))}
        </section>
      ))}
    </div>
  );
}
