'use client';

import { makeProfile } from '../actions';
import { ProfileForm } from '@/app/_components/profile-form';

/** Makes a printer, a resin and a profile without leaving the job. */
export function ProfileMaker({ jobId, open }: { jobId: number; open: boolean }) {
  return (
    <details className="mt-4 border-t border-hair pt-3" open={open}>
      <summary className="font-semibold">Add printer, resin or profile</summary>
      <div className="mt-3">
        <ProfileForm action={makeProfile.bind(null, jobId)} />
      </div>
    </details>
  );
}
