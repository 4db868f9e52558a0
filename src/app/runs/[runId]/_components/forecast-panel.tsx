import { describeSettingChange } from '@/subjects/signature/shared';
import type { BottleChoice, PlateForecast, RunView } from '@/subjects/print/plate';
import { Problem } from '@/ui';
import { AroundForm } from './around-form';
import { clockOf } from './clock-of';
import { PourForm } from './running-forms';
import { VatChart } from './vat-chart';
import { VatForm } from './vat-form';

const FROM_WORDS = {
  settings: 'computed layer by layer from the settings of its profile',
  printer: 'from the time per layer in the printer settings',
  assumed: 'assumed: the time per layer is unknown',
} as const;

/** A print that uses less than this share of a full vat gets no chart: its line would be flat. */
const LEAST_SHOWN = 0.05;

interface ForecastPanelProps {
  readonly run: RunView['run'];
  readonly forecast: PlateForecast;
  readonly printerId: number;
  readonly resin: string;
  readonly bottles: readonly BottleChoice[];
  readonly changes: RunView['changes'];
  readonly fillMl?: number;
  readonly thermometerC?: number;
}

/** Time, resin, and when to top up. */
export function ForecastPanel({
  run,
  forecast,
  printerId,
  resin,
  bottles,
  changes,
  fillMl,
  thermometerC,
}: ForecastPanelProps) {
  const { finish, layers, from, timed, vat, vatHolds, resinMl, supports } = forecast;
  return (
    <section aria-labelledby="forecast-title">
      <h2 id="forecast-title" className="text-lg">
        Time and resin
      </h2>
      <p>
        <strong className="num">{clockOf(finish.middleS)}</strong>, between{' '}
        <span className="num">{clockOf(finish.earlyS)}</span> and{' '}
        <span className="num">{clockOf(finish.lateS)}</span> in 9 of 10 prints:{' '}
        <span className="num">{layers}</span> layers, {FROM_WORDS[from]}.{' '}
        <span className="text-sm text-soft">
          {timed.length === 0
            ? 'No print of this printer was timed yet. Each timed print narrows the interval.'
            : `Based on ${timed.length} timed ${timed.length === 1 ? 'print' : 'prints'}.`}
        </span>
      </p>
      <p className="mt-1">
        <strong className="num">{Math.ceil(resinMl)} ml</strong> of {resin}
        {supports === undefined
          ? ', no supports'
          : `, supports ${Math.round(100 * Math.exp(supports.share.ln))} % of the part ${supports.weighings === 0 ? 'until you weigh some' : `by ${supports.weighings} ${supports.weighings === 1 ? 'weighing' : 'weighings'}`}`}
        , 5 % loss included.
      </p>
      <Pouring forecast={forecast} />
      {changes !== undefined && changes.changes.length > 0 && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          Changes since the last print with this profile:{' '}
          {changes.changes.map(describeSettingChange).join(', ')}.
        </p>
      )}
      <AroundForm
        key={`${run.bottleId} ${run.roomC}`}
        runId={run.id}
        bottleId={run.bottleId ?? undefined}
        roomC={run.roomC ?? undefined}
        bottles={bottles}
        thermometerC={thermometerC}
      />
      {fillMl !== undefined && fillMl >= 1 && (
        <div className="mt-3">
          <p>
            Top up <strong className="num">{Math.ceil(fillMl)} ml</strong> before the start (shop setting for
            vat filling).
          </p>
          <PourForm
            key={fillMl}
            runId={run.id}
            ml={Math.ceil(fillMl)}
            bottles={bottles}
            bottleId={run.bottleId ?? undefined}
          />
        </div>
      )}
      <details className="mt-3" open={vat === undefined}>
        <summary className="font-semibold">
          {vat === undefined
            ? 'Vat level'
            : vatHolds !== undefined
              ? `The vat holds ${vatHolds}; empty it first`
              : `Vat: ${Math.round(vat.levelMl)} of ${Math.round(vat.capacityMl)} ml`}
        </summary>
        <VatForm
          key={vat?.at.getTime()}
          printerId={printerId}
          vat={
            vat && { capacityMl: vat.capacityMl, floorMl: vat.floorMl, levelMl: vat.levelMl, read: vat.read }
          }
        />
      </details>
    </section>
  );
}

/** Resin over the clock, the top-ups, and the chance to run dry without them. */
function Pouring({ forecast: { outlook, vat } }: Pick<ForecastPanelProps, 'forecast'>) {
  if (outlook === undefined || vat === undefined) return null;
  if (outlook === 'tooMuch')
    return (
      <Problem>
        one layer needs more resin than a full vat holds above its minimum level. Print fewer copies at once,
        or change the orientation.
      </Problem>
    );
  const { plan, dryChance, lastSafeS } = outlook;
  const chance = Math.round(100 * dryChance);
  return (
    <>
      {plan.resinMl > LEAST_SHOWN * vat.capacityMl && (
        <VatChart levels={plan.levels} floorMl={vat.floorMl} capacityMl={vat.capacityMl} />
      )}
      {plan.topUps.length === 0 && (
        <p className="mt-1">The vat holds enough resin: {Math.floor(plan.leftMl)} ml are left at the end.</p>
      )}
      <ul>
        {plan.topUps.map(({ layer, clockS, addMl }) => (
          <li key={layer}>
            Top up <strong className="num">{Math.ceil(addMl)} ml</strong> before layer{' '}
            <span className="num">{layer + 1}</span>, about <span className="num">{clockOf(clockS)}</span>{' '}
            after the start.
          </li>
        ))}
      </ul>
      {(chance > 0 || plan.topUps.length > 0) && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          Without topping up, the vat runs dry in {chance} of 100 such prints.
          {lastSafeS !== undefined &&
            ` Top up within ${clockOf(lastSafeS)} after the start. This is in time in 95 of 100 prints.`}
        </p>
      )}
    </>
  );
}
