/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';

const push = jest.fn();
jest.unstable_mockModule('next/navigation', () => ({ useRouter: () => ({ push }) }));
const { FindAndKeys } = await import('../find-and-keys');
const { ShortcutProvider } = await import('../shortcuts/shortcuts');

/** Pending answers of the server, by the words asked for. */
let asked: Map<string, { answer: (lines: unknown) => void; fail: () => void }>;

const LINES = {
  '': [{ label: 'Otter Tough on Long Bench', detail: 'signature', href: '/printers/1' }],
  slate: [
    { label: 'Slate General on Long Bench', detail: 'signature', href: '/printers/2' },
    { label: 'Slate General', detail: 'resin', href: '/shelf/2' },
  ],
};

beforeEach(() => {
  push.mockReset();
  asked = new Map();
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  Element.prototype.scrollIntoView = () => {};
  globalThis.fetch = jest.fn(
    (address: string) =>
      new Promise((resolve, reject) => {
        const words = new URL(address, 'http://bench').searchParams.get('words')!;
        asked.set(words, {
          answer: (lines) => resolve({ json: async () => lines }),
          fail: () => reject(new TypeError('connection lost')),
        });
      }),
  ) as unknown as typeof fetch;
  render(
    <ShortcutProvider letterKeys>
      <FindAndKeys />
    </ShortcutProvider>,
  );
  fireEvent.keyDown(window, { key: '/' });
});
afterEach(cleanup);

const field = () => screen.getByRole('combobox');
const type = (value: string) => fireEvent.change(field(), { target: { value } });
const answer = (words: keyof typeof LINES) => act(async () => asked.get(words)!.answer(LINES[words]));

test('it asks the bench when it is opened, and lists what was found as options', async () => {
  await answer('');
  expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
    'Otter Tough on Long Benchsignature',
  ]);
  type('slate');
  await answer('slate');
  const chosen = () =>
    screen
      .getAllByRole('option')
      .map((option) => option.ariaSelected ?? option.getAttribute('aria-selected'));
  expect(chosen()).toEqual(['true', 'false']);
  fireEvent.keyDown(field(), { key: 'ArrowDown' });
  fireEvent.keyDown(field(), { key: 'Enter' });
  expect(push).toHaveBeenCalledWith('/shelf/2');
});

test('Enter opens the line that is chosen, the first with every answer', async () => {
  await answer('');
  type('slate');
  await answer('slate');
  fireEvent.keyDown(field(), { key: 'Enter' });
  expect(push.mock.calls).toEqual([['/printers/2']]);
});

test('Enter before the answer waits for it: the first of the words typed is opened, not of those before', async () => {
  await answer('');
  type('slate');
  fireEvent.keyDown(field(), { key: 'Enter' });
  expect(push).not.toHaveBeenCalled();
  await answer('slate');
  expect(push.mock.calls).toEqual([['/printers/2']]);
});

test('a bench that does not answer is said', async () => {
  type('slate');
  await act(async () => asked.get('slate')!.fail());
  expect(screen.getByRole('alert').textContent).toContain('does not respond');
});
