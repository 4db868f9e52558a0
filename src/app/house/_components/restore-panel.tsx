'use client';

import { useRef, useState } from 'react';
import { Button, Dialog, FileAnswer, useTakeFile } from '@/ui';

/** Puts a backup in the bench's place; what was there is kept. */
export function RestorePanel() {
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<File | undefined>();
  const { take, ...answer } = useTakeFile<{ message: string }>(
    '/api/backup',
    ({ message }) => message,
    'The connection was lost. Load the page again and look before trying once more.',
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
        title="Put this backup in place?"
      >
        <p>
          <strong>{chosen?.name}</strong> takes the place of everything on this bench. It is checked whole
          first. The bench in use now is kept and listed under House until you delete it.
        </p>
        <Button weight="main" className="mt-4" onClick={() => chosen && restore(chosen)}>
          Put it in place
        </Button>
      </Dialog>
    </div>
  );
}
