import type { FeatureKind } from '@/core/measure';
import { describeKind } from '@/subjects/kit/shared';

const MATERIAL = 'fill-band stroke-ink';

const ARROW = 'stroke-juniper fill-none';

/** A small section of what a kind of feature means: material shaded, jaws and the direction measured. */
export function KindDrawing({ kind }: { kind: FeatureKind }) {
  const vertical = kind.axis === 'Z' || kind.axis === 'Y';
  const plan = kind.axis !== 'Z';
  return (
    <figure className="bg-ground p-2">
      <svg
        viewBox="0 0 160 120"
        className="w-full max-w-40"
        role="img"
        aria-label={`Drawing: ${describeKind(kind)}`}
      >
        {kind.shape === 'round' ? (
          <RoundDrawing sense={kind.sense} />
        ) : (
          <FlatDrawing kind={kind} vertical={vertical} />
        )}
        <text x={4} y={116} className="fill-soft text-[11px]">
          {plan ? 'Top view' : 'Side view'}
        </text>
      </svg>
      <figcaption className="text-sm text-soft">{describeKind(kind)}</figcaption>
    </figure>
  );
}

function Dimension({ from, to, at, vertical }: { from: number; to: number; at: number; vertical: boolean }) {
  const path = vertical
    ? `M${at} ${from}V${to}m-3 -5l3 5l3 -5M${at - 3} ${from + 5}l3 -5l3 5`
    : `M${from} ${at}H${to}m-5 -3l5 3l-5 3M${from + 5} ${at - 3}l-5 3l5 3`;
  return <path d={path} className={ARROW} strokeWidth={1.8} />;
}

function RoundDrawing({ sense }: { sense: FeatureKind['sense'] }) {
  if (sense === 'pitch') {
    return (
      <g>
        <rect x={20} y={25} width={120} height={60} className={MATERIAL} />
        <circle cx={52} cy={55} r={13} className="fill-sheet stroke-ink" />
        <circle cx={108} cy={55} r={13} className="fill-sheet stroke-ink" />
        <Dimension from={52} to={108} at={55} vertical={false} />
      </g>
    );
  }
  return (
    <g>
      {sense === 'inside' && <rect x={25} y={8} width={110} height={94} className={MATERIAL} />}
      <circle cx={80} cy={55} r={38} className={sense === 'inside' ? 'fill-sheet stroke-ink' : MATERIAL} />
      <Dimension from={42} to={118} at={55} vertical={false} />
    </g>
  );
}

function FlatDrawing({ kind, vertical }: { kind: FeatureKind; vertical: boolean }) {
  const turned = kind.axis === 'XY' ? 'rotate(-25 80 55)' : undefined;
  const standing = kind.axis === 'Z';
  return (
    <g transform={turned}>
      {standing && <path d="M10 100H150" className="stroke-ink" strokeWidth={2.5} />}
      <FlatMaterial kind={kind} vertical={vertical} />
    </g>
  );
}

function FlatMaterial({ kind, vertical }: { kind: FeatureKind; vertical: boolean }) {
  const hanging = kind.axis === 'Z' && kind.base === 'supported';
  if (kind.sense === 'outside') {
    const [top, bottom] = kind.axis !== 'Z' ? [25, 85] : hanging ? [28, 76] : [40, 100];
    return (
      <g>
        <rect x={35} y={top} width={90} height={bottom - top} className={MATERIAL} />
        {hanging && (
          <path d="M50 76V100M80 76V100M110 76V100" className="stroke-edge" strokeDasharray="3 3" />
        )}
        <Dimension
          from={vertical ? top : 35}
          to={vertical ? bottom : 125}
          at={vertical ? 80 : 55}
          vertical={vertical}
        />
      </g>
    );
  }
  const inside = kind.sense === 'inside';
  const blocks = vertical
    ? [
        [30, 10, 100, 22],
        [30, 72, 100, 28],
      ]
    : [
        [15, 20, 35, 70],
        [110, 20, 35, 70],
      ];
  const [from, to] = vertical ? (inside ? [32, 72] : [10, 72]) : inside ? [50, 110] : [15, 110];
  return (
    <g>
      {blocks.map(([x, y, width, height]) => (
        <rect key={`${x} ${y}`} x={x} y={y} width={width} height={height} className={MATERIAL} />
      ))}
      <Dimension from={from} to={to} at={vertical ? 80 : 55} vertical={vertical} />
    </g>
  );
}
