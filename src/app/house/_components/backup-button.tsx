'use client';

import { useState } from 'react';
import { Button, Problem } from '@/ui';

/** Saves what stands at an address as a file; the page stays. */
function download(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}

/** Saves the whole bench in one file; what stands against it is said before anything is downloaded. */
export function BackupButton() {
  const [refusal, setRefusal] = useState<string | undefined>();
  const save = async () => {
    setRefusal(undefined);
    try {
      const asked = await fetch('/api/backup?check');
      if (asked.ok) download('/api/backup');
      else setRefusal(((await asked.json()) as { message: string }).message);
    } catch {
      setRefusal('the server does not respond. Check that it is running, then try again.');
    }
  };
  return (
    <>
      <Button onClick={() => void save()}>Back up workshop</Button>
      {refusal !== undefined && (
        <div className="mt-3">
          <Problem>{refusal}</Problem>
        </div>
      )}
    </>
  );
}
