import { formatChance } from '@/core/kit/wording';
import { foreseeBlock } from '@/subjects/fit/gauges';
import { benchHouse } from '@/subjects/workshop/settings';
import { type PlateForecast, type RunView, weighBlock } from '@/subjects/print/plate';
import { loadJob } from '@/app/_components/load-job';
import { Link } from '@/ui';

/** Where all sizes of a part are as good as sure nobody prints a block first. */
const SURE = 0.9;

interface CouponFirstProps {
  readonly items: RunView['items'];
  readonly profileId: number;
  readonly forecast: PlateForecast;
}

/** A small block before this plate, or the plate at once: of each part whose sizes are not sure, by what both cost. */
export async function CouponFirst({ items, profileId, forecast }: CouponFirstProps) {
  const house = benchHouse();
  const pieces = items.reduce((sum, item) => sum + item.pieces.length, 0);
  const rows = await Promise.all(
    items
      .filter(({ job }) => !job.isGauge)
      .map(async ({ job }) => {
        const view = await loadJob(job.id);
        const chances = (view.attempts.at(-1)?.drawn ?? []).flatMap(({ chance }) => chance ?? []);
        const all = chances.reduce((product, chance) => product * chance, 1);
        const block = chances.length === 0 || all >= SURE ? undefined : foreseeBlock(view);
        return block === undefined ? [] : [{ job, block }];
      }),
  );
  return rows.flat().map(({ job, block }) => {
    const { before, after, hours, sizes } = block;
    const { plateCost, blockCost, saves, isAdvised } = weighBlock(house, { forecast, pieces }, block);
    return (
      <p key={job.id} className={isAdvised ? 'border-l-4 border-honey py-1 pl-3' : 'text-sm text-soft'}>
        {isAdvised ? 'Print a small block first: ' : 'No block needed: '}
        with {sizes} sizes chosen for {job.name}, measured before you draw the part again, the chance goes
        from <span className="num">{formatChance(before)}</span> to{' '}
        <span className="num">{formatChance(after)}</span>. The expected saving is{' '}
        <span className="num">{saves.toFixed(2)}</span>, for a plate that costs{' '}
        <span className="num">{plateCost.toFixed(2)}</span> (labour included). The block costs{' '}
        <span className="num">{blockCost.toFixed(2)}</span> and about {hours.toFixed(1)} h.{' '}
        <Link href={`/gauges?profile=${profileId}&choice=chosenBlock&job=${job.id}`} className="underline">
          Create block<span className="sr-only"> for {job.name}</span>
        </Link>
      </p>
    );
  });
}
