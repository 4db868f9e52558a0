'use client';

import { Button } from '@/ui';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <div className="px-6 py-8">
      <h1 className="text-2xl">This page could not be made</h1>
      <p className="mt-2 mb-4">
        Readings already taken are safe. Try once more; if it fails again,{' '}
        <a href="/rescue" className="underline">
          look after the bench
        </a>
        : there its database is checked, and a backup can be restored.
      </p>
      <Button weight="main" onClick={reset}>
        Try once more
      </Button>
    </div>
  );
}
