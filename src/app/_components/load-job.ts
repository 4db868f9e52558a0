import { notFound } from 'next/navigation';
import { cache } from 'react';
import { bench } from '@/subjects/workshop/settings';
import { type JobView, profileOfJob, viewJob } from '@/subjects/job/jobs';
import { waitForSignature } from '@/subjects/signature';

/** The job of this request, read once for its frame and its page; no page where there is no job. */
export const loadJob = cache(async (jobId: number): Promise<JobView> => {
  const { db } = bench();
  const profileId = profileOfJob(db, jobId);
  if (profileId !== undefined) await waitForSignature(db, profileId);
  return viewJob(db, jobId) ?? notFound();
});
