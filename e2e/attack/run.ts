/**
 * npm run attack [-- --short]: attacks a server of its own on the loopback address with a copy of the demo bench, and ends
 * by itself. Exit 1 where anything went through.
 */
import { serveBench } from '../bench-server';
import { bodies, ids, names, strangers } from './attacks';
import { devices, listCallers, pairDevice } from './devices';
import { replays } from './replays';

const isShort = process.argv.includes('--short');
const SHARED = '127.0.0.2';
const server = await serveBench('demo', ['--share', SHARED]);
const shared = `http://${SHARED}:${new URL(server.address).port}`;
let failed = 0;
try {
  console.log('| attack | tries | went through |\n| --- | ---: | ---: |');
  for (const attack of [strangers, devices, replays, bodies, ids, names]) {
    const { attack: name, tries, failures } = await attack(server, { isShort, shared });
    console.log(`| ${name} | ${tries} | ${failures.length} |`);
    for (const failure of failures.slice(0, 20)) console.error(`  ${failure}`);
    failed += failures.length;
  }
  console.log('\n| may call | stranger | paired device | at the machine |\n| --- | --- | --- | --- |');
  const yes = (may: boolean) => (may ? 'yes' : '–');
  for (const { what, stranger, device, machine } of await listCallers(
    server,
    await pairDevice(server, shared),
  ))
    console.log(`| ${what} | ${yes(stranger)} | ${yes(device)} | ${yes(machine)} |`);
} finally {
  await server.stop();
}
process.exit(failed === 0 ? 0 : 1);
