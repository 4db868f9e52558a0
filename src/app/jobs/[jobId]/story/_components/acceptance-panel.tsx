'use client';

import { type Answer, ANSWER_WORDS, ANSWERS } from '@/core/job/need';
import { answerForm } from '@/subjects/job/need/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { answerTest } from '../actions';

interface AcceptancePanelProps {
  readonly jobId: number;
  readonly printName: string;
  readonly answer?: { readonly answer: Answer; readonly note: string };
}

/** The agreed test is answered at the end, by whoever holds the part. */
export function AcceptancePanel({ jobId, printName, answer }: AcceptancePanelProps) {
  return (
    <section aria-labelledby="test-title" className="bg-wash px-3 py-2">
      <h2 id="test-title" className="text-base">
        {answer === undefined
          ? `Result of print ${printName} in the acceptance test`
          : `Acceptance test: ${ANSWER_WORDS[answer.answer]}${answer.note === '' ? '' : `, ${answer.note}`}`}
      </h2>
      <ActionForm
        form={answerForm}
        action={answerTest.bind(null, jobId)}
        label="Result of the acceptance test"
        className="mt-1 flex flex-wrap items-end gap-3"
      >
        <Choice
          name="answer"
          defaultValue={answer?.answer ?? 'passed'}
          choices={ANSWERS.map((each) => ({ value: each, label: ANSWER_WORDS[each] }))}
        />
        <div className="min-w-64 flex-1">
          <TextField name="note" defaultValue={answer?.note ?? ''} />
        </div>
        <Button type="submit">{answer === undefined ? 'Record result' : 'Change result'}</Button>
      </ActionForm>
    </section>
  );
}
