/** The command line over the core: `mellow COMMAND …`; see docs/formats.md. */
import { CommanderError } from 'commander';
import { buildProgram, refusalOf } from './program';
import { UsageError } from './usage-error';

const program = buildProgram((answer, isCompact) => {
  process.stdout.write(`${JSON.stringify(answer, null, isCompact ? 0 : 2)}\n`);
});

try {
  await program.parseAsync();
} catch (error) {
  const refused =
    error instanceof CommanderError
      ? refusalOf(error)
      : error instanceof UsageError
        ? { exitCode: 2, message: error.message }
        : undefined;
  if (refused === undefined) throw error;
  if (refused.message !== undefined) process.stderr.write(`${refused.message}\n`);
  process.exitCode = refused.exitCode;
}
