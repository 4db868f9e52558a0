'use client';

import { FormProvider, getFormProps, useForm } from '@conform-to/react';
import { parseWithZod } from '@conform-to/zod/v4';
import { type ReactNode, startTransition, useActionState } from 'react';
import { v4 as newKey } from 'uuid';
import type { z } from 'zod';
import {
  describeFaults,
  type FieldIssue,
  type FormAnswer,
  issuesOf,
  TAP_KEY_FIELD,
  UNTOUCHED,
} from '@/subjects/kit/shared';
import { Note, Problem } from '../notice';
import { FormWords } from './form-words';

export type FormAction = (before: FormAnswer, data: FormData) => Promise<FormAnswer>;

interface ActionFormProps {
  /** What its fields are and are called; the server parses by the same. */
  readonly form: z.ZodType;
  readonly action: FormAction;
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/**
 * A form over a server action. All faults are shown at once, each at its field, with the focus on the first; a refusal
 * loses nothing that was typed.
 */
export function ActionForm({ form, action, label, className, children }: ActionFormProps) {
  const [answer, send] = useActionState(action, UNTOUCHED);
  const [meta] = useForm<Record<string, unknown>, unknown, FieldIssue[]>({
    shouldRevalidate: 'onInput',
    onValidate: ({ formData }) =>
      parseWithZod(formData, { schema: form, disableAutoCoercion: true, formatError: issuesOf }) as never,
    // Sent by hand: React empties a form whose `action` ran, and a refusal must lose nothing.
    onSubmit: (event, { formData }) => {
      event.preventDefault();
      formData.set(TAP_KEY_FIELD, newKey());
      startTransition(() => send(formData));
    },
  });
  return (
    <FormProvider context={meta.context}>
      <FormWords value={form}>
        <form {...getFormProps(meta)} aria-label={label} className={className} noValidate>
          {children}
          <Answer answer={answer} form={form} />
        </form>
      </FormWords>
    </FormProvider>
  );
}

function Answer({ answer, form }: { answer: FormAnswer; form: z.ZodType }) {
  if (answer.faults !== undefined) return <Problem>{describeFaults(answer.faults, form).join(' ')}</Problem>;
  if (answer.message === undefined) return null;
  return answer.ok ? <Note>{answer.message}</Note> : <Problem>{answer.message}</Problem>;
}
