'use client';

import type { Practices } from '@/core/workshop';
import { dayOf } from '@/core/kit/wording';
import { useTap } from '@/app/_components/use-tap';
import { CHECK_KINDS, type CheckKind, checkOf } from '@/core/log';
import { Caution, Problem } from '@/ui';
import { tapMaintenance } from '../actions';
import { WellOrNot } from './well-or-not';

interface MachineChecksProps {
  readonly printerId: number;
  /** What each check showed, the newest first. */
  readonly made: readonly {
    readonly kind: CheckKind;
    readonly at: Date;
    readonly isWell: boolean;
    readonly note: string;
  }[];
  /** Why each is asked for now. */
  readonly asked: Readonly<Partial<Record<CheckKind, string>>>;
  readonly schools: Pick<Practices, 'levelOn'>;
}

/** Checks of the printer: a new printer, screen or film needs its own; each with day, outcome and what was done. */
export function MachineChecks({ printerId, made, asked, schools }: MachineChecksProps) {
  const { problem, isBusy, tap } = useTap();
  return (
    <section aria-labelledby="checks-title">
      <h2 id="checks-title" className="text-lg">
        Printer checks
      </h2>
      <ul className="border-t border-hair">
        {CHECK_KINDS.map((kind) => {
          const { title, how, well, amiss } = checkOf(kind).words(schools);
          const own = made.filter((each) => each.kind === kind);
          const because = asked[kind];
          return (
            <li
              key={kind}
              className={`border-b border-hair py-2 ${because === undefined ? '' : 'bg-wash px-2'}`}
            >
              <details open={because !== undefined}>
                <summary>
                  <strong>{title}</strong>{' '}
                  <span className="text-sm text-soft">
                    {because !== undefined && `due because ${because}. `}
                    {own.length === 0
                      ? 'not on record'
                      : `${dayOf(own[0].at)}: ${own[0].isWell ? well : `${amiss}, ${own[0].note}`}`}
                  </span>
                </summary>
                <p className="mt-1 text-sm">{how}</p>
                <Caution>{checkOf(kind).caution}</Caution>
                <WellOrNot
                  name={kind}
                  about={title}
                  well={well}
                  amiss={amiss}
                  isMain={because !== undefined}
                  isBusy={isBusy}
                  onAnswer={(given) => tap((key) => tapMaintenance(key, printerId, { kind, ...given }))}
                />
                {own.length > 1 && (
                  <ul className="mt-1 text-sm text-soft">
                    {own.slice(1, 6).map(({ at, isWell, note }) => (
                      <li key={at.getTime()}>
                        {dayOf(at)}: {isWell ? well : `${amiss}, ${note}`}
                      </li>
                    ))}
                  </ul>
                )}
              </details>
            </li>
          );
        })}
      </ul>
      {problem !== '' && <Problem>{problem}</Problem>}
    </section>
  );
}
