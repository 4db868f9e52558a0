'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** How often a page asks again while a newer signature is being learned, ms. */
const ASK_AGAIN_MS = 1500;

/** What is shown is the last estimate; the page asks again until the newer one is there. */
export function BeingBroughtUpToDate() {
  const router = useRouter();
  useEffect(() => {
    const asking = setInterval(() => router.refresh(), ASK_AGAIN_MS);
    return () => clearInterval(asking);
  }, [router]);
  return (
    <p role="status" className="no-print mt-3 border-l-4 border-honey py-1 pl-3">
      Predictions and chances show the last estimate. A new one is being computed.
    </p>
  );
}
