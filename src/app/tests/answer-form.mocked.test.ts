import { describe, expect, jest, test } from '@jest/globals';
import { z } from 'zod';
import { ok } from '@/core/kit';
import { textField } from '@/subjects/kit/shared';

jest.unstable_mockModule('next/navigation', () => ({ redirect: () => undefined }));
const { answerForm } = await import('../_actions/answer-form');

const form = z.object({ name: textField('Name') });

function filled(): FormData {
  const data = new FormData();
  data.set('name', 'a bushing');
  return data;
}

const answerOf = (verb: () => unknown) =>
  answerForm({
    form,
    data: filled(),
    verb: () => ok(verb()),
    refusal: String,
    changed: () => undefined,
  });

const failing = (code: string) => () => {
  throw Object.assign(new Error(code), { code });
};

describe('a form whose save fails', () => {
  test.each([
    ['SQLITE_FULL', 'the disk is full'],
    ['SQLITE_BUSY', 'another program'],
    ['SQLITE_READONLY_DBMOVED', 'cannot be written'],
    ['SQLITE_CONSTRAINT_FOREIGNKEY', 'no longer exists'],
  ])('by %s says why, and was not taken', async (code, words) => {
    expect(await answerOf(failing(code))).toMatchObject({
      ok: false,
      message: expect.stringContaining(words),
    });
  });

  test('because another bench was put in place meanwhile says that', async () => {
    const closed = () => {
      throw new TypeError('The database connection is not open');
    };
    expect(await answerOf(closed)).toMatchObject({
      ok: false,
      message: expect.stringContaining('another workshop'),
    });
  });

  test('by a mistake of ours is no answer at all', async () => {
    await expect(answerOf(failing('ERR_OURS'))).rejects.toThrow('ERR_OURS');
  });
});

test('what a page sends may be no form: every needed field is missing then', async () => {
  const answer = await answerForm({
    form,
    data: 'tampered with' as unknown as FormData,
    verb: () => ok(undefined),
    refusal: String,
    changed: () => undefined,
  });
  expect(answer).toMatchObject({ ok: false, faults: { name: [{ code: 'needed' }] } });
});
