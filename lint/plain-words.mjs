/** Lint rule: texts and comments contain no phrase listed in `phrases.txt`. Works on code and on Markdown. */
import { readFileSync } from 'node:fs';
import path from 'node:path';

const LIST = path.join(import.meta.dirname, 'phrases.txt');

const [everywhere, inTextsOnly] = readFileSync(LIST, 'utf8').split('# Only in texts');

function phrasesOf(part) {
  return part
    .split('\n')
    .filter((line) => line.startsWith('/'))
    .map((line) => {
      const [, source, flags, advice] = /^\/(.*)\/([a-z]*)\t(.*)$/.exec(line);
      return { pattern: new RegExp(source, flags), advice };
    });
}

/** The refused phrases of comments, and of all other texts: the pattern, and what to say instead. */
const IN_COMMENTS = phrasesOf(everywhere);
const PHRASES = [...IN_COMMENTS, ...phrasesOf(inTextsOnly)];

/** Attributes and functions whose strings nobody reads. */
const SILENT_ATTRIBUTES = new Set(['className', 'd', 'href', 'id', 'key', 'name', 'points', 'viewBox']);
const SILENT_CALLS = new Set(['RangeError', 'sql', 'prepare', 'exec', 'createHash', 'seedFrom']);

const isText = (text) => /\s/.test(text.trim()) || /^[A-Z]\p{L}/u.test(text);
const collapse = (text) => text.replace(/\s+/g, ' ');

function attributeOf(node) {
  let at = node.parent;
  while (at?.type === 'JSXExpressionContainer') at = at.parent;
  return at?.type === 'JSXAttribute' ? at.name.name : undefined;
}

/** Whether a string stands among the children of an element, also as one side of a condition: then it is read. */
function isShown(node) {
  let at = node.parent;
  while (at.type === 'ConditionalExpression' || at.type === 'LogicalExpression') at = at.parent;
  return at.type === 'JSXExpressionContainer' && at.parent.type !== 'JSXAttribute';
}

/** Whether a string is code: an import, a type, a class list, a query, a key of an object, a compared value. */
function isSilent(node) {
  const { parent } = node;
  if (SILENT_ATTRIBUTES.has(attributeOf(node))) return true;
  if (/^(Import|Export|TS)/.test(parent.type)) return true;
  if (parent.type === 'BinaryExpression') return parent.operator !== '+';
  if (parent.type === 'Property') return parent.key === node;
  if (parent.type === 'TaggedTemplateExpression') return true;
  const callee = parent.callee;
  return callee !== undefined && SILENT_CALLS.has(callee.name ?? callee.property?.name);
}

function check(context, node, text, phrases = PHRASES) {
  const shown = collapse(text);
  for (const { pattern, advice } of phrases) {
    const found = pattern.exec(shown);
    if (found !== null) context.report({ node, message: `“${found[0].trim()}”: ${advice}` });
  }
}

/** A comment without its marks and without code in backticks. */
const proseOf = (comment) => comment.value.replace(/\n\s*\*/g, ' ').replace(/`[^`]*`/g, '‹x›');

/** Runs of text and values between two elements, as one sentence. */
function sentencesOf(children) {
  const runs = [];
  let run;
  for (const child of children) {
    const piece =
      child.type === 'JSXText'
        ? child.value
        : child.type === 'JSXExpressionContainer'
          ? child.expression.type === 'Literal'
            ? String(child.expression.value)
            : '‹x›'
          : undefined;
    if (piece === undefined) run = undefined;
    else if (run === undefined) runs.push((run = { node: child, text: piece }));
    else run.text += piece;
  }
  return runs.filter(({ text }) => /\p{L}/u.test(text.replaceAll('‹x›', '')));
}

const plainWords = {
  meta: { type: 'suggestion', schema: [] },
  create(context) {
    const checkRuns = ({ children }) =>
      sentencesOf(children).forEach(({ node, text }) => check(context, node, text));
    return {
      Literal(node) {
        if (typeof node.value === 'string' && (isText(node.value) || isShown(node)) && !isSilent(node))
          check(context, node, node.value);
      },
      TemplateLiteral(node) {
        const text = node.quasis.map(({ value }) => value.cooked).join('‹x›');
        if (isText(text) && !isSilent(node)) check(context, node, text);
      },
      Program(program) {
        for (const comment of program.comments ?? []) check(context, comment, proseOf(comment), IN_COMMENTS);
      },
      JSXElement: checkRuns,
      JSXFragment: checkRuns,
      // In Markdown: prose, without code and addresses.
      text(node) {
        check(context, node, node.value);
      },
    };
  },
};

export default plainWords;
