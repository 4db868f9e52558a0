'use client';

import { useTap } from '@/app/_components/use-tap';
import { outcomeWords, TEST_TABLE } from '@/core/log';
import type { TestView } from '@/subjects/log';
import { Button, Caution, Link, Problem } from '@/ui';
import { tapSimulatedTest, tapTest } from '../../log-actions';

interface DecidingTestsProps {
  readonly runId: number;
  readonly tests: readonly TestView[];
  /** They can be made on the simulated printer. */
  readonly isSimulated: boolean;
}

/** The test that tells most an hour first, with how to make it and what it showed; the others folded. */
export function DecidingTests({ runId, tests, isSimulated }: DecidingTestsProps) {
  const [best, ...others] = tests.filter(({ outcome }) => outcome === undefined);
  const made = tests.filter(({ outcome }) => outcome !== undefined);
  return (
    <>
      {best !== undefined && (
        <div className="bg-wash px-3 py-2">
          <h3 className="font-semibold">Best test</h3>
          <OneTest runId={runId} test={best} isSimulated={isSimulated} />
        </div>
      )}
      {made.map((test) => (
        <p key={test.name} className="mt-2 text-sm">
          {TEST_TABLE[test.name].title}: <strong>{outcomeWords(test.name, test.outcome!)}</strong>.
        </p>
      ))}
      {others.length > 0 && (
        <details className="mt-2">
          <summary>Other tests</summary>
          {others.map((test) => (
            <div key={test.name} className="mt-2 border-t border-hair pt-2">
              <OneTest runId={runId} test={test} isSimulated={isSimulated} />
            </div>
          ))}
        </details>
      )}
    </>
  );
}

interface OneTestProps {
  readonly runId: number;
  readonly test: TestView;
  readonly isSimulated: boolean;
}

function OneTest({ runId, test: { name, hours, bits, saves }, isSimulated }: OneTestProps) {
  const { problem, isBusy, tap } = useTap();
  const { title, how, outcomes, caution, file } = TEST_TABLE[name];
  return (
    <>
      <p>
        <strong>{title}</strong>{' '}
        <span className="text-sm text-soft" title={`expected information: ${bits.toFixed(2)} bits`}>
          {hours < 1 ? `${Math.round(60 * hours)} minutes` : `${hours.toFixed(1)} h`}
          {saves > 0 && `, expected saving ${saves.toFixed(1)} of the cost of the next print`}
        </span>
      </p>
      <p className="text-sm">
        {how}
        {file !== undefined && (
          <>
            {' '}
            <Link href={`/api/deciding?run=${runId}&test=${name}`} className="underline">
              {file}
            </Link>
          </>
        )}
      </p>
      {caution !== undefined && <Caution>{caution}</Caution>}
      <p className="mt-1 flex flex-wrap gap-2">
        {outcomes.map(({ name: outcome, words }) => (
          <Button
            key={outcome}
            disabled={isBusy}
            onClick={() => tap((key) => tapTest(key, runId, { test: name, outcome }))}
          >
            {words}
          </Button>
        ))}
        {isSimulated && (
          <Button disabled={isBusy} onClick={() => tap((key) => tapSimulatedTest(key, runId, name))}>
            Run test (simulated)<span className="sr-only">: {title}</span>
          </Button>
        )}
      </p>
      {problem !== '' && <Problem>{problem}</Problem>}
    </>
  );
}
