import { summariseSignature } from '@/core/signature';
import { bench } from '@/subjects/workshop/settings';
import { hasProfile, newestSignature, waitForSignature } from '@/subjects/signature';
import { answering, download, idIn, refusal } from '../../answers';

type Params = { params: Promise<{ profileId: string }> };

/** The signature of a profile in the open format, as the command line writes it and another bench takes it in. */
export const GET = answering(async (_request: Request, { params }: Params) => {
  const profileId = idIn((await params).profileId);
  const { db } = bench();
  if (profileId === undefined || !hasProfile(db, profileId))
    return refusal('This profile does not exist in this workshop.', 404);
  await waitForSignature(db, profileId);
  const { signature } = newestSignature(db, profileId);
  return Response.json(summariseSignature(signature), { headers: download('signature.json') });
});
