import type { Worker } from 'node:worker_threads';
import { learnElsewhere } from '@/subjects/printing';
import { SignatureLearner } from '@/workers/signature-learner';
import { benchTrouble, storageTroubleOf } from '@/subjects/house';
import { describeBenchTrouble, describeStorageTrouble, isMendedByRestore } from '@/subjects/house/shared';

function end(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

function open(): ReturnType<typeof benchTrouble> {
  try {
    return benchTrouble();
  } catch (error) {
    const trouble = storageTroubleOf(error);
    return end(
      `The bench cannot be opened: ${trouble === undefined ? String(error) : describeStorageTrouble(trouble)}`,
    );
  }
}

// Brings the database to the current schema. What a restore can mend is served that far; anything else is no server.
const trouble = open();
if (trouble !== undefined) {
  if (!isMendedByRestore(trouble)) end(describeBenchTrouble(trouble));
  console.error(describeBenchTrouble(trouble));
  console.error('Only Restore is served until then.');
}

// Signatures are learned on a thread of their own, so that nobody else waits.
const { mellowThread } = globalThis as { mellowThread?: (name: string) => Worker };
if (mellowThread !== undefined) learnElsewhere(new SignatureLearner(() => mellowThread('signature')));
