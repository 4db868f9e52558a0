import { revalidatePath } from 'next/cache';

/** A job's pages and Today show what was changed in it. */
export function changedJob(jobId: number): void {
  revalidatePath(`/jobs/${jobId}`, 'layout');
  revalidatePath('/');
}

/** The shelf, and what jobs hold against it. */
export function changedShelf(): void {
  revalidatePath('/shelf', 'layout');
  revalidatePath('/jobs/[jobId]/resin', 'page');
}

/** Printers, their profiles and stations. */
export function changedPrinters(): void {
  revalidatePath('/printers', 'layout');
  revalidatePath('/gauges');
}

/** What a profile is printed under: its jobs are drawn by it. */
export function changedProcess(): void {
  revalidatePath('/', 'layout');
}

/** What the house decides shows everywhere. */
export function changedHouse(): void {
  revalidatePath('/', 'layout');
}
