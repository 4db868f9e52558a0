'use client';

import type { CardView } from '@/subjects/signature';
import { cardForm } from '@/subjects/signature/shared';
import { ActionForm, Button, TextArea, TextField } from '@/ui';
import { saveCard } from '../../../actions';

interface CardFormProps extends CardView {
  readonly printerId: number;
  /** YYYY-MM-DD */
  readonly today: string;
}

const whole = (number: number) => Math.round(number).toLocaleString('en');

/** The numbers of the device that somebody asks for when it is repaired, and what it has done. */
export function CardForm({ printerId, card, work, today }: CardFormProps) {
  const { warrantyUntil } = card;
  return (
    <>
      <p className="text-sm text-soft">
        {work.prints === 0
          ? 'No prints yet.'
          : `${whole(work.prints)} prints, ${whole(work.layers)} layers, ${whole(work.hours)} hours so far.`}
        {warrantyUntil !== undefined &&
          (warrantyUntil < today
            ? ` Its warranty ended on ${warrantyUntil}.`
            : ` Under warranty until ${warrantyUntil}.`)}
      </p>
      <ActionForm form={cardForm} action={saveCard} label="Device card" className="mt-2 grid gap-3">
        <input type="hidden" name="printerId" value={printerId} />
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField name="serial" defaultValue={card.serial} />
          <TextField name="firmware" defaultValue={card.firmware} />
          <TextField name="boughtOn" defaultValue={card.boughtOn} placeholder="2026-03-01" />
          <TextField name="warrantyUntil" defaultValue={warrantyUntil} placeholder="2028-03-01" />
        </div>
        <TextArea name="note" defaultValue={card.note} />
        <Button type="submit" className="justify-self-start">
          Save device card
        </Button>
      </ActionForm>
    </>
  );
}
