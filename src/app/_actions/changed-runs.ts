import { revalidatePath } from 'next/cache';

/** A plate, its jobs, its printer and Today show what was changed of a run. */
export function changedRuns(): void {
  revalidatePath('/runs', 'layout');
  revalidatePath('/jobs', 'layout');
  revalidatePath('/printers', 'layout');
  revalidatePath('/');
}
