'use client';

import type { Practices } from '@/core/workshop';
import { dayOf } from '@/core/kit/wording';
import { useTap } from '@/app/_components/use-tap';
import { CLEARING_STEPS, clearingOf, type ClearingStep } from '@/core/log';
import { Caution, Link, Problem } from '@/ui';
import { tapClearing } from '../actions';
import { WellOrNot } from './well-or-not';

interface ClearingChainProps {
  readonly printerId: number;
  readonly runId: number;
  readonly failedAt: Date;
  readonly answers: Readonly<
    Partial<Record<ClearingStep, { readonly isWell: boolean; readonly note: string }>>
  >;
  readonly schools: Pick<Practices, 'clearVat'>;
  /** Where a new film is noted. */
  readonly profileId: number;
}

/** Clearing the printer after a failure, step by step; the next print asks for a reason before all are well. */
export function ClearingChain({
  printerId,
  runId,
  failedAt,
  answers,
  schools,
  profileId,
}: ClearingChainProps) {
  const { problem, isBusy, tap } = useTap();
  const next = CLEARING_STEPS.find((step) => answers[step]?.isWell !== true);
  return (
    <section aria-labelledby="clearing-title" className="border-l-4 border-honey pl-3">
      <h2 id="clearing-title" className="text-lg">
        Clear the vat after a failure
      </h2>
      <p className="text-sm text-soft">
        <Link href={`/runs/${runId}`} className="underline">
          The failure on {dayOf(failedAt)}
        </Link>{' '}
        may have left cured resin in the vat. The plate would press it through the film. The next print here
        asks for a reason until all four steps are done.
      </p>
      <ol className="mt-2 grid gap-x-8 border-t border-hair md:grid-cols-2">
        {CLEARING_STEPS.map((step) => {
          const { title, how, well, amiss } = clearingOf(step).words(schools);
          const answer = answers[step];
          return (
            <li key={step} className="border-b border-hair py-2">
              <strong>{title}</strong>{' '}
              {answer !== undefined && (
                <span className={answer.isWell ? 'text-juniper' : 'text-plum'}>
                  {answer.isWell ? well : `${amiss}: ${answer.note}`}
                </span>
              )}
              {answer?.isWell !== true && (
                <>
                  <p className="text-sm">{how}</p>
                  {step === next && <Caution>{clearingOf(step).caution}</Caution>}
                  <WellOrNot
                    name={step}
                    about={title}
                    well={well}
                    amiss={amiss}
                    isMain={step === next}
                    isBusy={isBusy}
                    onAnswer={(given) => tap((key) => tapClearing(key, printerId, { step, ...given }))}
                  />
                </>
              )}
              {step === 'film' && answer?.isWell === false && (
                <Link href={`/printers/${profileId}#changes-title`} className="text-sm underline">
                  Record new film
                </Link>
              )}
            </li>
          );
        })}
      </ol>
      {problem !== '' && <Problem>{problem}</Problem>}
    </section>
  );
}
