import type { Metadata } from 'next';
import { connection } from 'next/server';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { listBlendable } from '@/subjects/resin/shelf';
import { Link, Note } from '@/ui';
import { BlendMixer } from './_components/blend-mixer';

export const metadata: Metadata = { title: 'Mix a blend' };

/** A blend of two resins: its mixture rule and its tests. */
export default async function BlendPage() {
  await connection();
  const resins = listBlendable(bench().db);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/shelf" className="underline">
          Resins
        </Link>
      </p>
      <h1 className="text-3xl">Mix a blend</h1>
      <p className="mt-2 mb-4 max-w-prose text-soft">
        The program can calculate only a range for a mixture. Heat resistance, elongation and impact strength
        stay unknown until you test a bar.
        {benchHouse().schools.mixing === 'neat' &&
          ' Shop setting: use resins undiluted. A blend is an experiment with its own record.'}
      </p>
      {resins.length < 2 ? (
        <Note>
          A blend needs two resins: add them to the{' '}
          <Link href="/shelf" className="underline">
            shelf
          </Link>{' '}
          first.
        </Note>
      ) : (
        <BlendMixer resins={resins} />
      )}
    </div>
  );
}
