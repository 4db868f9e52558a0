import { keysOf } from '@/core/kit';
import { FILM, LEVEL, NOTHING_IN_VAT, PLATE_DRY, VAT_SEATED } from './machine';
import type { ChecklistInput, KnownState, QuestionDefinition } from './question';
import { BOTTLE, DRAINED, ENOUGH, RESIN, SHAKEN } from './resin';
import { AIR, ROOM } from './room';
import { CHECKED, DISPLAY, PRESENT } from './start';

/** Every question before a start, in the order of the work; a key is stored with its answer and never changes. */
const QUESTIONS = {
  checked: CHECKED,
  resin: RESIN,
  enough: ENOUGH,
  bottle: BOTTLE,
  room: ROOM,
  shaken: SHAKEN,
  drained: DRAINED,
  air: AIR,
  film: FILM,
  level: LEVEL,
  plateDry: PLATE_DRY,
  vatSeated: VAT_SEATED,
  nothingInVat: NOTHING_IN_VAT,
  display: DISPLAY,
  present: PRESENT,
} as const;

export type ChecklistKey = keyof typeof QUESTIONS;
export const CHECKLIST_KEYS = keysOf(QUESTIONS);

// Facts go only from a question's own `ask` to its own `text`; the compiler cannot follow that through the lookup.
const definitionOf = (key: ChecklistKey) => QUESTIONS[key] as unknown as QuestionDefinition<unknown>;

/** A question by its name, with the caution that stands with it. */
export const checklistQuestion = (key: ChecklistKey): Pick<QuestionDefinition<unknown>, 'name' | 'caution'> =>
  QUESTIONS[key];

/** What a person answered: OK, or not OK and started anyway for a reason. */
interface Answered {
  readonly well: boolean;
}

/** How a question stands before a start. */
export interface ChecklistQuestion<Answer extends Answered = Answered> {
  readonly key: ChecklistKey;
  /** What is known, in words. */
  readonly text: string;
  /** `well`: nothing to do. `exception`: known not to be OK, and started anyway for a reason. */
  readonly state: 'well' | 'open' | 'exception';
  /** What is known already says that it is not OK: only a reason opens the list. */
  readonly isKnownBad: boolean;
  readonly answer?: Answer;
}

function stateOf(known: KnownState, answer: Answered | undefined): ChecklistQuestion['state'] {
  if (answer === undefined) return known === 'well' ? 'well' : 'open';
  if (!answer.well) return 'exception';
  return known === 'bad' ? 'open' : 'well';
}

/**
 * Returns the list before a start, made for one print: what is known is answered, the rest is asked once. An answer
 * "OK" does not open what is known to be bad.
 */
export function askChecklist<Answer extends Answered>(
  input: ChecklistInput,
  answers: Readonly<Partial<Record<ChecklistKey, Answer>>>,
): ChecklistQuestion<Answer>[] {
  return CHECKLIST_KEYS.flatMap((key) => {
    const { ask, text } = definitionOf(key);
    const asked = ask(input);
    if (asked === undefined) return [];
    const answer = answers[key];
    return {
      key,
      text: text(asked.facts),
      state: stateOf(asked.known, answer),
      isKnownBad: asked.known === 'bad',
      answer,
    };
  });
}
