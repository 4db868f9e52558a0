'use client';

import { useRef, useState } from 'react';
import { Button, Dialog, FileAnswer, useTakeFile } from '@/ui';

/** Replaces the workshop by a backup; the old one is kept. */
export function RestorePanel() {
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<File | undefined>();
  const { take, ...answer } = useTakeFile<{ message: string }>(
    '/api/backup',
    ({ message }) => message,
    'The connection was lost. Reload the page and check the result before you try again.',
  );
  const restore = (file: File) => {
    setChosen(undefined);
    void take(file);
  };
  return (
    <div className="mt-4">
      <Button onClick={() => input.current?.click()}>Restore from a backup …</Button>
      <input
        ref={input}
        type="file"
        accept=".gz,.tgz,application/gzip"
        aria-label="Backup file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          setChosen(event.target.files?.[0]);
          // The same file may be chosen again.
          event.target.value = '';
        }}
      />
      <FileAnswer {...answer} />
      <Dialog
        open={chosen !== undefined}
        onOpenChange={(open) => !open && setChosen(undefined)}
        title="Restore this backup?"
      >
        <p>
          <strong>{chosen?.name}</strong> replaces everything in this workshop. The file is checked completely
          first. The current workshop is kept and listed in Settings until you delete it.
        </p>
        <Button weight="main" className="mt-4" onClick={() => chosen && restore(chosen)}>
          Restore
        </Button>
      </Dialog>
    </div>
  );
}
