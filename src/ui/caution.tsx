import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** A short caution at the step where the harm can happen. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className="flex gap-2 border-l-4 border-honey py-1 pl-3 text-sm">
      <TriangleAlert size={18} className="mt-0.5 shrink-0 text-honey" aria-hidden />
      <span>
        <strong className="text-honey">Caution.</strong> {children}
      </span>
    </p>
  );
}
