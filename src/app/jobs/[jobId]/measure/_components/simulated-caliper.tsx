'use client';

import { formatMm } from '@/core/kit/wording';
import { useRef, useState } from 'react';
import type { Result } from '@/core/kit';
import { describeSimulatedIssue, type SimulatedIssue } from '@/subjects/simulated/shared';
import { useShortcuts } from '@/ui';

interface SimulatedCaliperProps {
  readonly featureId: number;
  readonly printId: number;
  readonly instrumentId: number;
  /** Number of this closing of the jaws; each one reads differently. */
  readonly closing: number;
  /** Close to the plate, on the elephant's foot. */
  readonly isLow: boolean;
  readonly onTyped: (text: string) => void;
  readonly onSend: (text: string) => void;
  readonly onProblem: (problem: string) => void;
}

const PER_KEY_MS = 35;

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A small caliper on the screen: closes its jaws on the simulated print, then types what it shows and Enter. */
export function SimulatedCaliper(props: SimulatedCaliperProps) {
  const [display, setDisplay] = useState('0.00');
  const busy = useRef(false);
  const read = async () => {
    const { featureId, printId, closing, instrumentId, isLow } = props;
    const response = await fetch(
      `/api/simulated?feature=${featureId}&print=${printId}&closing=${closing}&instrument=${instrumentId}${isLow ? '&low' : ''}`,
    );
    const shown = (await response.json()) as Result<number, SimulatedIssue>;
    if (!shown.ok) return props.onProblem(describeSimulatedIssue(shown.issue));
    const text = formatMm(shown.value);
    setDisplay(text);
    for (let length = 1; length <= text.length; length++) {
      props.onTyped(text.slice(0, length));
      await wait(PER_KEY_MS);
    }
    props.onSend(text);
  };
  const close = () => {
    if (busy.current) return;
    busy.current = true;
    read()
      .catch(() => props.onProblem('The simulated caliper did not respond. Try again.'))
      .finally(() => (busy.current = false));
  };
  useShortcuts([{ key: 'c', does: 'close the simulated caliper’s jaws', run: close, onEmptyField: true }]);
  return (
    <button
      type="button"
      onClick={close}
      title="Simulated caliper"
      className="flex min-h-12 items-center gap-2 rounded-[5px] border border-edge bg-ground px-2.5 max-lg:min-h-16"
    >
      <JawsDrawing />
      <span className="sr-only">Close the jaws of the simulated caliper</span>
      <span className="num bg-wash px-2 py-0.5 text-lg">{display}</span>
      <kbd>c</kbd>
    </button>
  );
}

function JawsDrawing() {
  return (
    <svg viewBox="0 0 44 22" className="h-5 w-10 fill-none stroke-ink" aria-hidden>
      <path d="M2 6H42V11H2zM4 11v9l4 -3v-6M22 11v9l-4 -3v-6M6 6V2M20 6V2" strokeWidth={1.3} />
    </svg>
  );
}
