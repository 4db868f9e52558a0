import { redirect } from 'next/navigation';
import { idFrom } from '@/app/_components/read-params';

/** A job opens at its first step. */
export default async function JobPage({ params }: { params: Promise<{ jobId: string }> }) {
  redirect(`/jobs/${idFrom((await params).jobId)}/need`);
}
