'use client';

import { startTransition, useActionState, type FormEvent, type ReactNode } from 'react';
import { Note, Problem } from '../notice';
import { UNTOUCHED, type FormState } from './form-state';

export type FormAction = (before: FormState, data: FormData) => Promise<FormState>;

interface ActionFormProps {
  readonly action: FormAction;
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode | ((pending: boolean) => ReactNode);
}

/** A form over a server action that keeps what was typed when the answer is no, and says why. */
export function ActionForm({ action, label, className, children }: ActionFormProps) {
  const [state, send, pending] = useActionState(action, UNTOUCHED);
  // Submitted by hand: React empties a form whose `action` ran, and a refusal must lose nothing.
  const onSubmit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget, (event.nativeEvent as SubmitEvent).submitter);
    startTransition(() => send(data));
  };
  return (
    <form onSubmit={onSubmit} aria-label={label} className={className} noValidate>
      {typeof children === 'function' ? children(pending) : children}
      {state.message !== undefined &&
        (state.ok ? <Note>{state.message}</Note> : <Problem>{state.message}</Problem>)}
    </form>
  );
}
