import { describeSettingChange } from '@/subjects/printing/shared';
import type { BottleChoice, PlateForecast, RunView } from '@/subjects/plate';
import { Problem } from '@/ui';
import { AroundForm } from './around-form';
import { clockOf } from './clock-of';
import { PourForm } from './running-forms';
import { VatForm } from './vat-form';

const FROM_WORDS = {
  settings: 'layer by layer, from the settings of its profile',
  printer: 'by what a layer takes, as said of the printer',
  assumed: 'assumed: nobody said what a layer takes here',
} as const;

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

/** Hours, resin, and when to pour. */
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
        What it takes
      </h2>
      <p>
        <strong className="num">{clockOf(finish.middleS)}</strong>, between{' '}
        <span className="num">{clockOf(finish.earlyS)}</span> and{' '}
        <span className="num">{clockOf(finish.lateS)}</span> in nine of ten prints:{' '}
        <span className="num">{layers}</span> layers, {FROM_WORDS[from]}.{' '}
        <span className="text-sm text-soft">
          {timed.length === 0
            ? 'No print of this printer was timed yet; the interval narrows with each.'
            : `Its own pace is known from ${timed.length} timed ${timed.length === 1 ? 'print' : 'prints'}.`}
        </span>
      </p>
      <p className="mt-1">
        <strong className="num">{Math.ceil(resinMl)} ml</strong> of {resin}
        {supports === undefined
          ? ', no supports'
          : `, supports ${Math.round(100 * Math.exp(supports.share.ln))} % of the part ${supports.weighings === 0 ? 'until some are weighed' : `by ${supports.weighings} ${supports.weighings === 1 ? 'weighing' : 'weighings'}`}`}
        , 5 % lost on the way.
      </p>
      <Pouring forecast={forecast} />
      {changes !== undefined && changes.changes.length > 0 && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          Since the last print with this profile changed:{' '}
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
            Pour <strong className="num">{Math.ceil(fillMl)} ml</strong> first, as this house fills its vat.
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
            ? 'How full is the vat?'
            : vatHolds !== undefined
              ? `Vat: ${vatHolds} in it, to be emptied first`
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

function Pouring({ forecast: { outlook } }: Pick<ForecastPanelProps, 'forecast'>) {
  if (outlook === undefined) return null;
  if (outlook === 'tooMuch')
    return (
      <Problem>
        one layer uses more than a full vat holds above its floor. Print fewer copies at once, or stand the
        part another way.
      </Problem>
    );
  const { plan, dryChance, lastSafeS } = outlook;
  const chance = Math.round(100 * dryChance);
  return (
    <>
      {plan.topUps.length === 0 && (
        <p className="mt-1">The vat lasts: {Math.floor(plan.leftMl)} ml are left at the end.</p>
      )}
      <ul>
        {plan.topUps.map(({ layer, clockS, addMl }) => (
          <li key={layer}>
            Pour <strong className="num">{Math.ceil(addMl)} ml</strong> before layer{' '}
            <span className="num">{layer + 1}</span>, about <span className="num">{clockOf(clockS)}</span>{' '}
            after the start.
          </li>
        ))}
      </ul>
      {(chance > 0 || plan.topUps.length > 0) && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          If nobody pours, the vat runs dry in {chance} of 100 such prints.
          {lastSafeS !== undefined &&
            ` Pour by ${clockOf(lastSafeS)} after the start to be in time in 95 of 100.`}
        </p>
      )}
    </>
  );
}
