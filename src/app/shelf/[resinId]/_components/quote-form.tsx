'use client';

import { useState } from 'react';
import { CONDITIONS, PROPERTY_IDS, type PropertyId, unitsFor } from '@/core/resin';
import { describeCondition, describeProperty, quoteForm } from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Choice, PlainField, TextField } from '@/ui';
import { saveQuote } from '../../actions';

/** One value of the sheet, in any unit that is understood; it takes the place of the one for the same state. */
export function QuoteForm({ resinId }: { resinId: number }) {
  const [property, setProperty] = useState<PropertyId>('deflectionLow_C');
  const isDeflection = property === 'deflectionLow_C' || property === 'deflectionHigh_C';
  return (
    <details className="mt-3">
      <summary className="font-semibold">Add datasheet value</summary>
      <ActionForm
        form={quoteForm}
        action={saveQuote.bind(null, resinId)}
        label="Datasheet value"
        className="mt-2 grid items-end gap-3 sm:grid-cols-4"
      >
        <div className="sm:col-span-2">
          <Choice
            name="property"
            value={property}
            onChange={(event) => setProperty(event.target.value as PropertyId)}
            choices={PROPERTY_IDS.map((id) => ({ value: id, label: describeProperty(id) }))}
          />
        </div>
        <TextField name="value" />
        <Choice
          key={property}
          name="unit"
          choices={unitsFor(property).map((unit) => ({ value: unit, label: unit }))}
        />
        <Choice
          name="condition"
          defaultValue="cured"
          choices={CONDITIONS.map((condition) => ({ value: condition, label: describeCondition(condition) }))}
        />
        {isDeflection && <TextField name="testMPa" placeholder="0.45, 1.80, 1.82" />}
        {property === 'viscosity_mPas' && <TextField name="atC" />}
        <PlainField name="standard" label="Standard, if stated" />
        <TextField name="on" type="date" />
        <Button type="submit" className="justify-self-start">
          Save value
        </Button>
      </ActionForm>
    </details>
  );
}
