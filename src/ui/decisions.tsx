'use client';

import { PanelRightClose, PanelRightOpen } from 'lucide-react';
import { useState } from 'react';
import { Link } from './link';

interface DecisionLine {
  readonly id: number;
  readonly title: string;
  readonly detail: string;
  readonly href: string;
}

/** The running column of what has been decided in a job, newest first; folds away. */
export function Decisions({ lines }: { lines: readonly DecisionLine[] }) {
  // An empty list of decisions gets no column.
  const [chosen, setOpen] = useState<boolean | undefined>();
  const open = chosen ?? lines.length > 0;
  const Icon = open ? PanelRightClose : PanelRightOpen;
  return (
    <section
      aria-label="Decisions"
      className={`ledger no-print border-hair px-4 py-4 lg:min-h-[calc(100vh-3.6rem)] lg:border-l ${open ? '' : 'ledger-folded'}`}
    >
      <div className="flex items-center justify-between">
        {open && <h2 className="text-base">Decisions</h2>}
        <button
          type="button"
          className="p-1 text-soft hover:text-ink"
          aria-expanded={open}
          aria-label={open ? 'Hide decisions' : 'Show decisions'}
          onClick={() => setOpen(!open)}
        >
          <Icon size={18} aria-hidden />
        </button>
      </div>
      {open && lines.length === 0 && (
        <p className="mt-2 text-sm text-soft">Decisions made in this job appear here.</p>
      )}
      {open && (
        <ol className="mt-2">
          {lines.map((line) => (
            <li key={line.id} className="border-b border-dotted border-hair py-2">
              <Link href={line.href} className="block hover:bg-wash">
                <span className="block text-sm font-semibold">{line.title}</span>
                <span className="block text-sm text-soft">{line.detail}</span>
              </Link>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
