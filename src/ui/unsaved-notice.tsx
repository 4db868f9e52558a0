'use client';

import { useEffect, useState } from 'react';
import { Button } from './button';
import { Problem } from './notice';

/** Says that a tap was not saved, where the server failed and nothing else on the page says so. */
export function UnsavedNotice() {
  const [isUnsaved, setUnsaved] = useState(false);
  useEffect(() => {
    const note = (event: PromiseRejectionEvent) => {
      // The framework's own exception for going to another page is not an error.
      if (!String((event.reason as { digest?: string } | null)?.digest ?? '').startsWith('NEXT_'))
        setUnsaved(true);
    };
    window.addEventListener('unhandledrejection', note);
    return () => window.removeEventListener('unhandledrejection', note);
  }, []);
  if (!isUnsaved) return null;
  return (
    <div className="fixed inset-x-4 bottom-4 z-50 mx-auto flex max-w-xl items-start gap-3 bg-sheet shadow-lg">
      <div className="flex-1">
        <Problem>
          the last change was not saved. Check that the server is running and its disk has free space. Then
          repeat the change.
        </Problem>
      </div>
      <Button onClick={() => setUnsaved(false)}>Close</Button>
    </div>
  );
}
