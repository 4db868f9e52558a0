import type { Worker } from 'node:worker_threads';
import { learnElsewhere } from '@/subjects/signature';
import { SignatureLearner } from '@/workers/signature-learner';
import { benchTrouble, storageTroubleOf } from '@/subjects/workshop/settings';
import {
  describeBenchTrouble,
  describeStorageTrouble,
  isRepairedByRestore,
} from '@/subjects/workshop/settings/shared';

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
      `The workshop cannot be opened: ${trouble === undefined ? String(error) : describeStorageTrouble(trouble)}`,
    );
  }
}

// Updates the database to the current schema. If a restore can help, only Restore is served; any other trouble ends the start.
const trouble = open();
if (trouble !== undefined) {
  if (!isRepairedByRestore(trouble)) end(describeBenchTrouble(trouble));
  console.error(describeBenchTrouble(trouble));
  console.error('Until then, only Restore is available.');
}

// Signatures are learned on a thread of their own, so that nobody else waits.
const { mellowThread } = globalThis as { mellowThread?: (name: string) => Worker };
if (mellowThread !== undefined) learnElsewhere(new SignatureLearner(() => mellowThread('signature')));
