'use client';

import { type ChangeEvent, useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { BottleChoice } from '@/subjects/print/plate';
import type { ScaleShown } from '@/subjects/simulated';
import { endForm, pourForm, stopForm, weighForm } from '@/subjects/print/plate/shared';
import { ActionForm, Button, Caution, Choice, TextField, Tick } from '@/ui';
import { saveEnd, savePour, saveStop, saveWeighing } from '../../actions';
import { BottleField } from './around-form';

interface PourFormProps {
  readonly runId: number;
  /** Layer that prints; left out before the start. */
  readonly layer?: number;
  /** What is needed. */
  readonly ml?: number;
  readonly bottles: readonly BottleChoice[];
  readonly bottleId?: number;
}

/** Resin that was poured in. */
export function PourForm({ runId, layer, ml, bottles, bottleId }: PourFormProps) {
  const [key, setKey] = useState(() => uuid());
  return (
    <details>
      <summary className="font-semibold">Record added resin</summary>
      <ActionForm
        form={pourForm}
        action={async (before, data) => {
          const answer = await savePour(runId, before, data);
          if (answer.ok) setKey(uuid());
          return answer;
        }}
        label="Record added resin"
        className="mt-2 flex flex-wrap items-end gap-3"
      >
        <input type="hidden" name="clientKey" value={key} />
        {layer !== undefined && <input type="hidden" name="layer" value={layer} />}
        <div className="w-32">
          <TextField name="ml" defaultValue={ml} />
        </div>
        <BottleField bottles={bottles} bottleId={bottleId} none="no bottle" />
        <Button type="submit">Save added resin</Button>
      </ActionForm>
    </details>
  );
}

/** How it ended, and whether anybody saw it: only then its hours tell of the printer. */
export function EndForm({ runId, isExpected }: { runId: number; isExpected: boolean }) {
  const [seen, setSeen] = useState('now');
  return (
    <details open={isExpected}>
      <summary className="font-semibold">Finish print</summary>
      <ActionForm
        form={endForm}
        action={saveEnd.bind(null, runId)}
        label="Finish print"
        className="mt-2 flex flex-wrap items-end gap-3"
      >
        <div className="min-w-56">
          <Choice
            name="seen"
            value={seen}
            onChange={(event) => setSeen(event.target.value)}
            choices={[
              { value: 'now', label: 'just now' },
              { value: 'at', label: 'at the time on the printer display' },
              { value: 'unseen', label: 'earlier, time unknown' },
            ]}
          />
        </div>
        {seen === 'at' && (
          <div className="w-24">
            <TextField name="at" placeholder="14:05" />
          </div>
        )}
        <Button type="submit" weight={isExpected ? 'large' : 'plain'}>
          Finish print
        </Button>
      </ActionForm>
    </details>
  );
}

interface StopFormProps {
  readonly runId: number;
  readonly layer: number;
  readonly isStopped: boolean;
}

/** A print that was stopped: where and why, kept for whoever looks for the cause. */
export function StopForm({ runId, layer, isStopped }: StopFormProps) {
  return (
    <details open={isStopped}>
      <summary className="font-semibold">Report a stop</summary>
      <ActionForm
        form={stopForm}
        action={saveStop.bind(null, runId)}
        label="Report a stop"
        className="mt-2 grid gap-3 sm:grid-cols-[8rem_1fr]"
      >
        <TextField name="layer" defaultValue={layer} inputMode="numeric" />
        <TextField name="reason" placeholder="came off the plate, right front corner" />
        <Tick name="isUsable" className="sm:col-span-2" />
        <div className="sm:col-span-2">
          <Caution>
            Let the plate rise to the top before you reach in. Detached parts are in the vat: filter the resin
            and feel along the film with a soft spatula before the next print.
          </Caution>
          <Button type="submit" className="mt-1">
            Save stop
          </Button>
        </div>
      </ActionForm>
    </details>
  );
}

/** Supports and parts on the scale: what the share of supports is learned from. */
export function WeighForm({ runId, scale }: { runId: number; scale?: ScaleShown }) {
  const [weights, setWeights] = useState({ parts: '', supports: '' });
  const typed = (name: 'parts' | 'supports') => ({
    name,
    value: weights[name],
    onChange: (event: ChangeEvent<HTMLInputElement>) =>
      setWeights((before) => ({ ...before, [name]: event.target.value })),
  });
  return (
    <ActionForm
      form={weighForm}
      action={saveWeighing.bind(null, runId)}
      label="Weigh supports and parts"
      className="mt-2 flex flex-wrap items-end gap-3"
    >
      <div className="w-28">
        <TextField inputMode="decimal" {...typed('parts')} />
      </div>
      <div className="w-28">
        <TextField inputMode="decimal" {...typed('supports')} />
      </div>
      <div className="w-28">
        <Choice
          name="unit"
          choices={[
            { value: 'g', label: 'g' },
            { value: 'oz', label: 'oz' },
            { value: 'ml', label: 'ml' },
          ]}
        />
      </div>
      <Button type="submit">Save weights</Button>
      {scale !== undefined && (
        <Button
          onClick={() => setWeights({ parts: String(scale.partsG), supports: String(scale.supportsG) })}
        >
          Read simulated scale
        </Button>
      )}
    </ActionForm>
  );
}
