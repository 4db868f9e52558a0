'use client';

import { formatMm, formatSigned } from '@/core/kit/wording';
import { Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import { Button, Dialog } from '@/ui';
import type { BenchProps } from './bench-types';
import { CsvPanel } from './csv-panel';
import { PieceDialog } from './piece-dialog';
import type { PieceOnBench } from './use-check-piece';

/** The part's temperature, and whether the resin's own growth is known where it is corrected for. */
function warmthWords(partC: number | null, expansionStated: boolean): string {
  if (partC === null) return 'temperature not measured';
  return expansionStated ? `${partC} °C` : `${partC} °C, resin expansion assumed as 90 µm/m·K`;
}

interface SessionLineProps {
  readonly sound: { readonly isOn: boolean; readonly toggle: () => void };
  /** A piece of known size is read next. */
  readonly onCheck: (piece: PieceOnBench) => void;
}

/** What holds for all readings of this sitting, in one line. */
export function SessionLine({
  jobId,
  printName,
  session,
  checkedJaws,
  rule,
  expansionStated,
  sound,
  pieces,
  onCheck,
}: BenchProps & SessionLineProps) {
  const [csv, setCsv] = useState(false);
  const [isChecking, setChecking] = useState(false);
  const { instrument } = session;
  const facts = [
    `print ${printName}`,
    session.warm ? `${session.state}, still warm` : session.state,
    `${instrument.name} ± ${formatMm(instrument.mpeMm, 3)}`,
    ...checkedJaws.map(
      ({ jaw, meanMm }) => `${jaw} jaws ${formatSigned(meanMm, 3)} mm, subtracted (from the caliper check)`,
    ),
    `zero ${formatMm(session.zeroMm)}`,
    warmthWords(session.partC, expansionStated),
    rule === 'guarded' ? 'decision rule: guarded' : 'decision rule: shared risk',
  ];
  const Icon = sound.isOn ? Volume2 : VolumeX;
  return (
    <div className="mb-2 flex flex-wrap items-center justify-between gap-2 text-sm text-soft">
      <p className="min-w-60 flex-1">{facts.join(' · ')}</p>
      <span className="flex items-center gap-2">
        <button
          type="button"
          onClick={sound.toggle}
          aria-pressed={sound.isOn}
          aria-label="Sound for each reading"
          className="p-2 hover:text-ink"
        >
          <Icon size={16} aria-hidden />
        </button>
        <Button className="py-1" onClick={() => setChecking(true)}>
          Check caliper
        </Button>
        <Button className="py-1" onClick={() => setCsv(true)}>
          Import or export readings
        </Button>
      </span>
      <PieceDialog open={isChecking} onOpenChange={setChecking} pieces={pieces} onStart={onCheck} />
      <Dialog open={csv} onOpenChange={setCsv} title="Import or export readings">
        <CsvPanel jobId={jobId} />
      </Dialog>
    </div>
  );
}
