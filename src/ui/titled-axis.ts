import type { Ink } from './use-ink';

/** An axis of a chart in the house's colours: its title, quiet ticks, hairlines. */
export function titledAxis<Ticks extends object>(ink: Ink, text: string, ticks?: Ticks) {
  return {
    title: { display: true, text, color: ink.soft },
    ticks: { color: ink.soft, ...ticks },
    grid: { color: ink.hair },
  };
}

/** How every chart of the house behaves: at rest, as large as its frame, without boxes of its own. */
export const QUIET_CHART = {
  animation: false,
  maintainAspectRatio: false,
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
} as const;
