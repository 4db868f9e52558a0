/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { z } from 'zod';
import { choiceField, done, type FormAnswer, numberField, refused, textField } from '@/subjects/kit/shared';
import { ActionForm, type FormAction } from '../forms/action-form';
import { Choice, TextField } from '../forms/field';

const form = z.object({
  name: textField('Name', { limit: 10 }),
  sizeMm: numberField('Size', 'length', { low: 0, high: 100, hint: 'As the caliper shows it.' }),
  sense: choiceField('Sense', ['inside', 'outside']),
});

function show(answer: FormAnswer = done('Kept.')) {
  const action = jest.fn<FormAction>(async () => answer);
  render(
    <ActionForm form={form} action={action} label="A feature">
      <TextField name="name" />
      <TextField name="sizeMm" />
      <Choice name="sense" choices={[{ value: 'inside', label: 'inside' }]} />
      <button type="submit">Keep it</button>
    </ActionForm>,
  );
  return { action, send: () => fireEvent.click(screen.getByText('Keep it')) };
}

const type = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('a form over a server action', () => {
  test('takes label, unit and hint from its definition', () => {
    show();
    expect(screen.getByLabelText(/^Size/)).toHaveProperty('name', 'sizeMm');
    expect(screen.getByText('(mm)')).toBeDefined();
    expect(screen.getByText('As the caliper shows it.')).toBeDefined();
  });

  test('tells every fault at its field, the focus on the first, and sends nothing', async () => {
    const { action, send } = show();
    type(/^Size/, 'wide');
    send();
    await waitFor(() => expect(screen.getByText(/“wide” is not a number/)).toBeDefined());
    const name = screen.getByLabelText(/^Name/);
    expect(name.getAttribute('aria-invalid')).toBe('true');
    const fault = document.getElementById(name.getAttribute('aria-describedby')!);
    expect(fault?.textContent).toBe('This field is empty.');
    expect(document.activeElement).toBe(name);
    expect(action).not.toHaveBeenCalled();
  });

  test('a fault goes as soon as it is mended', async () => {
    const { send } = show();
    type(/^Size/, '5');
    send();
    await waitFor(() => expect(screen.getByText('This field is empty.')).toBeDefined());
    fireEvent.input(screen.getByLabelText(/^Name/), { target: { value: 'Bore' } });
    await waitFor(() => expect(screen.queryByText('This field is empty.')).toBeNull());
  });

  test('what is right is sent, and a refusal loses nothing that was typed', async () => {
    const { action, send } = show(refused('the name “Bore” is taken.'));
    type(/^Name/, 'Bore');
    type(/^Size/, '9,56');
    send();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('is taken'));
    expect(action.mock.calls[0][1].get('sizeMm')).toBe('9,56');
    expect(screen.getByLabelText(/^Name/)).toHaveProperty('value', 'Bore');
    expect(screen.getByLabelText(/^Size/)).toHaveProperty('value', '9,56');
  });

  test('faults that only the bench found are told by their labels', async () => {
    const { send } = show({ ok: false, faults: { sizeMm: [{ code: 'blank' }] } });
    type(/^Name/, 'Bore');
    type(/^Size/, '5');
    send();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Size: the field is empty'));
  });
});
