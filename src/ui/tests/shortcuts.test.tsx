/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { ShortcutProvider, useShortcutList, useShortcuts } from '../shortcuts/shortcuts';

afterEach(cleanup);

const run = jest.fn();
const press = (key: string, on: Element | Window = window, more: object = {}) =>
  fireEvent.keyDown(on, { key, ...more });

function Desk({ does = 'a new feature', children }: { does?: string; children?: ReactNode }) {
  useShortcuts([
    { key: 'n', does, run: () => run('n') },
    { key: 'z', code: 'KeyZ', does: 'won’t enter', run: () => run('z'), onEmptyField: true },
    { key: 'PageDown', does: 'the next feature', run: () => run('next') },
    { key: 'Enter', does: 'keeps the form' },
  ]);
  return children;
}

function open(letterKeys: boolean, children?: ReactNode) {
  run.mockClear();
  return render(
    <ShortcutProvider letterKeys={letterKeys}>
      <Desk>{children}</Desk>
    </ShortcutProvider>,
  );
}

test('a key runs what it is for; with a modifier it is the browser’s', () => {
  open(true);
  press('n');
  press('n', window, { ctrlKey: true });
  press('Enter');
  expect(run.mock.calls).toEqual([['n']]);
});

test('letters can be switched off; other keys stay', () => {
  open(false);
  press('n');
  press('PageDown');
  expect(run.mock.calls).toEqual([['next']]);
});

test('typing in a field is typing: only the armed field, while empty, lets a place on the keyboard through', () => {
  open(
    true,
    <>
      <input aria-label="name" />
      <input aria-label="reading" data-armed="" />
    </>,
  );
  press('n', screen.getByLabelText('name'));
  press('y', screen.getByLabelText('name'), { code: 'KeyZ' });
  const armed = screen.getByLabelText('reading');
  press('y', armed, { code: 'KeyZ' });
  fireEvent.change(armed, { target: { value: '12' } });
  press('y', armed, { code: 'KeyZ' });
  expect(run.mock.calls).toEqual([['z']]);
});

test('an open dialog has the keys to itself', () => {
  open(true, <div role="dialog" />);
  press('n');
  expect(run).not.toHaveBeenCalled();
});

test('the keys of a component that has gone do nothing', () => {
  const { rerender } = open(true);
  rerender(<ShortcutProvider letterKeys>{null}</ShortcutProvider>);
  press('n');
  expect(run).not.toHaveBeenCalled();
});

function List() {
  return useShortcutList().map(({ key, does }) => (
    <p key={key}>
      {key}: {does}
    </p>
  ));
}

test('the list under ? tells every key of the screen; without a provider there is none', () => {
  const { rerender, container } = open(true);
  rerender(
    <ShortcutProvider letterKeys>
      <Desk>
        <List />
      </Desk>
    </ShortcutProvider>,
  );
  const told = [...container.querySelectorAll('p')].map((line) => line.textContent);
  expect(told).toEqual([
    'n: a new feature',
    'z: won’t enter',
    'PageDown: the next feature',
    'Enter: keeps the form',
  ]);
  expect(() => renderHook(() => useShortcutList())).toThrow(RangeError);
});
