import { WASH_LIQUIDS, type WashLiquid } from '@/core/resins';
import { describeLiquid } from '@/subjects/resin/shared';

/** A box for each wash liquid, named `wash_…` as the forms read them. */
export function LiquidTicks({ ticked = [] }: { ticked?: readonly WashLiquid[] }) {
  return (
    <div className="flex flex-wrap gap-x-4">
      {WASH_LIQUIDS.map((liquid) => (
        <label key={liquid} className="flex min-h-7 items-center gap-2">
          <input
            type="checkbox"
            name={`wash_${liquid}`}
            defaultChecked={ticked.includes(liquid)}
            className="size-4"
          />
          {describeLiquid(liquid)}
        </label>
      ))}
    </div>
  );
}
