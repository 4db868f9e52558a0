import type { InputHTMLAttributes, ReactNode, SelectHTMLAttributes } from 'react';

export const BOX = 'min-h-10.5 w-full rounded-[4px] border border-edge bg-sheet px-2.5 py-2';

export interface ChoiceItem {
  readonly value: string;
  readonly label: string;
}

interface FrameProps {
  readonly id: string;
  readonly label: ReactNode;
  readonly hint?: ReactNode;
  readonly unit?: string;
  readonly fault?: string;
  readonly faultId?: string;
  readonly children: ReactNode;
}

/** Label above, control, hint and what is wrong below. */
export function Frame({ id, label, hint, unit, fault, faultId, children }: FrameProps) {
  return (
    <div>
      <label className="block" htmlFor={id}>
        <span className="mb-1 block text-sm text-soft">
          {label}
          {unit !== undefined && <span> ({unit})</span>}
        </span>
        {children}
        {hint !== undefined && <span className="mt-1 block text-sm text-soft">{hint}</span>}
      </label>
      {fault !== undefined && (
        <p id={faultId} className="mt-2 border-l-4 border-plum pl-2 text-sm">
          {fault}
        </p>
      )}
    </div>
  );
}

type PlainFieldProps = InputHTMLAttributes<HTMLInputElement> & {
  readonly name: string;
  readonly label: string;
  readonly unit?: string;
  readonly hint?: ReactNode;
};

/** A field of no form: a number that a desk works with as it is typed. */
export function PlainField({ label, hint, unit, className = '', ...input }: PlainFieldProps) {
  const id = input.id ?? input.name;
  return (
    <Frame id={id} label={label} hint={hint} unit={unit}>
      <input
        id={id}
        autoComplete="off"
        className={`${BOX} ${unit === undefined ? '' : 'num'} ${className}`}
        {...input}
      />
    </Frame>
  );
}

type PlainChoiceProps = SelectHTMLAttributes<HTMLSelectElement> & {
  readonly name: string;
  readonly label: string;
  readonly hint?: ReactNode;
  readonly choices: readonly ChoiceItem[];
};

/** A choice of no form. */
export function PlainChoice({ label, hint, choices, ...select }: PlainChoiceProps) {
  const id = select.id ?? select.name;
  return (
    <Frame id={id} label={label} hint={hint}>
      <select id={id} className={BOX} {...select}>
        <Options choices={choices} />
      </select>
    </Frame>
  );
}

export function Options({ choices }: { choices: readonly ChoiceItem[] }) {
  return choices.map(({ value, label }) => (
    <option key={value} value={value}>
      {label}
    </option>
  ));
}
