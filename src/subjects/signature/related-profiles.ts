import {
  checkLaw,
  isSameLaw,
  isSoundLaw,
  type Kin,
  type LawPrior,
  priorFromRelatedProfiles,
  type RelatedProfile,
} from '@/core/signature';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/workshop/settings';

/** A related profile, whose readings count for another profile. */
export interface Lender {
  /** undefined: learned in another shop. */
  readonly profileId?: number;
  /** The profile by its printer, resin and name; of another shop's signature what it is called. */
  readonly name: string;
  readonly same: 'printer' | 'resin' | 'both';
  /** undefined where the file of another shop does not say. */
  readonly readingCount?: number;
}

/** Number of related profiles that are used: the ones with the most readings hold almost all the information. */
const MOST_RELATED_PROFILES = 6;

type KinLaw = ReturnType<typeof queries.listKinLaws>[number];

/**
 * Returns names under which profiles count as the same printer and the same resin. Another layer height of the same two
 * is another process along Z and at the edges: it counts as the same printer only.
 */
function kinOf({ printerId, resinId, layerMm }: KinLaw['profile'], own: KinLaw['profile']): Kin {
  const sameBoth = printerId === own.printerId && resinId === own.resinId;
  const otherLayer = sameBoth && layerMm !== own.layerMm;
  return { printer: String(printerId), resin: otherLayer ? `${resinId} at ${layerMm}` : String(resinId) };
}

function sameOf(kin: Kin, own: Kin): Lender['same'] {
  if (kin.printer !== own.printer) return 'resin';
  return kin.resin === own.resin ? 'both' : 'printer';
}

/** Another shop's signature: of a printer or a resin that is not ours it shares neither. */
function foreignRelatedProfile(
  law: ReturnType<typeof queries.listForeignLaws>[number]['law'],
): RelatedProfile {
  return {
    kin: {
      printer: String(law.printerId ?? `of the shop of ${law.id}`),
      resin: String(law.resinId ?? `of the shop of ${law.id}`),
    },
    foreign: true,
    mean: law.mean,
    covariance: law.covariance,
  };
}

/** A law that a damaged or forged backup brought may be none. */
function canLend({ law: { mean, covariance, priorMean, priorCovariance } }: KinLaw): boolean {
  return isSoundLaw({ mean, covariance }) && isSoundLaw({ mean: priorMean, covariance: priorCovariance });
}

type Profile = Pick<KinLaw['profile'], 'printerId' | 'resinId'>;

/**
 * Returns signatures of other workshops that a profile uses: each once, and none that is invalid (older versions
 * accepted any).
 */
function usableForeign(db: Db, own: Profile) {
  const taken: ReturnType<typeof queries.listForeignLaws> = [];
  for (const row of queries.listForeignLaws(db, own)) {
    if (taken.length === MOST_RELATED_PROFILES) break;
    if (checkLaw(row.law).ok && !taken.some(({ law }) => isSameLaw(law, row.law))) taken.push(row);
  }
  return taken;
}

/** Returns the prior of a profile with data from related profiles; its own prior if there are none. */
export function lendPrior(
  db: Db,
  profileId: number,
  ownPrior: LawPrior,
): { readonly prior: LawPrior; readonly lenders: readonly Lender[] } {
  const own = queries.findProfile(db, profileId)?.profile;
  if (own === undefined) return { prior: ownPrior, lenders: [] };
  const rows = queries.listKinLaws(db, profileId).filter(canLend).slice(0, MOST_RELATED_PROFILES);
  const foreign = usableForeign(db, own);
  if (rows.length + foreign.length === 0) return { prior: ownPrior, lenders: [] };
  const ownKin = kinOf(own, own);
  const ours = rows.map(({ law, profile }): RelatedProfile => ({
    kin: kinOf(profile, own),
    mean: law.mean,
    covariance: law.covariance,
    prior: {
      mean: Float64Array.from(law.priorMean),
      covariance: Float64Array.from(law.priorCovariance),
    },
  }));
  const theirs = foreign.map(({ law }) => foreignRelatedProfile(law));
  const relatives = [...ours, ...theirs];
  const lenders = [
    ...rows.map(({ law, profile, printer, resin }, i): Lender => ({
      profileId: profile.id,
      name: `${resin} on ${printer}, ${profile.name}`,
      same: sameOf(ours[i].kin, ownKin),
      readingCount: law.readingCount,
    })),
    ...foreign.map(({ law }, i): Lender => ({ name: law.name, same: sameOf(theirs[i].kin, ownKin) })),
  ];
  return { prior: priorFromRelatedProfiles(ownKin, relatives, ownPrior, readHouseRules(db).shares), lenders };
}

/** From this many readings a profile is independent: news of related profiles then no longer recompute it. */
const ON_ITS_OWN = 60;

/** What a signature depends on in its related profiles, as a part of the key of its evidence. */
export function kinKey(db: Db, profileId: number): string {
  if ((queries.findKeptSignature(db, profileId)?.readingCount ?? 0) >= ON_ITS_OWN) return '';
  const keys = queries
    .listKinLaws(db, profileId)
    .slice(0, MOST_RELATED_PROFILES)
    .map(({ law }) => law.evidenceKey);
  return keys.length === 0 ? '' : [...keys, JSON.stringify(readHouseRules(db).shares)].join(' ');
}
