import { halfWidth95, Z_95 } from '@/core/kit/numerics';
import { formatSigned } from '@/core/kit/wording';
import type { ParameterEstimate } from '@/core/signature';
import { parameterWords } from '@/subjects/kit/shared';

interface ParameterListProps {
  readonly parameters: readonly ParameterEstimate[];
  /** Names to show; all when left out. */
  readonly used?: ReadonlySet<string>;
  /** In two columns where there is room. */
  readonly isWide?: boolean;
}

/** Each parameter of a signature with ± at 95 %, and whether data pins it down. */
export function ParameterList({ parameters, used, isWide = false }: ParameterListProps) {
  const shown = parameters.filter(({ name }) => used === undefined || used.has(name));
  return (
    <dl className={isWide ? 'gap-8 lg:columns-2' : undefined}>
      {shown.map((parameter) => (
        <ParameterRow key={parameter.name} parameter={parameter} />
      ))}
    </dl>
  );
}

function describeSource(from: ParameterEstimate['from'], pinned: boolean, pin: string): string {
  if (from === 'relatives')
    return pinned
      ? 'known from related profiles'
      : `from related profiles; to determine it on this printer, ${pin}`;
  return pinned && from === 'readings' ? 'measured' : `assumed; to determine it, ${pin}`;
}

function ParameterRow({
  parameter: { name, mean, sd, priorMean, priorSd, pinned, from },
}: {
  parameter: ParameterEstimate;
}) {
  const { title, pin, unit, factor } = parameterWords(name);
  return (
    <div className="grid break-inside-avoid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-dotted border-hair py-1.5 sm:grid-cols-[minmax(0,1fr)_7.5rem_11.5rem]">
      <dt>
        <span className="font-semibold">{title}</span>
        <span className={`block text-sm ${pinned ? 'text-juniper' : 'text-soft'}`}>
          {describeSource(from, pinned, pin)}
        </span>
      </dt>
      <dd className="hidden sm:block" aria-hidden>
        <SpreadDrawing mean={mean} sd={sd} priorMean={priorMean} priorSd={priorSd} />
      </dd>
      <dd className="num text-right whitespace-nowrap">
        {formatSigned(mean * factor, 3)}{' '}
        <span className="text-soft">± {Math.abs(Z_95 * sd * factor).toFixed(3)}</span> {unit}
      </dd>
    </div>
  );
}

const WIDTH = 120;

/** The estimate as a whisker on the width of its prior; a dotted mark where it was before any reading. */
function SpreadDrawing({
  mean,
  sd,
  priorMean,
  priorSd,
}: Pick<ParameterEstimate, 'mean' | 'sd' | 'priorMean' | 'priorSd'>) {
  const half = Math.max(2.2 * priorSd, Math.abs(mean - priorMean) + 2 * sd);
  const xOf = (value: number) => WIDTH / 2 + ((value - priorMean) / half) * (WIDTH / 2 - 6);
  const [low, high] = [xOf(mean - Z_95 * sd), xOf(mean + halfWidth95(sd))].map((x) =>
    Math.min(WIDTH - 2, Math.max(2, x)),
  );
  const x = xOf(mean);
  return (
    <svg width={WIDTH} height={24} className="block">
      <path d={`M0 16H${WIDTH}`} className="stroke-edge" />
      <path d={`M${xOf(priorMean)} 9v12`} className="stroke-soft" strokeDasharray="2 2" />
      <path
        d={`M${low} 10H${high}M${low} 6v8M${high} 6v8`}
        className="fill-none stroke-juniper"
        strokeWidth={2}
      />
      <path d={`M${x} 15l-4 -7h8z`} className="fill-juniper" />
    </svg>
  );
}
