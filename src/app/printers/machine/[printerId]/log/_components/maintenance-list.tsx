'use client';

import { dayOf } from '@/core/kit/wording';
import { useTap } from '@/app/_components/use-tap';
import {
  BECAUSE_WORDS,
  isCheck,
  type MaintenanceCount,
  type MaintenanceKind,
  maintenanceOf,
} from '@/core/log';
import type { MaintenanceView } from '@/subjects/log';
import { describeFilmRisk } from '@/subjects/log/shared';
import { dropMaintenance, tapMaintenance } from '../actions';
import { Button, buttonLook, Caution, Link, Problem } from '@/ui';

interface MaintenanceListProps {
  readonly printerId: number;
  readonly counts: readonly MaintenanceCount[];
  readonly film: MaintenanceView['film'];
  /** Tapped as done within a day. */
  readonly undoable: readonly MaintenanceKind[];
  /** Under which a new film is noted: it changes the sizes too. */
  readonly profileId: number;
}

/** Care by what was counted since it was done; what is due stands first. */
export function MaintenanceList({ printerId, counts, film, undoable, profileId }: MaintenanceListProps) {
  const { problem, isBusy, tap } = useTap();
  const sorted = counts.filter(isListed).toSorted((a, b) => Number(b.isDue) - Number(a.isDue));
  return (
    <section aria-labelledby="care-title">
      <h2 id="care-title" className="text-lg">
        Maintenance
      </h2>
      <ul className="border-t border-hair">
        {sorted.map((count) => (
          <li key={count.kind} className={`border-b border-hair py-2 ${count.isDue ? 'bg-wash px-2' : ''}`}>
            <div className="flex flex-wrap items-center justify-between gap-3">
              <span>
                <strong>{maintenanceOf(count.kind).title}</strong>{' '}
                <span className="text-sm text-soft">{describeCount(count)}</span>
                {count.kind === 'film' && count.counted > 0 && (
                  <span className="block text-sm text-soft">{describeFilmRisk(film)}</span>
                )}
              </span>
              {count.kind === 'film' ? (
                <Link
                  href={`/printers/${profileId}#changes-title`}
                  className={buttonLook(count.isDue ? 'main' : 'plain')}
                >
                  Record new film
                </Link>
              ) : (
                <span className="flex flex-wrap items-center gap-3">
                  {undoable.includes(count.kind) && (
                    <button
                      type="button"
                      className="text-sm underline"
                      disabled={isBusy}
                      onClick={() => tap((key) => dropMaintenance(key, printerId, count.kind))}
                    >
                      Undo<span className="sr-only">: {maintenanceOf(count.kind).title}</span>
                    </button>
                  )}
                  {count.kind !== 'clearVat' && count.kind !== 'lookOver' && (
                    <Button
                      weight={count.isDue ? 'main' : 'plain'}
                      disabled={isBusy}
                      onClick={() => tap((key) => tapMaintenance(key, printerId, { kind: count.kind }))}
                    >
                      Done<span className="sr-only">: {maintenanceOf(count.kind).title}</span>
                    </Button>
                  )}
                </span>
              )}
            </div>
            {count.isDue && maintenanceOf(count.kind).caution !== undefined && (
              <Caution>{maintenanceOf(count.kind).caution}</Caution>
            )}
          </li>
        ))}
      </ul>
      {problem !== '' && <Problem>{problem}</Problem>}
    </section>
  );
}

/** Checks have a list of their own, and a vat that waits to be cleared its chain. */
function isListed({ kind, isDue }: MaintenanceCount): boolean {
  return !isCheck(kind) && !(kind === 'clearVat' && isDue);
}

/** due: the film was changed; 3 prints since 2026-11-02 */
function describeCount({ kind, counted, allowed, because, doneAt, isDue }: MaintenanceCount): string {
  const [one, unit] = maintenanceOf(kind).unit;
  const number = Math.round(counted).toLocaleString('en');
  const since = doneAt === undefined ? '' : ` since ${dayOf(doneAt)}`;
  const most = allowed === undefined ? '' : `, limit ${allowed.toLocaleString('en')}`;
  const why = because === undefined ? '' : `, because ${BECAUSE_WORDS[because]}`;
  return `${isDue ? `due${why}: ` : ''}${number} ${number === '1' ? one : unit}${since}${most}`;
}
