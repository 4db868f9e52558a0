import type { DecisionRule } from '@/core/measure';
import { type Answer, ANSWER_WORDS } from '@/core/job/need';
import { describeRule } from '@/subjects/kit/shared';
import type { DecisionWords } from '@/subjects/workshop/records/shared';
import type { Reopened } from '@/subjects/job/jobs/shared';

/** What is decided of what a job is for. */
export type NeedEntry =
  | { readonly code: 'testAgreed'; readonly test: string }
  | { readonly code: 'ruleChosen'; readonly rule: DecisionRule }
  | { readonly code: 'needReopened'; readonly opened: readonly Reopened[] }
  | { readonly code: 'testAnswered'; readonly answer: Answer; readonly print: string; readonly note: string };

function shortly(each: Reopened): string {
  switch (each.code) {
    case 'fits':
      return `limits of ${each.names.join(', ')} changed`;
    case 'acceptance':
      return 'the acceptance test was reopened';
    case 'resin':
      return `${each.name} no longer passes`;
    case 'drawn':
      return `attempt ${each.attempt} was created before this change`;
    case 'check':
      return 'the check was reopened';
  }
}

export function describeNeedEntry(entry: NeedEntry): DecisionWords {
  switch (entry.code) {
    case 'testAgreed':
      return { title: 'Acceptance test agreed', detail: entry.test };
    case 'ruleChosen':
      return { title: 'Decision rule', detail: describeRule(entry.rule) };
    case 'needReopened':
      return { title: 'Need changed', detail: entry.opened.map(shortly).join('; ') };
    case 'testAnswered':
      return {
        title: `Acceptance test ${ANSWER_WORDS[entry.answer]}`,
        detail: `print ${entry.print}${entry.note === '' ? '' : `: ${entry.note}`}`,
      };
  }
}
