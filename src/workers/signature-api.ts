import {
  type DetachedSignature,
  detachSignature,
  type KeptGroups,
  learnSignature,
  type SignatureOptions,
  type SignatureReading,
} from '@/core/signature';

/** One signature to be learned; `number` names the answer. */
export interface SignatureRequest {
  readonly number: number;
  readonly profileId: number;
  readonly readings: readonly SignatureReading[];
  readonly options: SignatureOptions;
}

export interface SignatureAnswer {
  readonly number: number;
  readonly learned: DetachedSignature;
}

/** Groups that each profile's last estimate left, so that the next one computes what changed. */
const keptOf = new Map<number, KeptGroups>();

/** Profiles whose groups are kept; the least lately asked for goes first. About 0.1 MB a print that was measured. */
const MOST_PROFILES = 12;

export function answerSignature({ number, profileId, readings, options }: SignatureRequest): SignatureAnswer {
  const kept = keptOf.get(profileId) ?? new Map();
  keptOf.delete(profileId);
  keptOf.set(profileId, kept);
  if (keptOf.size > MOST_PROFILES) keptOf.delete(keptOf.keys().next().value!);
  return { number, learned: detachSignature(learnSignature(readings, { ...options, kept })) };
}
