import type { Metadata } from 'next';
import { connection } from 'next/server';
import { EVIDENCE, evidenceLine, tablesOf, TEST_TABLE, TESTS } from '@/core/log';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { Link } from '@/ui';
import { LineFields, PriorFields } from './_components/line-fields';

export const metadata: Metadata = { title: 'Failure causes' };

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The tables that failures are read by, each line with its reason, to be changed by a house that knows better. */
export default async function CausesPage() {
  await connection();
  const { folder } = bench();
  const { causes: edits } = benchHouse();
  const tables = tablesOf(edits);
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/house" className="underline">
          Settings
        </Link>
      </p>
      <h1 className="text-3xl">Failure causes</h1>
      <p className="mt-2 max-w-prose text-soft">
        Each cause has a start chance, and each observation is more or less likely under each cause. The
        program calculates the chances under Likely causes from these numbers. The defaults come with their
        reasons; change what your shop knows better. Confirmed causes are counted beside them.
      </p>
      <div key={folder} className="mt-6 space-y-8">
        <section aria-labelledby="prior-title">
          <h2 id="prior-title" className="mb-2 text-lg">
            Share of each cause in 100 failures
          </h2>
          <PriorFields prior={tables.prior} isOwn={edits.prior !== undefined} />
        </section>
        <section aria-labelledby="evidence-title">
          <h2 id="evidence-title" className="mb-2 text-lg">
            Observations: frequency in 100 failures of each cause
          </h2>
          {EVIDENCE.map((name) => (
            <LineFields
              key={name}
              line={{ of: 'evidence', name }}
              title={capital(evidenceLine(name).yes)}
              why={tables.evidence[name].why}
              chances={tables.evidence[name]}
              isOwn={edits.evidence?.[name] !== undefined}
            />
          ))}
        </section>
        <section aria-labelledby="tests-title">
          <h2 id="tests-title" className="mb-2 text-lg">
            Test results: frequency in 100 failures of each cause
          </h2>
          {TESTS.map((name) => (
            <LineFields
              key={name}
              line={{ of: 'tests', name }}
              title={`${TEST_TABLE[name].title}: ${tables.tests[name].outcomes[0].words}`}
              why={tables.tests[name].why}
              chances={tables.tests[name]}
              isOwn={edits.tests?.[name] !== undefined}
            />
          ))}
        </section>
      </div>
    </div>
  );
}
