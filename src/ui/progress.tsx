'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useShortcuts } from './shortcuts/shortcuts';
import { Link } from './link';

/** A step of a job's thread; it keeps its number while earlier ones do not exist yet. */
export interface ProgressStep {
  readonly number: number;
  readonly label: string;
  readonly href: string;
  /** How complete it is, 0 to 1. */
  readonly settled: number;
}

const WAIT_FOR_DIGIT_MS = 2000;
const TICKS = 10;

/** The thread as a measuring tape: each step a graduation that fills as it settles. */
export function Tape({ steps }: { steps: readonly ProgressStep[] }) {
  const pathname = usePathname();
  const router = useRouter();
  const [jumping, setJumping] = useState(false);
  const at = steps.findIndex(({ href }) => pathname.startsWith(href));
  const [before, after] = [steps[at - 1], steps[at + 1]];
  useEffect(() => {
    if (!jumping) return;
    const timer = setTimeout(() => setJumping(false), WAIT_FOR_DIGIT_MS);
    return () => clearTimeout(timer);
  }, [jumping]);
  const go = (step: ProgressStep | undefined) => step !== undefined && router.push(step.href);
  const digits = steps.map((step) => ({
    key: String(step.number),
    does: `${step.label} (after g)`,
    onEmptyField: true,
    run: () => {
      setJumping(false);
      go(step);
    },
  }));
  useShortcuts([
    { key: 'PageDown', does: 'Next step of the job', run: () => go(after) },
    { key: 'PageUp', does: 'Previous step of the job', run: () => go(before) },
    {
      key: 'g',
      does: `then ${steps.map(({ number }) => number).join(', ')}: go to that step`,
      run: () => setJumping(true),
      onEmptyField: true,
    },
    ...(jumping ? digits : []),
  ]);
  return (
    <nav aria-label="Job steps" className="no-print">
      <ol className="hidden max-w-3xl sm:flex">
        {steps.map((step, i) => (
          <li key={step.href} className="min-w-0 flex-1">
            <ProgressLink step={step} current={i === at} last={i === steps.length - 1} />
          </li>
        ))}
      </ol>
      <div className="flex items-center justify-between sm:hidden">
        <StepArrow step={before} side="before" />
        <span className="font-semibold">
          <span className="num">{steps[at]?.number}</span> {steps[at]?.label}
        </span>
        <StepArrow step={after} side="after" />
      </div>
    </nav>
  );
}

function ProgressLink({ step, current, last }: { step: ProgressStep; current: boolean; last: boolean }) {
  const share = Math.round(Math.min(1, Math.max(0, step.settled)) * 100);
  return (
    <Link href={step.href} aria-current={current ? 'step' : undefined} className="block pt-1">
      <span className="flex items-baseline justify-between px-2 pb-1">
        <span className={current ? 'font-semibold' : share === 100 ? 'text-juniper' : 'text-soft'}>
          {step.label}
        </span>
        <span className="num text-xs text-soft">{step.number}</span>
        <span className="sr-only">{share} % complete</span>
      </span>
      <svg
        className="block h-4 w-full overflow-visible"
        aria-hidden
        preserveAspectRatio="none"
        viewBox={`0 0 ${TICKS} 16`}
      >
        <rect width={(TICKS * share) / 100} height={5} className="fill-juniper" />
        <path d={`M0 5H${TICKS}`} className="stroke-edge" vectorEffect="non-scaling-stroke" />
        {Array.from({ length: TICKS + (last ? 1 : 0) }, (_, i) => (
          <path
            key={i}
            d={`M${i} 5v${i % TICKS === 0 ? 9 : i % 5 === 0 ? 6 : 4}`}
            className="stroke-edge"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <span className={`block h-1 ${current ? 'bg-ink' : ''}`} aria-hidden />
    </Link>
  );
}

function StepArrow({ step, side }: { step: ProgressStep | undefined; side: 'before' | 'after' }) {
  const Icon = side === 'before' ? ChevronLeft : ChevronRight;
  if (step === undefined) return <span className="size-11" />;
  return (
    <Link
      href={step.href}
      className="flex size-11 items-center justify-center"
      aria-label={`${side === 'before' ? 'Back to' : 'Next:'} ${step.label}`}
    >
      <Icon aria-hidden />
    </Link>
  );
}
