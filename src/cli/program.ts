import { Command, CommanderError, Option } from 'commander';
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
  // What is wrong is told by whoever called, in one line.
  for (const command of [program, ...program.commands, ...program.commands.flatMap((each) => each.commands)])
    command
      .helpOption('-h, --help', 'show this help')
      .exitOverride()
      .configureOutput({ outputError: () => undefined });
  return program;
}

const HELP = ['commander.helpDisplayed', 'commander.version'];

/** How a line that commander could not follow ends: help and version as asked, all else with what is wrong. */
export function refusalOf(error: CommanderError): { readonly exitCode: number; readonly message?: string } {
  if (HELP.includes(error.code)) return { exitCode: 0 };
  // A group without its command: its help was printed already.
  if (error.code === 'commander.help') return { exitCode: 2 };
  const [first, ...more] = error.message
    .replace(/^error: /, '')
    .replace(/\.$/, '')
    .split('\n');
  const hint = more.join(' ').replace(/^\((.*)\)$/, '$1');
  const sentence = `${first[0].toUpperCase()}${first.slice(1)}.`;
  return { exitCode: 2, message: `${sentence}${hint === '' ? '' : ` ${hint}`} See mellow --help.` };
}
