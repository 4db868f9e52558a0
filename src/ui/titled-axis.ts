import type { Ink } from './use-ink';

/** An axis of a chart in the colours of the program: its title, quiet ticks, hairlines. */
export function titledAxis<Ticks extends object>(ink: Ink, text: string, ticks?: Ticks) {
  return {
    title: { display: true, text, color: ink.soft },
    ticks: { color: ink.soft, ...ticks },
    grid: { color: ink.hair },
  };
}

/** Common options of all charts: no animation, as large as the frame, no boxes. */
export const QUIET_CHART = {
  animation: false,
  maintainAspectRatio: false,
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
} as const;
