/**
 * npm run attack [-- --short]: attacks a server of its own on the loopback address with a copy of the demo bench, and ends
 * by itself. Exit 1 where anything went through.
 */
import { serveBench } from '../bench-server';
import { bodies, ids, names, strangers } from './attacks';

const isShort = process.argv.includes('--short');
const server = await serveBench('demo');
let failed = 0;
try {
  console.log('| attack | tries | went through |\n| --- | ---: | ---: |');
  for (const attack of [strangers, bodies, ids, names]) {
    const { attack: name, tries, failures } = await attack(server, { isShort });
    console.log(`| ${name} | ${tries} | ${failures.length} |`);
    for (const failure of failures.slice(0, 20)) console.error(`  ${failure}`);
    failed += failures.length;
  }
} finally {
  await server.stop();
}
process.exit(failed === 0 ? 0 : 1);
