import { z } from 'zod';
import { fail, ok, type Result } from '@/core/kit';
import { type JsonIssue, parseJson, shapedBy } from '@/subjects/kit/shared';
import { checkLaw, type LawIssue, lawPrior, PARAMETER_NAMES, type RelatedProfile } from '@/core/signature';
import { describeLawIssue } from './words-law';

/** What is wrong with a file of a signature or of related profiles. */
export type SignatureFileIssue =
  | JsonIssue
  | { readonly code: 'noParameter'; readonly where: string; readonly name: string }
  | { readonly code: 'badLaw'; readonly where: string; readonly issue: LawIssue };

const signatureShape = z.object({
  parameters: z.array(z.object({ name: z.string(), mean: z.number(), sd: z.number().positive() })),
  covariance: z.array(z.array(z.number())).optional(),
});

const relatedProfileShape = z.object({
  same: z.array(z.enum(['printer', 'resin'])).optional(),
  printer: z.string().optional(),
  resin: z.string().optional(),
  foreign: z.boolean().optional(),
  signature: signatureShape,
});

const listShape = z.array(relatedProfileShape);
const namedShape = z.object({ printer: z.string(), resin: z.string(), relatives: listShape });

/** The parameters a file must hold; the lean of the light is younger than some files. */
const NEEDED = PARAMETER_NAMES.filter((name) => !name.startsWith('lean'));

/**
 * Returns mean and covariance over the parameters, valid for use by other profiles; what a file lacks is filled from
 * the prior.
 */
function lawOf(
  { parameters, covariance: rows }: z.infer<typeof signatureShape>,
  where: string,
): Result<Pick<RelatedProfile, 'mean' | 'covariance'>, SignatureFileIssue> {
  const missing = NEEDED.find((name) => !parameters.some((each) => each.name === name));
  if (missing !== undefined) return fail({ code: 'noParameter', where, name: missing });
  const prior = lawPrior();
  const count = PARAMETER_NAMES.length;
  const mean = prior.mean.slice();
  const covariance = prior.covariance.slice();
  const places = PARAMETER_NAMES.map((name) => parameters.findIndex((each) => each.name === name));
  const whole = rows?.length === parameters.length && rows.every((row) => row.length === parameters.length);
  if (rows !== undefined && !whole)
    return fail({ code: 'badField', where: `${where}covariance`, what: 'not a square over the parameters' });
  places.forEach((at, i) => {
    if (at < 0) return;
    mean[i] = parameters[at].mean;
    places.forEach((other, j) => {
      if (other < 0) return;
      // Without a covariance the parameters are taken as independent.
      covariance[i * count + j] = rows?.[at][other] ?? (i === j ? parameters[at].sd ** 2 : 0);
    });
  });
  const law = checkLaw({ mean, covariance });
  return law.ok ? law : fail({ code: 'badLaw', where, issue: law.issue });
}

/** The law in a saved signature. */
export function parseSignatureJson(
  text: string,
): Result<Pick<RelatedProfile, 'mean' | 'covariance'>, SignatureFileIssue> {
  const json = parseJson(text);
  if (!json.ok) return json;
  const shape = shapedBy(signatureShape, json.value);
  return shape.ok ? lawOf(shape.value, '') : shape;
}

interface RelatedProfiles {
  readonly kin: RelatedProfile['kin'];
  readonly relatives: readonly RelatedProfile[];
}

/** The profile that a list without names is about. */
const NEW = { printer: 'this printer', resin: 'this resin' };

/** `RELATIVES.json`: a list of what each shares with the new profile, or the names of printers and resins. */
export function parseRelatedProfilesJson(text: string): Result<RelatedProfiles, SignatureFileIssue> {
  const json = parseJson(text);
  if (!json.ok) return json;
  const named = Array.isArray(json.value) ? undefined : shapedBy(namedShape, json.value);
  if (named !== undefined && !named.ok) return named;
  const list = named === undefined ? shapedBy(listShape, json.value) : ok(named.value.relatives);
  if (!list.ok) return list;
  const kin = named === undefined ? NEW : { printer: named.value.printer, resin: named.value.resin };
  const relatives: RelatedProfile[] = [];
  for (const [i, { same = [], printer, resin, foreign, signature }] of list.value.entries()) {
    const law = lawOf(signature, `${named === undefined ? '' : 'relatives.'}${i}.signature.`);
    if (!law.ok) return law;
    relatives.push({
      kin: {
        printer: printer ?? (same.includes('printer') ? kin.printer : `another printer ${i}`),
        resin: resin ?? (same.includes('resin') ? kin.resin : `another resin ${i}`),
      },
      foreign,
      ...law.value,
    });
  }
  return ok({ kin, relatives });
}

/** What is wrong, where, and what to do. */
export function describeSignatureFileIssue(issue: SignatureFileIssue): string {
  const mend = 'Use the output of `signature … --json`.';
  switch (issue.code) {
    case 'notJson':
      return `this is not valid JSON. ${mend}`;
    case 'badField':
      return `${issue.where === '' ? 'the whole' : issue.where}: ${issue.what}. ${mend}`;
    case 'noParameter':
      return `${issue.where}parameters: ${issue.name} is missing. ${mend}`;
    case 'badLaw':
      return `${issue.where === '' ? '' : `${issue.where}: `}${describeLawIssue(issue.issue)} ${mend}`;
  }
}
