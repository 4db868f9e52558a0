/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { UnsavedNotice } from '../unsaved-notice';

function reject(reason: unknown): void {
  act(() => {
    window.dispatchEvent(Object.assign(new Event('unhandledrejection'), { reason }));
  });
}

test('a tap that the bench did not take is said, until it is closed', () => {
  render(<UnsavedNotice />);
  expect(screen.queryByRole('alert')).toBeNull();
  reject(new Error('An error occurred in the Server Components render.'));
  expect(screen.getByRole('alert').textContent).toContain('the last change was not saved');
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('going on to another page is none', () => {
  render(<UnsavedNotice />);
  reject({ digest: 'NEXT_REDIRECT;push;/jobs/8/need' });
  expect(screen.queryByRole('alert')).toBeNull();
});
