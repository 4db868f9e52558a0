import { revalidatePath } from 'next/cache';

/** A job's pages and Today show what was changed in it. */
export function changedJob(jobId: number): void {
  revalidatePath(`/jobs/${jobId}`, 'layout');
  revalidatePath('/');
}

/** The resins, and how jobs compare with them. */
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

/** Settings affect every page. */
export function changedHouse(): void {
  revalidatePath('/', 'layout');
}
