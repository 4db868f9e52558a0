'use client';

import { useCallback, useEffect, useState } from 'react';

/** A half-typed field, kept on this machine at every keystroke. */
export function useDraft(name: string): readonly [string, (text: string) => void] {
  const [text, setText] = useState('');
  useEffect(() => {
    const timer = setTimeout(
      () => setText((now) => (now === '' ? (localStorage.getItem(name) ?? '') : now)),
      0,
    );
    return () => clearTimeout(timer);
  }, [name]);
  const change = useCallback(
    (next: string) => {
      setText(next);
      if (next === '') localStorage.removeItem(name);
      else localStorage.setItem(name, next);
    },
    [name],
  );
  return [text, change];
}
