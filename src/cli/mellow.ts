/** The command line over the core: npm run -s mellow -- COMMAND … ; see docs/formats.md. */
import { runMeshCheck, runMeshCorrect } from './mesh-command';
import { runSignature } from './signature-command';
import { UsageError } from './usage-error';

const COMMANDS =
  'signature READINGS.csv, mesh check FILE, mesh correct FILE --signature SIGNATURE.json -o OUT.stl';

function run(words: readonly string[]): object {
  const [command, second] = words;
  if (command === 'signature') {
    const { report, notes } = runSignature(words.slice(1));
    for (const note of notes) process.stderr.write(`${note}\n`);
    return report;
  }
  if (command === 'mesh' && second === 'check') return runMeshCheck(words.slice(2));
  if (command === 'mesh' && second === 'correct') return runMeshCorrect(words.slice(2));
  throw new UsageError(
    `${words.length === 0 ? 'no command given' : `“${words.slice(0, 2).join(' ')}” is no command`}. There are: ${COMMANDS}.`,
  );
}

try {
  const answer = run(process.argv.slice(2));
  process.stdout.write(JSON.stringify(answer, null, process.argv.includes('--json') ? 0 : 2) + '\n');
} catch (error) {
  if (!(error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
