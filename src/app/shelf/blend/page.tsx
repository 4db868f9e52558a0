import type { Metadata } from 'next';
import { connection } from 'next/server';
import { bench, benchHouse } from '@/subjects/house';
import { listBlendable } from '@/subjects/resin';
import { Link, Note } from '@/ui';
import { BlendMixer } from './_components/blend-mixer';

export const metadata: Metadata = { title: 'Mix a blend' };

/** A blend of two resins: its mixture rule and its proofs. */
export default async function BlendPage() {
  await connection();
  const resins = listBlendable(bench().db);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/shelf" className="underline">
          Shelf
        </Link>
      </p>
      <h1 className="text-3xl">Mix a blend</h1>
      <p className="mt-2 mb-4 max-w-prose text-soft">
        What can be worked out of a mixture is an interval; heat, elongation and knocks stay unknown until a
        bar of it was tested.
        {benchHouse().schools.mixing === 'neat' &&
          ' This house uses resins neat: a blend is an experiment with a record of its own.'}
      </p>
      {resins.length < 2 ? (
        <Note>
          A blend takes two resins: put them on the{' '}
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
