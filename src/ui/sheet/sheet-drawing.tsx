import type { DimensionLine, SheetDrawing as Drawing } from '@/core/job/sheets';

interface SheetDrawingProps {
  readonly drawing: Drawing;
  /** What stands at each dimension, by measure: the size read, or its label while it is missing. */
  readonly textOf: (measure: string) => { readonly text: string; readonly read: boolean };
  readonly activeMeasure?: string;
  readonly onChoose?: (measure: string) => void;
  readonly label: string;
}

type Point = readonly [number, number];

const WIDTH = 560;
const MARGIN = 88;
/** Letters of a label beside an upright dimension before it is broken. */
const LETTERS_A_LINE = 11;

/** Words in lines that fit the margin. */
function inLines(text: string): string[] {
  return text.split(' ').reduce<string[]>((lines, word) => {
    const longer = `${lines.at(-1) ?? ''} ${word}`.trim();
    return lines.length > 0 && longer.length <= LETTERS_A_LINE
      ? [...lines.slice(0, -1), longer]
      : [...lines, word];
  }, []);
}

const MOST_HEIGHT = 400;

interface Extent {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Ends of a dimension's own line: the points moved off by its stand-off, sideways when it is upright. */
function lineEnds({ from, to, standOffMm }: DimensionLine): readonly [Point, Point] {
  // A dimension of nothing stands upright: across, a part is never nothing.
  const upright = Math.abs(to[1] - from[1]) >= Math.abs(to[0] - from[0]);
  return upright
    ? [
        [from[0] + standOffMm, from[1]],
        [from[0] + standOffMm, to[1]],
      ]
    : [
        [from[0], from[1] + standOffMm],
        [to[0], from[1] + standOffMm],
      ];
}

function extentOf({ bodies, circles, dimensions }: Drawing): Extent {
  const points: Point[] = [
    ...bodies.flatMap(({ loop }) => loop),
    ...circles.flatMap(({ centre: [x, y], diameterMm }): Point[] => [
      [x - diameterMm / 2, y - diameterMm / 2],
      [x + diameterMm / 2, y + diameterMm / 2],
    ]),
    ...dimensions.flatMap((line) => lineEnds(line)),
  ];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    low: Math.min(...ys),
    high: Math.max(...ys),
  };
}

/** A part between its neighbours, with each size that is to be read as a caliper's jaws on it. */
export function SheetDrawing({ drawing, textOf, activeMeasure, onChoose, label }: SheetDrawingProps) {
  const { left, right, low, high } = extentOf(drawing);
  const scale = Math.min(
    (WIDTH - 2 * MARGIN) / (right - left),
    (MOST_HEIGHT - 80) / Math.max(1e-6, high - low),
  );
  const width = WIDTH;
  const height = (high - low) * scale + 80;
  const middle = (left + right) / 2;
  const at = ([x, y]: Point): Point => [width / 2 + (x - middle) * scale, 40 + (high - y) * scale];
  const path = (loop: readonly Point[]) => `M${loop.map((point) => at(point).join(' ')).join('L')}Z`;
  // The part's own rounds lie under everything, its neighbours on top: a shaft is seen in its hole.
  const roundOf = ({ role, centre, diameterMm }: Drawing['circles'][number], i: number) => (
    <circle
      key={i}
      cx={at(centre)[0]}
      cy={at(centre)[1]}
      r={(diameterMm / 2) * scale}
      fill={role === 'neighbour' ? 'url(#neighbour-hatch)' : undefined}
      className={
        role === 'part'
          ? 'fill-band stroke-juniper'
          : role === 'air'
            ? 'fill-sheet stroke-juniper'
            : 'stroke-edge'
      }
      strokeWidth={role === 'neighbour' ? 1 : 1.8}
    />
  );
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full max-w-2xl overflow-visible"
      role="group"
      aria-label={label}
    >
      <defs>
        <pattern
          id="neighbour-hatch"
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(35)"
        >
          <path d="M0 0V7" className="stroke-edge" strokeWidth={0.8} />
        </pattern>
      </defs>
      {drawing.circles.filter(({ role }) => role !== 'neighbour').map(roundOf)}
      {drawing.bodies.map(({ role, loop }, i) => (
        <path
          key={i}
          d={path(loop)}
          fill={role === 'neighbour' ? 'url(#neighbour-hatch)' : undefined}
          className={role === 'part' ? 'fill-band stroke-juniper' : 'stroke-edge'}
          strokeWidth={role === 'part' ? 1.8 : 1}
          strokeLinejoin="round"
        />
      ))}
      {drawing.circles.filter(({ role }) => role === 'neighbour').map(roundOf)}
      {drawing.dimensions.map((line, i) => (
        <Jaws
          key={i}
          line={line}
          at={at}
          {...textOf(line.measure)}
          active={line.measure === activeMeasure}
          onChoose={onChoose}
        />
      ))}
    </svg>
  );
}

interface JawsProps {
  readonly line: DimensionLine;
  readonly at: (point: Point) => Point;
  readonly text: string;
  readonly read: boolean;
  readonly active: boolean;
  readonly onChoose?: (measure: string) => void;
}

/** A dimension drawn as jaws closing on its two points. */
function Jaws({ line, at, text, read, active, onChoose }: JawsProps) {
  const ends = lineEnds(line).map(at);
  const points = [at(line.from), at(line.to)];
  const [[x1, y1], [x2, y2]] = ends;
  const upright = Math.abs(y2 - y1) >= Math.abs(x2 - x1);
  const tone = active ? 'stroke-juniper' : read ? 'stroke-ink' : 'stroke-soft';
  const jaw = (i: 0 | 1) => {
    const [x, y] = ends[i];
    const inward = i === 0 ? 5 : -5;
    return upright
      ? `M${x - 7} ${y}H${x + 7}M${x} ${y}v${y2 > y1 ? inward : -inward}`
      : `M${x} ${y - 7}V${y + 7}M${x} ${y}h${x2 > x1 ? inward : -inward}`;
  };
  const [textX, textY] = upright
    ? [x1 + (line.standOffMm < 0 ? -9 : 9), (y1 + y2) / 2 + 5]
    : [(x1 + x2) / 2, y1 - 8];
  const anchor = upright ? (line.standOffMm < 0 ? 'end' : 'start') : 'middle';
  return (
    <g
      className={onChoose === undefined ? undefined : 'cursor-pointer'}
      onClick={() => onChoose?.(line.measure)}
      data-measure={line.measure}
    >
      <path
        d={`M${points[0].join(' ')}L${ends[0].join(' ')}M${points[1].join(' ')}L${ends[1].join(' ')}`}
        className="stroke-hair"
        strokeWidth={1}
      />
      <path
        d={`M${x1} ${y1}L${x2} ${y2}${jaw(0)}${jaw(1)}`}
        className={`fill-none ${tone}`}
        strokeWidth={active ? 2.4 : 1.5}
        strokeDasharray={read || active ? undefined : '4 3'}
      />
      <rect
        x={anchor === 'middle' ? textX - 60 : anchor === 'end' ? textX - 90 : textX}
        y={textY - 16}
        width={anchor === 'middle' ? 120 : 90}
        height={22}
        className="fill-transparent"
      />
      <text
        x={textX}
        y={textY}
        textAnchor={anchor}
        className={`text-[15px] ${read ? 'num fill-ink' : active ? 'fill-juniper font-semibold' : 'fill-soft'}`}
        paintOrder="stroke"
        stroke="var(--sheet)"
        strokeWidth={4}
      >
        {upright
          ? inLines(text).map((line, i, lines) => (
              <tspan key={line} x={textX} y={textY + (i - (lines.length - 1) / 2) * 16}>
                {line}
              </tspan>
            ))
          : text}
      </text>
    </g>
  );
}
