'use client';

import { dayOf } from '@/core/kit/wording';
import { useState } from 'react';
import { useTap } from '@/app/_components/use-tap';
import { type Glance, GLANCE_WORDS, GLANCES, type MaintenanceKind, maintenanceOf } from '@/core/log';
import { Button, PlainField, Problem } from '@/ui';
import { tapLookOver } from '../actions';

interface LookOverProps {
  readonly printerId: number;
  /** Care that is due or soon will be, and can be done at once. */
  readonly soon: readonly MaintenanceKind[];
  readonly last?: { readonly at: Date; readonly isWell: boolean; readonly note: string };
}

/** An inspection of the printer in a minute: what is always inspected, and what is due. */
export function LookOver({ printerId, soon, last }: LookOverProps) {
  const { problem, isBusy, tap } = useTap();
  const [well, setWell] = useState<ReadonlySet<Glance>>(new Set());
  const [done, setDone] = useState<ReadonlySet<MaintenanceKind>>(new Set());
  const [note, setNote] = useState('');
  const amiss = GLANCES.filter((glance) => !well.has(glance));
  const look = () =>
    tap(async (key) => {
      const said = await tapLookOver(key, printerId, { done: [...done], amiss, note });
      if (said === '') {
        setWell(new Set());
        setDone(new Set());
        setNote('');
      }
      return said;
    });
  return (
    <details>
      <summary className="font-semibold">One-minute inspection</summary>
      {last !== undefined && (
        <p className="mt-1 text-sm text-soft">
          Last inspection: {dayOf(last.at)}: {last.isWell ? 'everything OK' : last.note}.
        </p>
      )}
      <fieldset className="mt-2">
        <legend className="text-sm text-soft">Tick what is OK</legend>
        {GLANCES.map((glance) => (
          <TickLine
            key={glance}
            label={GLANCE_WORDS[glance]}
            isTicked={well.has(glance)}
            onChange={() => setWell(toggled(well, glance))}
          />
        ))}
      </fieldset>
      {soon.length > 0 && (
        <fieldset className="mt-2">
          <legend className="text-sm text-soft">Due or due soon: tick what you did</legend>
          {soon.map((kind) => (
            <TickLine
              key={kind}
              label={maintenanceOf(kind).title}
              isTicked={done.has(kind)}
              onChange={() => setDone(toggled(done, kind))}
            />
          ))}
        </fieldset>
      )}
      {amiss.length > 0 && amiss.length < GLANCES.length && (
        <PlainField
          name="look-note"
          label="Problem and action taken"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      )}
      <Button
        className="mt-2"
        disabled={isBusy || amiss.length === GLANCES.length || (amiss.length > 0 && note.trim() === '')}
        onClick={look}
      >
        Save inspection
      </Button>
      {problem !== '' && <Problem>{problem}</Problem>}
    </details>
  );
}

function toggled<Item>(before: ReadonlySet<Item>, item: Item): ReadonlySet<Item> {
  const after = new Set(before);
  if (!after.delete(item)) after.add(item);
  return after;
}

interface TickLineProps {
  readonly label: string;
  readonly isTicked: boolean;
  readonly onChange: () => void;
}

function TickLine({ label, isTicked, onChange }: TickLineProps) {
  return (
    <label className="flex min-h-10 items-center gap-2">
      <input type="checkbox" className="size-5" checked={isTicked} onChange={onChange} />
      {label}
    </label>
  );
}
