'use client';

import { useState } from 'react';
import { type Quantity, valueIn } from '@/core/measure';

/** Numbers typed into a calculator, by name: lengths, unless their quantity is given. */
export function useNumbers<Name extends string>(
  start: Readonly<Record<Name, string>>,
  quantities?: Readonly<Partial<Record<Name, Quantity>>>,
) {
  const [texts, setTexts] = useState<Readonly<Record<Name, string>>>(start);
  /** Undefined while it is not a number of its quantity. */
  const valueOf = (name: Name): number | undefined => valueIn(texts[name], quantities?.[name]);
  /** Several at once; undefined while one of them is not a number. */
  const valuesOf = <Some extends Name>(...names: readonly Some[]): Record<Some, number> | undefined => {
    const values = names.flatMap((name) => {
      const value = valueOf(name);
      return value === undefined ? [] : [[name, value] as const];
    });
    return values.length < names.length ? undefined : (Object.fromEntries(values) as Record<Some, number>);
  };
  const field = (name: Name) => ({
    name,
    id: `desk-${name}`,
    value: texts[name],
    inputMode: 'decimal' as const,
    onChange: (event: { target: { value: string } }) => setTexts({ ...texts, [name]: event.target.value }),
  });
  return { texts, valueOf, valuesOf, field, setTexts };
}
