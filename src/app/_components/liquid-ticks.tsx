import { WASH_LIQUIDS, type WashLiquid } from '@/core/resin';
import { Tick } from '@/ui';

/** A box for each wash liquid, named `wash_…` as the forms read them. */
export function LiquidTicks({ ticked = [] }: { ticked?: readonly WashLiquid[] }) {
  return (
    <div className="flex flex-wrap gap-x-4">
      {WASH_LIQUIDS.map((liquid) => (
        <Tick
          key={liquid}
          name={`wash_${liquid}`}
          defaultChecked={ticked.includes(liquid)}
          className="min-h-7"
        />
      ))}
    </div>
  );
}
