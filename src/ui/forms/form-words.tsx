'use client';

import { type FieldName, useField } from '@conform-to/react';
import { createContext, useContext } from 'react';
import type { z } from 'zod';
import { describeFieldIssue, type FieldIssue, type FieldWords, wordsOfField } from '@/subjects/kit/shared';

const Form = createContext<z.ZodType | undefined>(undefined);

/** Tells the fields below which form they stand in. */
export const FormWords = Form.Provider;

/** A field of the form around it: its words, its id, and what is wrong with it. */
export interface FormField extends FieldWords {
  readonly id: string;
  readonly faultId: string;
  readonly fault?: string;
}

/** What follows a label elsewhere stands at the field by itself. */
const asSentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Label, hint and unit come from the form's definition; what is wrong with it from the last look at it. */
export function useFormField(name: string): FormField {
  const form = useContext(Form);
  if (form === undefined) throw new RangeError(`useFormField: no form has a field “${name}”`);
  const [meta] = useField(name as FieldName<unknown, Record<string, unknown>, FieldIssue[]>);
  const issues = meta.errors as readonly FieldIssue[] | undefined;
  return {
    ...wordsOfField(form, name),
    id: meta.id,
    faultId: meta.errorId,
    fault: issues?.map((issue) => asSentence(describeFieldIssue(issue, form))).join(' '),
  };
}
