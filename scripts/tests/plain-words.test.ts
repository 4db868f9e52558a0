import { describe, expect, test } from '@jest/globals';
import markdown from '@eslint/markdown';
import { Linter } from 'eslint';
import { parser } from 'typescript-eslint';
import plainWords from '../../lint/plain-words.mjs';

const linter = new Linter();
const words = {
  plugins: { words: { rules: { plain: plainWords } } },
  rules: { 'words/plain': 'error' },
} as const;

const inCode = (code: string) =>
  linter
    .verify(
      code,
      {
        files: ['**/*.tsx'],
        languageOptions: { parser, parserOptions: { ecmaFeatures: { jsx: true } } },
        ...words,
      } as Linter.Config,
      'page.tsx',
    )
    .map(({ message }) => message);

const inMarkdown = (text: string) =>
  linter
    .verify(
      text,
      {
        files: ['**/*.md'],
        language: 'markdown/gfm',
        ...words,
        plugins: { ...words.plugins, markdown },
      } as unknown as Linter.Config,
      'page.md',
    )
    .map(({ message }) => message);

describe('the rule of plain words finds a refused phrase', () => {
  test.each([
    ['a string', "say('Print it all the same')"],
    ['a template, around its value', 'say(`the ${name} is none of this print`)'],
    ['text of an element', '<p>It was printed anew</p>'],
    ['text that runs over a value', '<p>take {name} back</p>'],
    ['one word beside a condition', "<p>{isLoose && ' floppy'}</p>"],
    ['either side of a choice', "<p>{isLoose ? 'floppy' : 'free'}</p>"],
    ['an attribute that is read', '<p aria-label="Print it anew" />'],
    ['a comment', '// Nobody knows why.'],
    ['a docstring over two lines', '/**\n * Prints it\n * all the same.\n */'],
  ])('in %s', (_, code) => {
    expect(inCode(code)).toHaveLength(1);
    expect(inCode(code)[0]).toMatch(/^“.+”: /);
  });

  test('in prose of Markdown, not in its code or addresses', () => {
    expect(inMarkdown('It is done anew.')).toHaveLength(1);
    expect(inMarkdown('See `anew` and [the page](anew.md).')).toEqual([]);
  });
});

describe('the rule leaves code alone', () => {
  test.each([
    ['an import', "import { x } from './ledger'"],
    ['a compared value', "if (kind === 'neat sheet') stop()"],
    ['a key', "const of = { 'the shelf': 1 }"],
    ['a class list', '<p className="rung ladder" />'],
    ['a code of one word', "const kind = 'ledger'"],
    ['a query', 'sql`select the ledger`'],
    ['a programmer’s error', "throw new RangeError('a wish of the house')"],
    ['code in a comment', '// Reads `ledger` and `rung`.'],
  ])('%s', (_, code) => {
    expect(inCode(code)).toEqual([]);
  });
});
