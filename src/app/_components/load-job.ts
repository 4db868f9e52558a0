import { notFound } from 'next/navigation';
import { cache } from 'react';
import { bench } from '@/subjects/house';
import { type JobView, viewJob } from '@/subjects/job';

/** The job of this request, read once for its frame and its page; no page where there is no job. */
export const loadJob = cache((jobId: number): JobView => viewJob(bench().db, jobId) ?? notFound());
