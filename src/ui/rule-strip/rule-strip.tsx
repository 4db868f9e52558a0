'use client';

import { formatSigned } from '@/core/kit/wording';
import { useEffect, useRef, useState } from 'react';
import { stripScale, type StripValues } from './scale';

export type StripTone = 'in' | 'under' | 'over' | 'unsure' | 'none';

interface RuleStripProps extends StripValues {
  /** What the strip says, in words; the whole of it for people who do not see it. */
  readonly words: string;
  readonly tone: StripTone;
  /** Words stand at the right end; hidden where a column beside the strip says the same. */
  readonly showWords?: boolean;
  readonly initialWidthPx?: number;
}

const HEIGHT = 52;

const BASE = 34;

/** Room that a label takes on the rule. */
const LABEL_PX = 50;

const TONES: Record<StripTone, string> = {
  in: 'text-juniper',
  under: 'text-plum',
  over: 'text-teal',
  unsure: 'text-ink',
  none: 'text-soft',
};

/** A pointer standing on the rule with its tip at x. */
function pointerPath(x: number): string {
  return `M${x} ${BASE - 2}l-5 -8h10z`;
}

/** The small horizontal rule on which every size is judged. One drawing for 160 to 900 px. */
export function RuleStrip({
  words,
  tone,
  showWords = true,
  initialWidthPx = 330,
  ...values
}: RuleStripProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [widthPx, setWidthPx] = useState(initialWidthPx);
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) =>
      setWidthPx(Math.max(120, Math.round(entry.contentRect.width))),
    );
    if (frame.current) observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-x-3">
      <div ref={frame} className="min-w-40 flex-1">
        <StripDrawing values={values} widthPx={widthPx} label={words} tone={tone} />
      </div>
      {showWords && <span className={`text-sm font-medium ${TONES[tone]}`}>{words}</span>}
    </div>
  );
}

interface DrawingProps {
  readonly values: StripValues;
  readonly widthPx: number;
  readonly label: string;
  readonly tone: StripTone;
}

function StripDrawing({ values, widthPx, label, tone }: DrawingProps) {
  const scale = stripScale(values, widthPx);
  const {
    lowerDeviationMm,
    upperDeviationMm,
    predictedMm,
    predictedHalfMm = 0,
    measuredMm,
    expandedU_mm = 0,
  } = values;
  const [left, right] = [scale.xOf(lowerDeviationMm), scale.xOf(upperDeviationMm)];
  // Zero is labelled where it is clear of both ends; a clearance may be completely on one side of it.
  const clear = Math.min(scale.xOf(0) - scale.xOf(scale.fromMm), scale.xOf(scale.toMm) - scale.xOf(0));
  const ends = [scale.fromMm, 0, scale.toMm].filter(
    (mm, i) => i !== 1 || (widthPx >= 240 && clear >= LABEL_PX && !scale.isBeyond(mm)),
  );
  return (
    <svg width={widthPx} height={HEIGHT} role="img" aria-label={label} className="block overflow-visible">
      <rect x={left} y={BASE - 18} width={right - left} height={18} className="fill-band" />
      <path
        d={`M${left + 4} ${BASE - 20}h-4v20M${right - 4} ${BASE - 20}h4v20`}
        className="fill-none stroke-juniper"
        strokeWidth={1.5}
      />
      <path d={`M${scale.xOf(scale.fromMm)} ${BASE}H${scale.xOf(scale.toMm)}`} className="stroke-edge" />
      {scale.ticks.map((tick) => (
        <path key={tick.x} d={`M${tick.x} ${BASE}v${tick.tall ? 6 : 3.5}`} className="stroke-edge" />
      ))}
      {ends.map((mm) => (
        <text
          key={mm}
          x={scale.xOf(mm)}
          y={HEIGHT - 1}
          textAnchor={mm === scale.fromMm ? 'start' : mm === scale.toMm ? 'end' : 'middle'}
          className="num fill-soft text-[12px]"
          dx={mm === scale.fromMm ? -8 : mm === scale.toMm ? 8 : 0}
        >
          {formatSigned(mm)}
        </text>
      ))}
      {predictedMm !== undefined && (
        <g className="stroke-ink">
          {predictedHalfMm > 0 && (
            <path
              d={`M${scale.xOf(predictedMm - predictedHalfMm)} ${BASE - 24}H${scale.xOf(predictedMm + predictedHalfMm)}`}
              strokeDasharray="2 3"
              strokeWidth={1.5}
            />
          )}
          <path d={pointerPath(scale.xOf(predictedMm))} className="fill-ground" strokeWidth={1.4} />
        </g>
      )}
      {measuredMm !== undefined && (
        <Measured scale={scale} atMm={measuredMm} halfMm={expandedU_mm} tone={tone} />
      )}
    </svg>
  );
}

interface MeasuredProps {
  readonly scale: ReturnType<typeof stripScale>;
  readonly atMm: number;
  readonly halfMm: number;
  readonly tone: StripTone;
}

/** Solid pointer with its whisker ± U; under carries a downward notch, over an upward one. */
function Measured({ scale, atMm, halfMm, tone }: MeasuredProps) {
  const x = scale.xOf(atMm);
  const [low, high] = [scale.xOf(atMm - halfMm), scale.xOf(atMm + halfMm)];
  const y = BASE - 14;
  return (
    <g className={`${TONES[tone === 'none' ? 'unsure' : tone]} fill-none stroke-current`} strokeWidth={2}>
      <path d={`M${low} ${y}H${high}M${low} ${y - 4}v8M${high} ${y - 4}v8`} />
      <path d={pointerPath(x)} className="fill-current" strokeWidth={1} />
      {tone === 'under' && <path d={`M${x - 5} ${y - 12}l5 5l5 -5`} />}
      {tone === 'over' && <path d={`M${x - 5} ${y - 7}l5 -5l5 5`} />}
      {scale.isBeyond(atMm) && (
        <path d={atMm > 0 ? `M${x + 3} ${y - 3}l4 3l-4 3` : `M${x - 3} ${y - 3}l-4 3l4 3`} />
      )}
    </g>
  );
}
