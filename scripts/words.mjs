/** The words that a script was started with: all of them are understood, or nothing is done. Needs no package. */
import { parseArgs } from 'node:util';

/**
 * @typedef {object} Option
 * @property {string} text What it does, for the usage.
 * @property {string} [value] Name of its value in the usage; left out for a switch.
 * @property {(given: string) => unknown} [read] Its value; throws a RangeError with a sentence where it cannot be used.
 */

/** How a script is started, a line an option. */
export function usageOf({ command, does, options }) {
  const shown = Object.entries(options).map(([name, { value, text }]) => [
    `--${name}${value === undefined ? '' : ` ${value}`}`,
    text,
  ]);
  const width = Math.max(...[...shown.map(([left]) => left), '--help'].map((left) => left.length)) + 2;
  const lines = [...shown, ['--help', 'shows this']].map(([left, text]) => `  ${left.padEnd(width)}${text}`);
  const dashes = command.startsWith('npm') && shown.length > 0 ? ' -- [options]' : '';
  return [`${command}${dashes}`, does, '', ...lines].join('\n');
}

/** What npm took for itself, because the two dashes that hand words on were missing. */
function findSwallowed({ command, options }, environment) {
  const name = Object.keys(options).find((each) => environment[`npm_config_${each}`] !== undefined);
  return name === undefined
    ? undefined
    : `npm took --${name} for itself. Put two dashes before it: ${command} -- --${name}${options[name].value === undefined ? '' : ` ${options[name].value}`}`;
}

function readToken({ options }, token, read) {
  if (token.kind === 'option-terminator') return undefined;
  if (token.kind === 'positional') return `“${token.value}” is not understood.`;
  const option = options[token.name];
  if (option === undefined) return `${token.rawName} is not an option.`;
  if (token.name in read) return `${token.rawName} is given twice. Give it once.`;
  if (option.value === undefined) {
    if (token.value !== undefined) return `${token.rawName} takes no value.`;
    read[token.name] = true;
    return undefined;
  }
  const isMissing = token.value === undefined || (!token.inlineValue && token.value.startsWith('-'));
  if (isMissing || token.value === '')
    return `${token.rawName} needs a value: ${token.rawName} ${option.value}.`;
  try {
    read[token.name] = option.read?.(token.value) ?? token.value;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return `${token.rawName} ${token.value}: ${error.message}`;
  }
  return undefined;
}

/**
 * Reads the words of a script: `--name value` and `--name=value`, each once.
 *
 * @param {{ command: string, does: string, options: Record<string, Option> }} script
 * @param {readonly string[]} words
 * @param {Record<string, string | undefined>} environment
 * @returns {{ ok: true, value: Record<string, any> } | { ok: false, isHelp: boolean, message: string }}
 */
export function understand(script, words, environment = {}) {
  const swallowed = findSwallowed(script, environment);
  if (swallowed !== undefined) return { ok: false, isHelp: false, message: swallowed };
  if (words.includes('--help') || words.includes('-h'))
    return { ok: false, isHelp: true, message: usageOf(script) };
  const { tokens } = parseArgs({
    args: [...words],
    options: Object.fromEntries(
      Object.entries(script.options).map(([name, { value }]) => [
        name,
        { type: value === undefined ? 'boolean' : 'string', multiple: true },
      ]),
    ),
    strict: false,
    allowPositionals: true,
    tokens: true,
  });
  const read = {};
  for (const token of tokens) {
    const problem = readToken(script, token, read);
    if (problem !== undefined)
      return { ok: false, isHelp: false, message: `${problem}\n\n${usageOf(script)}` };
  }
  return { ok: true, value: read };
}

/** The words of this process, understood; ends it with the usage (exit 0) or with what is wrong (exit 2). */
export function wordsOf(script) {
  const understood = understand(script, process.argv.slice(2), process.env);
  if (understood.ok) return understood.value;
  (understood.isHelp ? console.log : console.error)(understood.message);
  process.exit(understood.isHelp ? 0 : 2);
}
