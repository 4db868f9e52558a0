'use client';

import { Tabs } from '@/ui';
import { ChainPanel } from './chain-panel';
import type { DeskResin, PressStart } from './fit-types';
import { FasteningPanel } from './fastening-panel';
import { PressPanel } from './press-panel';
import { RulesPanel } from './rules-panel';
import { SnapPanel } from './snap-panel';
import { StandardPartsPanel } from './standard-parts-panel';

interface FitDeskProps {
  readonly jobId: number;
  readonly resin?: DeskResin;
  readonly features: readonly { readonly id: number; readonly name: string }[];
  readonly presses: readonly PressStart[];
}

/** The arithmetic of holding together, at hand: press, snap, screw, chains, standard sizes, rules. */
export function FitDesk({ jobId, resin, features, presses }: FitDeskProps) {
  return (
    <section aria-labelledby="desk-title">
      <h2 id="desk-title" className="mb-1 text-lg">
        Fastening
      </h2>
      <Tabs
        label="Fastening methods"
        tabs={[
          {
            id: 'press',
            label: 'Press fit',
            content: <PressPanel jobId={jobId} resin={resin} starts={presses} />,
          },
          { id: 'snap', label: 'Snap hook', content: <SnapPanel jobId={jobId} resin={resin} /> },
          { id: 'screw', label: 'Screws', content: <FasteningPanel jobId={jobId} resin={resin} /> },
          {
            id: 'chain',
            label: 'Tolerance chain',
            content: <ChainPanel jobId={jobId} features={features} />,
          },
          { id: 'parts', label: 'Standard parts', content: <StandardPartsPanel /> },
          { id: 'rules', label: 'Lead-ins and facets', content: <RulesPanel /> },
        ]}
      />
    </section>
  );
}
