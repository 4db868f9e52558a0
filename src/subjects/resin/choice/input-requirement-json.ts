import { z } from 'zod';
import {
  CRITERIA,
  EVEN_WEIGHTS,
  findRequirementIssue,
  IMPACTS,
  type Requirement,
  type RequirementIssue,
  WASH_LIQUIDS,
} from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { finite } from '@/subjects/kit/shared';

export type RequirementJsonIssue =
  | RequirementIssue
  | { readonly code: 'notJson' }
  | { readonly code: 'notReadable'; readonly detail: string }
  | { readonly code: 'fieldUnknown'; readonly fields: readonly string[] };

const number = finite.nullable().default(null);

const words = z.array(z.string().trim().min(1).max(40)).max(20).default([]);

const requirementJson = z
  .object({
    serviceMax_C: number,
    processMax_C: number,
    stress_MPa: number,
    strainMax: number,
    impact: z.enum(IMPACTS).nullable().default(null),
    stiffness_MPa: z.tuple([finite.nullable(), finite.nullable()]).default([null, null]),
    shoreA: number,
    clear: z.boolean().default(false),
    skinContact: z.boolean().default(false),
    contact: words,
    claims: words,
    margin_K: z.number().min(0).max(200).default(15),
    washWith: z.array(z.enum(WASH_LIQUIDS)).default([]),
    room_C: number,
    waterUptakeMax: finite.min(0).max(1).nullable().default(null),
    smallestFeature_mm: finite.positive().nullable().default(null),
    weights: z
      .object(
        Object.fromEntries(CRITERIA.map((criterion) => [criterion, finite.default(1)])) as Record<
          (typeof CRITERIA)[number],
          z.ZodDefault<z.ZodNumber>
        >,
      )
      .default({ ...EVEN_WEIGHTS }),
  })
  .strict();

/**
 * Returns the requirements of a part from JSON; missing fields are not required. An unknown word is refused, not
 * ignored.
 */
export function parseRequirementJson(text: string): Result<Requirement, RequirementJsonIssue> {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    return fail({ code: 'notJson' });
  }
  const parsed = requirementJson.safeParse(raw);
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    return first.code === 'unrecognized_keys'
      ? fail({ code: 'fieldUnknown', fields: first.keys })
      : fail({ code: 'notReadable', detail: `${first.path.join('.') || 'the file'}: ${first.message}` });
  }
  const issue = findRequirementIssue(parsed.data);
  return issue === undefined ? ok(parsed.data) : fail(issue);
}
