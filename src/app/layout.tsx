import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { benchTrouble, frameOfBench } from '@/subjects/workshop/settings';
import { NonceProvider, PlaceBar, ShortcutProvider, type Theme, UnsavedNotice } from '@/ui';

export const metadata: Metadata = {
  title: { default: 'Mellow Caliper', template: '%s · Mellow Caliper' },
  description: 'Measures resin prints, learns how the printer prints, and computes what to draw next.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** The frame of every page: theme, fonts, bar and keys. */
export default async function RootLayout({ children }: { children: ReactNode }) {
  await connection();
  const [cookieJar, header] = [await cookies(), await headers()];
  const theme: Theme = cookieJar.get('theme')?.value === 'dark' ? 'dark' : 'light';
  const { house } = frameOfBench();
  // A workshop that cannot be opened has no pages to go to.
  const isOpen = benchTrouble() === undefined;
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <NonceProvider nonce={header.get('x-nonce') ?? undefined}>
          <ShortcutProvider letterKeys={house.letterKeys}>
            <a href="#work" className="skip-link">
              Skip to main content
            </a>
            {isOpen && <PlaceBar benchName={house.benchName} theme={theme} />}
            <UnsavedNotice />
            <main id="work" tabIndex={-1} className="outline-none">
              {children}
            </main>
          </ShortcutProvider>
        </NonceProvider>
      </body>
    </html>
  );
}
