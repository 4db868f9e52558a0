import { Link } from '@/ui';

interface PrintChoiceProps {
  readonly jobId: number;
  readonly step: 'run' | 'measure';
  readonly prints: readonly Named[];
  readonly shownId: number;
}

/** So many prints are named; thousands of one attempt would be a page of their own. */
const MOST_NAMED = 40;

interface Named {
  readonly id: number;
  readonly name: string;
}

/** The newest prints, and the one that is shown where it is older. */
export function newestPrints(prints: readonly Named[], shownId?: number): Named[] {
  const newest = prints.slice(-MOST_NAMED);
  const shown = newest.some(({ id }) => id === shownId) ? [] : prints.filter(({ id }) => id === shownId);
  return [...shown, ...newest].map(({ id, name }) => ({ id, name }));
}

/** Prints of an attempt, one of which is being measured; nothing if there is only one. */
export function PrintChoice({ jobId, step, prints, shownId }: PrintChoiceProps) {
  if (prints.length < 2) return null;
  return (
    <nav aria-label="Prints of this attempt" className="flex flex-wrap items-center gap-2">
      <span className="text-sm text-soft">Print</span>
      {prints.length > MOST_NAMED && <span className="text-sm text-soft">{prints.length}, the newest</span>}
      {newestPrints(prints, shownId).map(({ id, name }) => (
        <Link
          key={id}
          href={`/jobs/${jobId}/${step}?print=${id}`}
          aria-current={id === shownId ? 'page' : undefined}
          className={`num min-h-8 rounded-[5px] border px-2 py-1 ${id === shownId ? 'border-juniper bg-band font-semibold' : 'border-edge'}`}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
