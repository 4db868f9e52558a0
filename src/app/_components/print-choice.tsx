import { Link } from '@/ui';

interface PrintChoiceProps {
  readonly jobId: number;
  readonly step: 'run' | 'measure';
  readonly prints: readonly { readonly id: number; readonly name: string }[];
  readonly shownId: number;
}

/** Prints of an attempt, one of which is on the bench; nothing where there is but one. */
export function PrintChoice({ jobId, step, prints, shownId }: PrintChoiceProps) {
  if (prints.length < 2) return null;
  return (
    <nav aria-label="Prints of this attempt" className="flex flex-wrap items-center gap-2">
      <span className="text-sm text-soft">Print</span>
      {prints.map(({ id, name }) => (
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
