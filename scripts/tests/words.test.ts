import { expect, test } from '@jest/globals';
import { SERVE_OPTIONS } from '../serve.mjs';
import { understand } from '../words.mjs';

const demo = {
  command: 'npm run demo',
  does: 'Serves a workshop.',
  options: { ...SERVE_OPTIONS, fresh: { text: 'starts over' } },
};
const read = (...words: string[]) => understand(demo, words);

test.each([
  [['--port', '4400'], { port: 4400 }],
  [['--port=4400', '--fresh'], { port: 4400, fresh: true }],
  [['--share=127.0.0.2'], { share: '127.0.0.2' }],
  [['--data', 'x', '--share', '127.0.0.3'], { data: 'x', share: '127.0.0.3' }],
  [[], {}],
])('%j is understood', (words, value) => expect(read(...words)).toEqual({ ok: true, value }));

test.each([
  [['--prot', '4400'], '--prot is not an option.'],
  [['--port'], '--port needs a value: --port N.'],
  [['--port='], '--port needs a value: --port N.'],
  [['--port', '--fresh'], '--port needs a value: --port N.'],
  [['--port', '99999'], '--port 99999: a port is a whole number from 1 to 65535.'],
  [['--port', '1', '--port', '2'], '--port is given twice. Give it once.'],
  [['--fresh', '--fresh'], '--fresh is given twice. Give it once.'],
  [['--fresh=yes'], '--fresh takes no value.'],
  [['--share', '127.0.0.1'], '--share 127.0.0.1: that address is served already'],
  [['fresh'], '“fresh” is not understood.'],
  [['--', 'x'], '“x” is not understood.'],
  [['-p', '1'], '-p is not an option.'],
  [['--PORT', '1'], '--PORT is not an option.'],
])('%j is refused, with the usage', (words, says) => {
  const answer = read(...words);
  expect(answer).toMatchObject({ ok: false, isHelp: false });
  const { message } = answer as { message: string };
  expect(message).toContain(says);
  expect(message).toContain('npm run demo -- [options]');
});

test('--help shows every option, whatever stands beside it', () => {
  const answer = read('--prot', '--help');
  expect(answer).toMatchObject({ ok: false, isHelp: true });
  for (const name of ['--port N', '--share ADDRESS', '--data FOLDER', '--fresh', '--help'])
    expect((answer as { message: string }).message).toContain(name);
});

test('a word that npm took for itself is told with the two dashes', () => {
  expect(understand(demo, ['4400'], { npm_config_port: 'true' })).toMatchObject({
    ok: false,
    message: 'npm took --port for itself. Put two dashes before it: npm run demo -- --port N',
  });
});
