'use client';

import { useRef, useState } from 'react';
import { Button, Dialog, Note, Problem, useTakeFile } from '@/ui';

/** Puts a backup in the bench's place; what was there is kept aside. */
export function RestorePanel() {
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<File | undefined>();
  const { said, take } = useTakeFile<{ message: string }>(
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
        onChange={(event) => setChosen(event.target.files?.[0])}
      />
      {said !== undefined && (
        <div className="mt-3">{said.ok ? <Note>{said.text}</Note> : <Problem>{said.text}</Problem>}</div>
      )}
      <Dialog
        open={chosen !== undefined}
        onOpenChange={(open) => !open && setChosen(undefined)}
        title="Put this backup in place?"
      >
        <p>
          <strong>{chosen?.name}</strong> takes the place of everything on this bench. What is here now is
          kept in the folder <span className="num">before-restore</span> beside the data.
        </p>
        <Button weight="main" className="mt-4" onClick={() => chosen && restore(chosen)}>
          Put it in place
        </Button>
      </Dialog>
    </div>
  );
}
