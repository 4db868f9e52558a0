'use client';

import { LiquidTicks } from '@/app/_components/liquid-ticks';
import { ALONE, CLARITIES, describeLiquid, FAMILIES, type ResinSheet } from '@/core/resin';
import { describeAlone, describeClarity, describeFamily, factsForm } from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Choice, TextArea, TextField, Tick } from '@/ui';
import { saveFacts } from '../../actions';

const open = { value: '', label: 'unknown' };

function Line({ name, text }: { name: string; text: string }) {
  return (
    <li className="border-b border-hair py-1">
      <span className="text-soft">{name}: </span>
      {text}
    </li>
  );
}

const listed = (words: readonly (string | number)[] | undefined, none: string) =>
  words === undefined ? 'unknown' : words.length === 0 ? none : words.join(', ');

/** What is known of a resin in words; a fact left open is unknown and passes nothing. */
export function FactFields({ resinId, sheet }: { resinId: number; sheet: ResinSheet }) {
  return (
    <>
      <ul className="text-sm">
        <Line name="appearance" text={sheet.clarity ?? 'unknown'} />
        <Line name="wash liquids" text={listed(sheet.washLiquids?.map(describeLiquid), 'unknown')} />
        <Line
          name="wavelength"
          text={listed(
            sheet.lightNm?.map((nm) => `${nm} nm`),
            'none',
          )}
        />
        <Line
          name="undiluted use"
          text={sheet.alone === undefined ? 'unknown' : describeAlone(sheet.alone)}
        />
        <Line name="rated for" text={listed(sheet.rated, 'nothing')} />
        {sheet.cautions.map((caution) => (
          <Line key={caution} name="caution" text={caution} />
        ))}
      </ul>
      <details className="mt-2">
        <summary className="text-sm text-soft">Edit</summary>
        <ActionForm
          form={factsForm}
          action={saveFacts.bind(null, resinId)}
          label="Other datasheet facts"
          className="mt-2 grid gap-3"
        >
          <Choice
            name="family"
            defaultValue={sheet.family}
            choices={FAMILIES.map((family) => ({ value: family, label: describeFamily(family) }))}
          />
          <Choice
            name="clarity"
            defaultValue={sheet.clarity ?? ''}
            choices={[open, ...CLARITIES.map((each) => ({ value: each, label: describeClarity(each) }))]}
          />
          <Choice
            name="alone"
            defaultValue={sheet.alone ?? ''}
            choices={[open, ...ALONE.map((each) => ({ value: each, label: describeAlone(each) }))]}
          />
          <fieldset>
            <legend className="mb-1 text-sm text-soft">Wash liquids</legend>
            <Tick name="washKnown" defaultChecked={sheet.washLiquids !== undefined} />
            <LiquidTicks ticked={sheet.washLiquids} />
          </fieldset>
          <TextField name="light" defaultValue={sheet.lightNm?.join(', ') ?? ''} placeholder="405" />
          <TextField
            name="rated"
            defaultValue={
              sheet.rated === undefined ? '' : sheet.rated.length === 0 ? 'none' : sheet.rated.join(', ')
            }
          />
          <TextArea name="cautions" defaultValue={sheet.cautions.join('\n')} rows={3} />
          <Button type="submit" className="justify-self-start">
            Save facts
          </Button>
        </ActionForm>
      </details>
    </>
  );
}
