import {
  attachSignature,
  contradiction,
  type DetachedSignature,
  type Instruments,
  type Learned,
  learnSignature,
  type SignatureOptions,
  type SignatureReading,
} from '@/core/signature';
import { type Db, queries } from '@/store';
import { type ProfileEvidence, readProfileEvidence } from './profile-evidence';
import { kinKey } from './related-profiles';

/** A signature with what it was learned from. */
export interface LearnedSignature extends Learned {
  readonly profileId: number;
  /** Readings it was learned from, oldest first. */
  readonly readingIds: readonly number[];
  readonly readingCount: number;
  readonly leftOut: ProfileEvidence['leftOut'];
  /**
   * Related profiles used in its prior, and how far the readings here are from them, in sd; undefined if there are
   * none.
   */
  readonly lenders: ProfileEvidence['lenders'];
  readonly contradiction?: number;
  readonly instruments: Instruments;
  /** The evidence has changed since, and a newer one is being learned. */
  readonly isOvertaken: boolean;
}

/** Whoever learns signatures elsewhere, so that the thread which answers requests does not wait. */
export interface Learner {
  /** Undefined where a newer request for the same profile came in between. */
  learn(work: {
    readonly profileId: number;
    readonly readings: readonly SignatureReading[];
    readonly options: SignatureOptions;
  }): Promise<DetachedSignature | undefined>;
}

interface Kept {
  learner?: Learner;
  /** Signatures that were made, by the key of their evidence: a key never comes again with other evidence. */
  readonly made: Map<string, LearnedSignature>;
  /** The last one of each profile, with its key. */
  readonly last: Map<number, { readonly key: string; readonly learned: LearnedSignature }>;
  /** Those that are being learned, by the key of their evidence. */
  readonly underWay: Map<string, Promise<void>>;
}

/** One for the process: pages and route handlers are bundled apart, each with its own copy of this module. */
const kept: Kept = ((globalThis as { mellowSignatures?: Kept }).mellowSignatures ??= {
  made: new Map(),
  last: new Map(),
  underWay: new Map(),
});

/** Signatures that are kept in memory; the least lately asked for goes first. */
const MOST_IN_MEMORY = 32;

/** From now on signatures are learned there; without, by whoever asks. */
export function learnElsewhere(learner: Learner | undefined): void {
  kept.learner = learner;
}

/** Is the thread that asks spared the learning? */
export function isLearnedElsewhere(): boolean {
  return kept.learner !== undefined;
}

function keyOf(db: Db, profileId: number): string {
  const key = queries.findProfile(db, profileId)?.profile.evidenceKey;
  if (key === undefined) throw new RangeError(`newestSignature: there is no profile ${profileId}`);
  return `${key} ${kinKey(db, profileId)}`;
}

function remember(key: string, learned: LearnedSignature): LearnedSignature {
  kept.made.delete(key);
  kept.made.set(key, learned);
  kept.last.delete(learned.profileId);
  kept.last.set(learned.profileId, { key, learned });
  for (const map of [kept.made, kept.last] as Map<unknown, unknown>[])
    if (map.size > MOST_IN_MEMORY) map.delete(map.keys().next().value);
  return learned;
}

function withEvidence(profileId: number, evidence: ProfileEvidence, learned: Learned): LearnedSignature {
  const { readingIds, leftOut, lenders, options } = evidence;
  const { parameters, covariance, posterior } = learned.signature;
  const means = parameters.map(({ mean }) => mean);
  const isLent = lenders.length > 0 && readingIds.length > 0;
  return {
    ...learned,
    profileId,
    readingIds,
    readingCount: readingIds.length,
    leftOut,
    lenders,
    contradiction: isLent ? contradiction(posterior.prior, means, covariance) : undefined,
    instruments: options.instruments,
    isOvertaken: false,
  };
}

/**
 * Returns the last signature of a profile in memory, if this workshop stored it: another workshop may have replaced it.
 */
function lastOf(db: Db, profileId: number): LearnedSignature | undefined {
  const last = kept.last.get(profileId);
  return last !== undefined && queries.hasKeptSignature(db, profileId, last.key.split(' ')[0])
    ? last.learned
    : undefined;
}

/**
 * The newest signature of a profile, made once for each change of its evidence. Where signatures are learned elsewhere and
 * the newest is not there yet, the one before it, marked as overtaken.
 */
export function newestSignature(db: Db, profileId: number): LearnedSignature {
  const key = keyOf(db, profileId);
  const known = kept.made.get(key);
  if (known !== undefined) return remember(key, known);
  const last = lastOf(db, profileId);
  if (kept.learner !== undefined && last !== undefined) {
    void learnNewest(db, profileId);
    return { ...last, isOvertaken: true };
  }
  const evidence = readProfileEvidence(db, profileId);
  return remember(
    key,
    withEvidence(profileId, evidence, learnSignature(evidence.readings, evidence.options)),
  );
}

async function learnWith(learner: Learner, db: Db, profileId: number, key: string): Promise<void> {
  const evidence = readProfileEvidence(db, profileId);
  const { readings, options } = evidence;
  const learned = await learner.learn({ profileId, readings, options }).then(
    (detached) => detached && attachSignature(detached, readings, options),
    // A thread that cannot run is worse news than a wait: then whoever asks learns by itself.
    () => learnSignature(readings, options),
  );
  if (learned === undefined) return;
  remember(key, withEvidence(profileId, evidence, learned));
}

/**
 * Computes the newest signature of a profile where signatures are computed; done when it is ready. Others who ask in
 * the meantime wait for the same one. Does nothing where the asking thread computes by itself.
 */
export async function learnNewest(db: Db, profileId: number): Promise<void> {
  const { learner } = kept;
  const key = keyOf(db, profileId);
  if (learner === undefined || kept.made.has(key)) return;
  const underWay = kept.underWay.get(key);
  if (underWay !== undefined) return underWay;
  const work = learnWith(learner, db, profileId, key).finally(() => kept.underWay.delete(key));
  kept.underWay.set(key, work);
  return work;
}

/** How long a page waits for a newer signature while it has one to show, ms. */
const PATIENCE_MS = 60;

/** Waits until the newest signature of a profile is ready, or only a moment if an older one can be shown until then. */
export async function waitForSignature(db: Db, profileId: number): Promise<void> {
  const learning = learnNewest(db, profileId).catch(() => undefined);
  if (lastOf(db, profileId) === undefined) return learning;
  await Promise.race([learning, new Promise((done) => setTimeout(done, PATIENCE_MS))]);
}
