'use client';

import { READINGS_EACH } from './reading-order';
import type { ReactNode, Ref } from 'react';
import type { Shape } from '@/core/measure';
import { Button } from '@/ui';

interface ArmedFieldProps {
  readonly ref: Ref<HTMLInputElement>;
  /** What is read next. */
  readonly label: ReactNode;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onTake: () => void;
  /** What types into the field beside the keyboard. */
  readonly children?: ReactNode;
}

const ORDINALS = ['first', 'second', 'third'];

/** first of three, turned a further 60° */
export function whichReading(count: number, shape: Shape): string {
  if (count >= READINGS_EACH) return 'one more reading';
  const turned = count === 0 ? '' : shape === 'round' ? ', turned a further 60°' : ', a little further along';
  return `${ORDINALS[count]} of three${turned}`;
}

/** The one field that readings go into; a caliper that types lands in it. */
export function ArmedField({ ref, label, text, onText, onTake, children }: ArmedFieldProps) {
  return (
    <form
      aria-label="Reading"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onTake();
      }}
    >
      <label htmlFor="reading" className="block">
        {label}
      </label>
      <div className="mt-1 flex flex-wrap items-center gap-3 sm:gap-4">
        <span className="flex min-w-0 items-baseline gap-2">
          <input
            ref={ref}
            id="reading"
            data-armed=""
            autoFocus
            autoComplete="off"
            inputMode="decimal"
            value={text}
            onChange={(event) => onText(event.target.value)}
            className="num w-40 border-b-2 border-ink bg-transparent py-1 text-4xl font-semibold caret-juniper sm:w-44 sm:text-5xl"
          />
          <span className="text-soft">mm</span>
        </span>
        {children}
        <Button type="submit" weight="large" className="ml-auto">
          Save reading <kbd className="border-current">Enter</kbd>
        </Button>
      </div>
    </form>
  );
}
