'use client';

import { Button } from '@/ui';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <div className="px-6 py-8">
      <h1 className="text-2xl">This page could not be loaded</h1>
      <p className="mt-2 mb-4">
        Your saved readings are safe. Try again. If it fails again,{' '}
        <a href="/rescue" className="underline">
          open Rescue
        </a>{' '}
        to check the database or restore a backup.
      </p>
      <Button weight="main" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
