'use client';

import { usePathname } from 'next/navigation';
import { FindAndKeys } from './find-and-keys';
import { ThemeSwitch, type Theme } from './theme-switch';
import { Link } from './link';

const PLACES = [
  { href: '/', label: 'Today' },
  { href: '/printers', label: 'Printers' },
  { href: '/shelf', label: 'Resins' },
  { href: '/gauges', label: 'Gauges' },
  { href: '/house', label: 'Settings' },
];

function isHere(pathname: string, href: string): boolean {
  return href === '/' ? pathname === '/' : pathname.startsWith(href);
}

interface PlaceBarProps {
  readonly benchName: string;
  readonly theme: Theme;
}

/** The slim bar of places at the top of every screen. */
export function PlaceBar({ benchName, theme }: PlaceBarProps) {
  const pathname = usePathname();
  return (
    <header className="place-bar flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-hair px-4 py-2 sm:px-6 sm:py-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <Link href="/" className="font-serif text-xl font-semibold">
          Mellow Caliper
        </Link>
        <nav aria-label="Places" className="flex gap-5">
          {PLACES.map(({ href, label }) => (
            <Link
              key={href}
              href={href}
              aria-current={isHere(pathname, href) ? 'page' : undefined}
              className={`py-1 ${isHere(pathname, href) ? 'font-semibold' : 'text-soft hover:text-ink'}`}
            >
              {label}
            </Link>
          ))}
        </nav>
      </div>
      <div className="flex items-center gap-4">
        <FindAndKeys />
        <span className="hidden text-soft lg:inline">{benchName}</span>
        <ThemeSwitch initial={theme} />
      </div>
    </header>
  );
}
