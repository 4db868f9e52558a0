/**
 * Does one write on a data folder, for a crash to end it: reports that it is ready, and starts on command. Usage: …
 * one-write.ts WRITE ROOT
 */
import { once } from 'node:events';
import { expectOk } from '@/core/kit';
import { openBenchAt } from '@/store';
import { WRITES } from './writes';

const [write, root] = process.argv.slice(2);
console.log('ready');
await once(process.stdin, 'data');
const held = expectOk(openBenchAt(root));
await WRITES[write](expectOk(held.opened));
process.exit(0);
