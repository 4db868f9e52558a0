import { spawnSync } from 'node:child_process';

/** What a run of the command line came to. */
export interface MellowRun {
  readonly status: number | null;
  readonly stdout: string;
  readonly stderr: string;
  readonly json: () => unknown;
}

/** Runs the command line as a person does. */
export function mellow(...words: string[]): MellowRun {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['bin/mellow.mjs', ...words], {
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '' },
    maxBuffer: 64 * 1024 * 1024,
  });
  return { status, stdout, stderr, json: () => JSON.parse(stdout) as unknown };
}

/** Words as the command line hands them to a command's work: arguments in order, and options with their values. */
export function asGiven(...words: string[]): {
  readonly positionals: readonly string[];
  readonly options: Readonly<Record<string, string>>;
} {
  const positionals: string[] = [];
  const options: Record<string, string> = {};
  for (let i = 0; i < words.length; i++) {
    if (words[i].startsWith('--')) options[words[i].slice(2)] = words[++i];
    else positionals.push(words[i]);
  }
  return { positionals, options };
}
