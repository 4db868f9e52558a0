'use client';

import type { InputHTMLAttributes, ReactNode, SelectHTMLAttributes, TextareaHTMLAttributes } from 'react';
import { type FormField, useFormField } from './form-words';
import { BOX, type ChoiceItem, Frame, Options } from './plain-field';

interface Named {
  /** Name of the field in its form, whose definition says how it is labelled. */
  readonly name: string;
  /** In place of the form's own hint, where it depends on what was chosen. */
  readonly hint?: ReactNode;
  /** In place of the form's own label, where it depends on what was chosen. */
  readonly label?: string;
}

const faultProps = ({ fault, faultId }: FormField) =>
  fault === undefined ? {} : { 'aria-invalid': true, 'aria-describedby': faultId };

function frameProps({ id, label, unit, hint, fault, faultId }: FormField, own: Omit<Named, 'name'>) {
  return { id, label: own.label ?? label, unit, hint: own.hint ?? hint, fault, faultId };
}

type TextFieldProps = Named & Omit<InputHTMLAttributes<HTMLInputElement>, 'id'>;

/** A text or number of the form around it. */
export function TextField({ label, hint, className = '', ...input }: TextFieldProps) {
  const field = useFormField(input.name);
  const { id, unit } = field;
  return (
    <Frame {...frameProps(field, { label, hint })}>
      <input
        id={id}
        autoComplete="off"
        inputMode={unit === undefined ? undefined : 'decimal'}
        className={`${BOX} ${unit === undefined ? '' : 'num'} ${className}`}
        {...faultProps(field)}
        {...input}
      />
    </Frame>
  );
}

type TextAreaProps = Named & Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, 'id'>;

/** A longer text of the form around it. */
export function TextArea({ label, hint, ...area }: TextAreaProps) {
  const field = useFormField(area.name);
  return (
    <Frame {...frameProps(field, { label, hint })}>
      <textarea id={field.id} rows={2} className={BOX} {...faultProps(field)} {...area} />
    </Frame>
  );
}

type ChoiceProps = Named &
  Omit<SelectHTMLAttributes<HTMLSelectElement>, 'id'> & { readonly choices: readonly ChoiceItem[] };

/** A choice of the form around it. */
export function Choice({ label, hint, choices, ...select }: ChoiceProps) {
  const field = useFormField(select.name);
  return (
    <Frame {...frameProps(field, { label, hint })}>
      <select id={field.id} className={BOX} {...faultProps(field)} {...select}>
        <Options choices={choices} />
      </select>
    </Frame>
  );
}

type TickProps = Named & Omit<InputHTMLAttributes<HTMLInputElement>, 'id' | 'type'>;

/** A box to tick, of the form around it. */
export function Tick({ name, hint, label, className = '', ...input }: TickProps) {
  const field = useFormField(name);
  return (
    <label className={`flex items-start gap-2 ${className}`}>
      <input id={field.id} type="checkbox" name={name} className="mt-1 size-4" {...input} />
      <span>
        {label ?? field.label}
        {hint !== undefined && <span className="text-soft"> {hint}</span>}
      </span>
    </label>
  );
}

/** A number in a table, named for who does not see the table. */
export function CellField({
  name,
  className = '',
  ...input
}: Named & Omit<InputHTMLAttributes<HTMLInputElement>, 'id'>) {
  const field = useFormField(name);
  return (
    <>
      <input
        id={field.id}
        name={name}
        aria-label={`${field.label}${field.unit === undefined ? '' : `, ${field.unit}`}`}
        inputMode="decimal"
        autoComplete="off"
        className={`num rounded-[4px] border border-edge bg-sheet px-2 py-1 ${className}`}
        {...faultProps(field)}
        {...input}
      />
      {field.fault !== undefined && (
        <span id={field.faultId} className="block text-sm">
          {field.fault}
        </span>
      )}
    </>
  );
}
