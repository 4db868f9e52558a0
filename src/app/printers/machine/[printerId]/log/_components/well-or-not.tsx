'use client';

import { useState } from 'react';
import { Button, PlainField } from '@/ui';

interface WellOrNotProps {
  /** Tells the fields and buttons of a page apart. */
  readonly name: string;
  /** What it is about, for who does not see where the buttons stand. */
  readonly about: string;
  readonly well: string;
  readonly amiss: string;
  readonly isMain?: boolean;
  readonly isBusy: boolean;
  readonly onAnswer: (answer: { readonly isWell: boolean; readonly note: string }) => void;
}

/** OK with one tap; Not OK asks in one line what was wrong and what was done. */
export function WellOrNot({ name, about, well, amiss, isMain = false, isBusy, onAnswer }: WellOrNotProps) {
  const [isAmiss, setAmiss] = useState(false);
  const [note, setNote] = useState('');
  const keep = () => {
    onAnswer({ isWell: false, note });
    setAmiss(false);
    setNote('');
  };
  const spoken = <span className="sr-only">: {about}</span>;
  return (
    <div className="mt-1">
      <p className="flex flex-wrap gap-2">
        <Button
          weight={isMain ? 'main' : 'plain'}
          disabled={isBusy}
          onClick={() => onAnswer({ isWell: true, note: '' })}
        >
          {well}
          {spoken}
        </Button>
        <Button disabled={isBusy} aria-expanded={isAmiss} onClick={() => setAmiss(!isAmiss)}>
          {amiss}
          {spoken}
        </Button>
      </p>
      {isAmiss && (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <PlainField
            name={`note-${name}`}
            label="Problem and action taken"
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
          <Button disabled={isBusy || note.trim() === ''} onClick={keep}>
            Save{spoken}
          </Button>
        </div>
      )}
    </div>
  );
}
