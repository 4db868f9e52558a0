'use client';

import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';

export type Theme = 'light' | 'dark';
const YEAR_S = 365 * 24 * 3600;

/** Light paper or the lamp-safe dark of a yellow-lit room; remembered on this machine. */
export function ThemeSwitch({ initial }: { initial: Theme }) {
  const [theme, setTheme] = useState(initial);
  const other: Theme = theme === 'light' ? 'dark' : 'light';
  const change = () => {
    document.documentElement.dataset.theme = other;
    document.cookie = `theme=${other}; path=/; max-age=${YEAR_S}; samesite=strict`;
    setTheme(other);
  };
  return (
    <button
      type="button"
      className="p-1 text-soft hover:text-ink"
      aria-label={`Switch to ${other} theme`}
      onClick={change}
    >
      {theme === 'light' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}
    </button>
  );
}
