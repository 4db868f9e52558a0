import { expose } from 'comlink';
import type { Progress } from '@/core/part/mesh';
import { type AskedDay, planAskedDay } from './day-api';

const exposed = {
  plan: (asked: AskedDay, onProgress: Progress) =>
    planAskedDay(asked, (share) => {
      onProgress(share);
      return false;
    }),
};
export type DayWorkerApi = typeof exposed;

expose(exposed);
