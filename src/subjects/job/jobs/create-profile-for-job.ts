import type { Result } from '@/core/kit';
import { allOrNothing, type Db } from '@/store';
import { createProfile, type NewProfile } from '@/subjects/signature';
import type { ProfileIssue } from '@/subjects/signature/shared';
import { chooseProfile } from './choose-profile';

/** Makes a profile and chooses it for a job. */
export function createProfileForJob(db: Db, jobId: number, wanted: NewProfile): Result<number, ProfileIssue> {
  return allOrNothing(db, (tx) => {
    const made = createProfile(tx, wanted);
    if (made.ok) chooseProfile(tx, jobId, made.value);
    return made;
  });
}
