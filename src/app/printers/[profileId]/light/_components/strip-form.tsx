'use client';

import { useTap } from '@/app/_components/use-tap';
import { type LightUnit, stripForm, UNITS } from '@/subjects/exposure/shared';
import { ActionForm, Button, Choice, Problem, TextField } from '@/ui';
import { cureStrips, saveStrip } from '../actions';

interface StripFormProps {
  readonly profileId: number;
  readonly unit: LightUnit;
  /** The unit of those that are there is the unit of the curve. */
  readonly hasStrips: boolean;
  readonly instruments: readonly { readonly id: number; readonly name: string }[];
  /** The next of the good exposures to begin with, s: only its thickness is typed. */
  readonly nextS?: number;
  /** On a simulated printer: the exposure that its strips are cured around, s. */
  readonly simulatedS?: number;
}

/** A strip read with the caliper; on a simulated printer a whole set at a tap. */
export function StripForm({ profileId, unit, hasStrips, instruments, nextS, simulatedS }: StripFormProps) {
  const { problem, isBusy, tap } = useTap();
  if (instruments.length === 0)
    return <p className="mt-3 text-soft">No caliper yet. Add one in Measure first.</p>;
  return (
    <>
      <ActionForm
        form={stripForm}
        action={saveStrip.bind(null, profileId)}
        label="Add strip"
        className="mt-3 grid gap-3 sm:grid-cols-2"
      >
        <TextField name="exposure" inputMode="decimal" defaultValue={nextS?.toFixed(1)} />
        <Choice
          name="unit"
          defaultValue={unit}
          choices={(hasStrips ? [unit] : UNITS).map((value) => ({ value, label: value }))}
        />
        <TextField name="depthMm" inputMode="decimal" autoFocus={hasStrips && nextS !== undefined} />
        <Choice
          name="instrumentId"
          choices={instruments.map(({ id, name }) => ({ value: String(id), label: name }))}
        />
        <Button type="submit" className="justify-self-start">
          Save strip
        </Button>
      </ActionForm>
      {simulatedS !== undefined && unit === 's' && (
        <p className="mt-2">
          <Button
            disabled={isBusy}
            onClick={() =>
              tap((key) =>
                cureStrips(key, profileId, { exposureS: simulatedS, instrumentId: instruments[0].id }),
              )
            }
          >
            Cure and measure five on the simulated printer
          </Button>
        </p>
      )}
      {problem !== '' && <Problem>{problem}</Problem>}
    </>
  );
}
