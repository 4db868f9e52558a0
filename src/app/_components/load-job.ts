import { notFound } from 'next/navigation';
import { cache } from 'react';
import { bench } from '@/subjects/house';
import { type JobView, profileOfJob, viewJob } from '@/subjects/job';
import { waitForSignature } from '@/subjects/printing';

/** The job of this request, read once for its frame and its page; no page where there is no job. */
export const loadJob = cache(async (jobId: number): Promise<JobView> => {
  const { db } = bench();
  const profileId = profileOfJob(db, jobId);
  if (profileId !== undefined) await waitForSignature(db, profileId);
  return viewJob(db, jobId) ?? notFound();
});
