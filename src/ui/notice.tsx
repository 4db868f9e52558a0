import type { ReactNode } from 'react';

/** What went wrong, where, and what to do; read out when it appears. */
export function Problem({ children }: { children: ReactNode }) {
  return (
    <p role="alert" className="border-l-4 border-plum bg-sheet px-3 py-2">
      <strong className="text-plum">Cannot do this: </strong>
      {children}
    </p>
  );
}

export function Note({ children }: { children: ReactNode }) {
  return (
    <p role="status" className="border-l-4 border-juniper bg-sheet px-3 py-2">
      {children}
    </p>
  );
}
