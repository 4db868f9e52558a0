import type { InputHTMLAttributes, ReactNode, SelectHTMLAttributes, TextareaHTMLAttributes } from 'react';

const BOX = 'w-full rounded-[4px] border border-edge bg-sheet px-2.5 py-2';

interface Labelled {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly unit?: string;
}

function Frame({ label, hint, unit, children, name }: Labelled & { children: ReactNode; name: string }) {
  return (
    <label className="block" htmlFor={name}>
      <span className="mb-1 block text-sm text-soft">
        {label}
        {unit !== undefined && <span> ({unit})</span>}
      </span>
      {children}
      {hint !== undefined && <span className="mt-1 block text-sm text-soft">{hint}</span>}
    </label>
  );
}

type TextFieldProps = Labelled & InputHTMLAttributes<HTMLInputElement> & { readonly name: string };

export function TextField({ label, hint, unit, className = '', ...input }: TextFieldProps) {
  return (
    <Frame label={label} hint={hint} unit={unit} name={input.id ?? input.name}>
      <input
        id={input.id ?? input.name}
        autoComplete="off"
        className={`${BOX} ${unit === undefined ? '' : 'num'} ${className}`}
        {...input}
      />
    </Frame>
  );
}

type TextAreaProps = Labelled & TextareaHTMLAttributes<HTMLTextAreaElement> & { readonly name: string };

export function TextArea({ label, hint, ...area }: TextAreaProps) {
  return (
    <Frame label={label} hint={hint} name={area.id ?? area.name}>
      <textarea id={area.id ?? area.name} rows={2} className={BOX} {...area} />
    </Frame>
  );
}

type ChoiceProps = Labelled &
  SelectHTMLAttributes<HTMLSelectElement> & {
    readonly name: string;
    readonly choices: readonly { readonly value: string; readonly label: string }[];
  };

export function Choice({ label, hint, choices, ...select }: ChoiceProps) {
  return (
    <Frame label={label} hint={hint} name={select.id ?? select.name}>
      <select id={select.id ?? select.name} className={BOX} {...select}>
        {choices.map(({ value, label: shown }) => (
          <option key={value} value={value}>
            {shown}
          </option>
        ))}
      </select>
    </Frame>
  );
}
