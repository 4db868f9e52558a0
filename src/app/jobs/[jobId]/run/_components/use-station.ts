'use client';

import { useEffect, useState } from 'react';
import type { Station, StationReport } from '@/subjects/simulated';

/** The clock of the simulated wash and lamp against the one on the wall. */
export const STATION_SPEED = 60;
const ASK_EVERY_MS = 1000;

export const STATE_WORDS: Readonly<Record<StationReport['state'], string>> = {
  idle: 'empty',
  running: 'running',
  opened: 'opened too early',
  done: 'done',
};

/** What a station gave, for the record: 4.0 of 4.0 min. */
export function describeGiven({ given_s, set_s }: StationReport): string {
  return `${(given_s / 60).toFixed(1)} of ${(set_s / 60).toFixed(1)} min completed`;
}

const addressOf = (station: Station) => `/api/simulated/stations/${station}`;

export function openLid(station: Station): void {
  void fetch(addressOf(station), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ do: 'open' }),
  });
}

/** What the station reports of a step, asked each second until it is done; undefined if the step is not in it. */
export function useStation(station: Station | undefined, stepId: number): StationReport | undefined {
  const [report, setReport] = useState<StationReport>();
  useEffect(() => {
    if (station === undefined) return;
    let timer: ReturnType<typeof setTimeout>;
    let isOver = false;
    const ask = async () => {
      const response = await fetch(addressOf(station)).catch(() => undefined);
      const said = response?.ok === true ? ((await response.json()) as StationReport) : undefined;
      if (isOver) return;
      if (said !== undefined) setReport(said);
      if (said === undefined || said.state === 'running') timer = setTimeout(() => void ask(), ASK_EVERY_MS);
    };
    void ask();
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [station, stepId]);
  return report?.load === `step ${stepId}` ? report : undefined;
}
