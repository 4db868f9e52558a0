import { useState } from 'react';
import { parseLength } from '@/core/metrology';

/** Typed numbers by name, with what each parses to; NaN while it is no number. */
export function useNumbers<Name extends string>(start: Readonly<Record<Name, string>>) {
  const [texts, setTexts] = useState<Readonly<Record<Name, string>>>(start);
  const valueOf = (name: Name): number => {
    const parsed = parseLength(texts[name]);
    return parsed.ok ? parsed.value.valueMm : NaN;
  };
  const field = (name: Name) => ({
    name,
    id: `desk-${name}`,
    value: texts[name],
    inputMode: 'decimal' as const,
    onChange: (event: { target: { value: string } }) => setTexts({ ...texts, [name]: event.target.value }),
  });
  return { texts, valueOf, field, setTexts };
}
