import { Command, type CommanderError, Option } from 'commander';
import { version } from '../../package.json';
import type { Arguments } from './arguments';
import { COMMANDS, type CommandWords, GROUPS } from './commands';

/** Called with what a command answered, and whether it is wanted on one line. */
type Answered = (answer: object, isCompact: boolean) => void;

function argumentsOf(command: Command, positionals: readonly string[]): Arguments {
  const values = command.opts<Record<string, string | boolean | undefined>>();
  const options = Object.fromEntries(
    command.options.map((option) => [option.long!.slice(2), values[option.attributeName()]]),
  );
  return { positionals, options };
}

function addCommand(parent: Command, name: string, words: CommandWords, answered: Answered): void {
  const command = parent.command(name).description(words.does).allowExcessArguments(false);
  for (const [argument, text] of words.takes) command.argument(`<${argument}>`, text);
  for (const [flags, text] of words.options ?? []) command.addOption(new Option(flags, text));
  command.option('--json', 'print the JSON answer on one line');
  command.addHelpText('after', `\nExample:\n  ${words.example}`);
  command.action(async () => {
    const given = argumentsOf(command, command.args);
    const run = await words.load();
    answered(await run(given), given.options.json === true);
  });
}

/** The whole command line: every command with its help, and none of their work loaded. */
export function buildProgram(answered: Answered): Command {
  const program = new Command('mellow')
    .description(
      'Calculates for resin printing: signatures, fits, layers, resins, exposure, schedules and failures.',
    )
    .version(version, '-V, --version', 'show the version')
    .helpCommand('help [command]', 'show the help of a command');
  const groups = new Map(
    Object.entries(GROUPS).map(([name, does]) => [name, program.command(name).description(does)]),
  );
  for (const [name, words] of Object.entries(COMMANDS)) {
    const [first, second] = name.split(' ');
    addCommand(second === undefined ? program : groups.get(first)!, second ?? first, words, answered);
  }
  // The caller prints what is wrong, in one line.
  for (const command of [program, ...program.commands, ...program.commands.flatMap((each) => each.commands)])
    command
      .helpOption('-h, --help', 'show this help')
      .exitOverride((error) => {
        throw new Refusal(error, command);
      })
      .configureOutput({ outputError: () => undefined });
  return program;
}

/** Full name of a command as a user types it, such as “mellow mesh check”. */
function nameOf(command: Command): string {
  return command.parent === null ? command.name() : `${nameOf(command.parent)} ${command.name()}`;
}

const HELP = ['commander.helpDisplayed', 'commander.version'];

/** How a line ends that was not carried out: 0 for help and version, 2 for all else, with a sentence unless help was shown. */
export class Refusal extends Error {
  readonly exitCode: number;

  constructor(error: CommanderError, command: Command) {
    const isShown = HELP.includes(error.code) || error.code === 'commander.help';
    super(isShown ? '' : `${sentenceOf(error)} See ${nameOf(command)} --help.`);
    this.exitCode = HELP.includes(error.code) ? 0 : 2;
  }
}

/** What is wrong with a line as a sentence, with the nearest known word where there is one. */
function sentenceOf({ message }: CommanderError): string {
  const [first, ...more] = message
    .replace(/^error: /, '')
    .replace(/\.$/, '')
    .split('\n');
  const hint = more.join(' ').replace(/^\((.*)\)$/, '$1');
  return `${first[0].toUpperCase()}${first.slice(1)}.${hint === '' ? '' : ` ${hint}`}`;
}
