import { reopenTheBench } from '@/store';

/** Opens whatever bench the data folder now names; requests from now on see it. */
export function reopenBench(): void {
  reopenTheBench();
}
