/** The command line over the core: `mellow COMMAND …`; see docs/formats.md. */
import { buildProgram, Refusal } from './program';
import { UsageError } from './usage-error';

const program = buildProgram((answer, isCompact) => {
  process.stdout.write(`${JSON.stringify(answer, null, isCompact ? 0 : 2)}\n`);
});

try {
  await program.parseAsync();
} catch (error) {
  if (!(error instanceof Refusal || error instanceof UsageError)) throw error;
  if (error.message !== '') process.stderr.write(`${error.message}\n`);
  process.exitCode = error instanceof Refusal ? error.exitCode : 2;
}
