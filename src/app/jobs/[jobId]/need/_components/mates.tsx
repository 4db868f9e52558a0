import { ORIGIN_WORDS } from '@/core/job/need';
import { formatMm } from '@/core/kit/wording';
import type { Mate } from '@/subjects/fit/mating';
import { describeMaterial } from '@/subjects/kit/shared';
import { Caution } from '@/ui';

/** What the part meets: how well each is known, and what breaking it would cost. */
export function Mates({ mates }: { mates: readonly Mate[] }) {
  if (mates.length === 0) return null;
  const fragile = mates.filter(({ irreplaceable }) => irreplaceable);
  return (
    <section aria-labelledby="mates-title">
      <h2 id="mates-title" className="border-b border-ink pb-1 text-lg">
        Mating parts
      </h2>
      <ul>
        {mates.map(({ id, name, sizeMm, uMm, material, origin, irreplaceable }) => (
          <li
            key={id}
            className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-hair py-1.5"
          >
            <span className="font-semibold">{name}</span>
            <span className="text-sm text-soft">
              {material !== 'other' && `${describeMaterial(material)}, `}
              {ORIGIN_WORDS[origin]}
              {irreplaceable && ', cannot be replaced'}
            </span>
            <span className="num">
              {sizeMm === null ? (
                <span className="font-sans text-plum">not measured</span>
              ) : (
                <>
                  {formatMm(sizeMm)}
                  {uMm !== null && ` ± ${formatMm(2 * uMm, 3)}`}
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
      {fragile.length > 0 && (
        <div className="mt-2">
          <Caution>
            {fragile.map(({ name }) => name).join(', ')} cannot be replaced: never force a trial fit. In Fit,
            set “too tight breaks an irreplaceable part”; the drawn size then moves away from it. Wear eye
            protection if it is brittle.
          </Caution>
        </div>
      )}
    </section>
  );
}
