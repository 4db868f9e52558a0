import { formatChance } from '@/core/kit/wording';

interface ChanceBarProps {
  readonly tight: number;
  readonly right: number;
  readonly loose: number;
}

/** Too tight, right and too loose as shares of one bar, with the numbers below. */
export function ChanceBar({ tight, right, loose }: ChanceBarProps) {
  const share = (chance: number) => `${Math.max(0, chance) * 100}%`;
  return (
    <div>
      <div className="flex h-2.5 w-full overflow-hidden border border-edge" aria-hidden>
        <span className="bg-plum" style={{ width: share(tight) }} />
        <span className="bg-band" style={{ width: share(right) }} />
        <span className="bg-teal" style={{ width: share(loose) }} />
      </div>
      <p className="flex justify-between text-sm">
        <span className="text-plum">
          tight <span className="num">{formatChance(tight)}</span>
        </span>
        <span className="font-semibold">
          right <span className="num">{formatChance(right)}</span>
        </span>
        <span className="text-teal">
          loose <span className="num">{formatChance(loose)}</span>
        </span>
      </p>
    </div>
  );
}
