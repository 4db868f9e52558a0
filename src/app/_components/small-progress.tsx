interface SmallProgressProps {
  readonly steps: readonly { readonly label: string; readonly number: number; readonly settled: number }[];
  /** The step that comes next, by its label. */
  readonly next: string;
}

const STEP_PX = 15;

/** The steps of a job in small: how complete each is, and a notch at the next one. */
export function SmallProgress({ steps, next }: SmallProgressProps) {
  const done = steps.filter(({ settled }) => settled >= 1).map(({ label }) => label);
  const words = `${done.length === 0 ? 'No step complete yet' : `${done.join(', ')} complete`}; next: ${next}`;
  return (
    <svg
      role="img"
      aria-label={words}
      width={STEP_PX * steps.length + 1}
      height={18}
      className="block shrink-0"
    >
      {steps.map(({ label, settled }, i) => (
        <g key={label} transform={`translate(${i * STEP_PX} 0)`}>
          <rect width={STEP_PX} height={7} className="fill-sheet stroke-edge" strokeWidth={1} y={0.5} />
          <rect
            width={STEP_PX * Math.min(1, Math.max(0, settled))}
            height={7}
            y={0.5}
            className="fill-juniper"
          />
          {label === next && <path d={`M${STEP_PX / 2 - 4} 16l4 -6 4 6Z`} className="fill-ink" />}
        </g>
      ))}
    </svg>
  );
}
