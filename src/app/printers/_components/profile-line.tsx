import type { ProfileGlance } from '@/subjects/signature';
import { Link } from '@/ui';

/** A profile of a printer and how well its signature is known. */
export function ProfileLine({ profile }: { profile: ProfileGlance }) {
  const { id, resin, name, lot, readingCount, isLent, pinned, parameters } = profile;
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair py-2">
      <div>
        <Link href={`/printers/${id}`} className="font-semibold hover:underline">
          {resin}
        </Link>{' '}
        <span className="text-sm text-soft">{[name, lot].filter((part) => part !== '').join(' · ')}</span>
      </div>
      <p>
        {readingCount === 0 ? (
          <span className="text-soft">
            {isLent
              ? 'nothing measured yet, data from related profiles'
              : 'nothing measured yet, all assumed'}
          </span>
        ) : (
          <>
            <span className="num">{pinned}</span> of <span className="num">{parameters}</span> parameters
            measured, <span className="num">{readingCount}</span> readings
          </>
        )}
      </p>
    </li>
  );
}
