import { type Kin, type LawPrior, priorFromRelatives, type Relative } from '@/core/signature';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/house';

/** A profile that lends to another what its readings said. */
export interface Lender {
  readonly profileId: number;
  readonly printer: string;
  readonly resin: string;
  readonly profile: string;
  readonly same: 'printer' | 'resin' | 'both';
  readonly readingCount: number;
}

/** Relatives that are asked: those measured most tell what there is to tell. */
const MOST_RELATIVES = 6;

type KinLaw = ReturnType<typeof queries.listKinLaws>[number];

/**
 * Names under which profiles count as of one printer and of one resin. Another layer height of the same two is another
 * process along Z and at the edges: such a profile lends as one on the same printer.
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

/** The prior of a profile with what its relatives lend it; its own prior where it has none. */
export function lendPrior(
  db: Db,
  profileId: number,
  ownPrior: LawPrior,
): { readonly prior: LawPrior; readonly lenders: readonly Lender[] } {
  const own = queries.findProfile(db, profileId)?.profile;
  const rows = own === undefined ? [] : queries.listKinLaws(db, profileId).slice(0, MOST_RELATIVES);
  if (own === undefined || rows.length === 0) return { prior: ownPrior, lenders: [] };
  const ownKin = kinOf(own, own);
  const relatives = rows.map(({ law, profile }): Relative => ({
    kin: kinOf(profile, own),
    mean: law.mean,
    covariance: law.covariance,
    prior: {
      mean: Float64Array.from(law.priorMean),
      covariance: Float64Array.from(law.priorCovariance),
    },
  }));
  const lenders = rows.map(({ law, profile, printer, resin }, i): Lender => ({
    profileId: profile.id,
    printer,
    resin,
    profile: profile.name,
    same: sameOf(relatives[i].kin, ownKin),
    readingCount: law.readingCount,
  }));
  return { prior: priorFromRelatives(ownKin, relatives, ownPrior, readHouseRules(db).shares), lenders };
}

/** Readings from which on a profile stands on its own: what its relatives learn then no longer has it learned anew. */
const ON_ITS_OWN = 60;

/** What of its relatives a signature depends on, as a part of the key of its evidence. */
export function kinKey(db: Db, profileId: number): string {
  if ((queries.findKeptSignature(db, profileId)?.readingCount ?? 0) >= ON_ITS_OWN) return '';
  const keys = queries
    .listKinLaws(db, profileId)
    .slice(0, MOST_RELATIVES)
    .map(({ law }) => law.evidenceKey);
  return keys.length === 0 ? '' : [...keys, JSON.stringify(readHouseRules(db).shares)].join(' ');
}
