import type { Ink } from './use-ink';

/** An axis of a chart in the house's colours: its title, quiet ticks, hairlines. */
export function titledAxis<Ticks extends object>(ink: Ink, text: string, ticks?: Ticks) {
  return {
    title: { display: true, text, color: ink.soft },
    ticks: { color: ink.soft, ...ticks },
    grid: { color: ink.hair },
  };
}
