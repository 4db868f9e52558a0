'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { removeQuote } from '../../actions';

/** Takes a stated value off the sheet. */
export function RemoveQuote({ resinId, index, name }: { resinId: number; index: number; name: string }) {
  const [said, setSaid] = useState('');
  return (
    <>
      <button
        type="button"
        aria-label={`Remove ${name}`}
        className="min-h-7 min-w-7 p-1 text-soft hover:text-ink"
        onClick={() => void removeQuote(newKey(), resinId, index).then(setSaid)}
      >
        <X size={16} aria-hidden />
      </button>
      {said !== '' && (
        <span role="alert" className="text-sm text-plum">
          {said}
        </span>
      )}
    </>
  );
}
