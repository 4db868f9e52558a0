/** The command line over the core: npm run -s mellow -- COMMAND … ; see docs/formats.md. */
import { runIso286, runLadder, runPress, runSnap } from './fit-commands';
import { runGauge } from './gauge-command';
import { runLightStrips, runLightTrim } from './light-commands';
import { runLogCause, runLogWhere } from './log-commands';
import { runMeshCheck, runMeshCorrect, runMeshFeatures } from './mesh-command';
import { runPlan, runRun } from './run-commands';
import { runResinRank } from './resin-command';
import { runSignature } from './signature-command';
import { UsageError } from './usage-error';
import { quoted } from '@/subjects/language/shared';

const COMMANDS =
  'signature READINGS.csv, ladder OUTCOMES.csv, press, snap, iso286 SIZE FIT, gauge KIND -o FILE.stl, resin rank REQUIREMENT.json, mesh check FILE, mesh features FILE, mesh correct FILE --signature SIGNATURE.json -o OUT.stl, run RUN.json, plan DAY.json, light strips STRIPS.csv, light trim TRIM.json, log where PLACES.json, log cause CAUSE.json';

const FIT_COMMANDS: Readonly<Record<string, (words: readonly string[]) => object | Promise<object>>> = {
  press: runPress,
  snap: runSnap,
  iso286: runIso286,
  gauge: runGauge,
  run: runRun,
  plan: runPlan,
};

const COMMANDS_OF_TWO: Readonly<Record<string, (words: readonly string[]) => object | Promise<object>>> = {
  'resin rank': runResinRank,
  'mesh check': runMeshCheck,
  'mesh features': runMeshFeatures,
  'mesh correct': runMeshCorrect,
  'light strips': runLightStrips,
  'light trim': runLightTrim,
  'log where': runLogWhere,
  'log cause': runLogCause,
};

function run(words: readonly string[]): object | Promise<object> {
  const [command, second] = words;
  if (command === 'signature') {
    const { report, notes } = runSignature(words.slice(1));
    for (const note of notes) process.stderr.write(`${note}\n`);
    return report;
  }
  if (command === 'ladder') {
    const { report, note } = runLadder(words.slice(1));
    if (note !== undefined) process.stderr.write(`${note}\n`);
    return report;
  }
  const fit = FIT_COMMANDS[command ?? ''];
  if (fit !== undefined) return fit(words.slice(1));
  const ofTwo = COMMANDS_OF_TWO[`${command} ${second}`];
  if (ofTwo !== undefined) return ofTwo(words.slice(2));
  throw new UsageError(
    `${words.length === 0 ? 'no command given' : `“${quoted(words.slice(0, 2).join(' '))}” is no command`}. There are: ${COMMANDS}.`,
  );
}

try {
  const answer = await run(process.argv.slice(2));
  process.stdout.write(JSON.stringify(answer, null, process.argv.includes('--json') ? 0 : 2) + '\n');
} catch (error) {
  if (!(error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
