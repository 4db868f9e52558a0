import type { DecisionWords } from '@/subjects/workshop/records/shared';

export interface GaugeEntry {
  readonly code: 'gaugeDrawn';
}

export function describeGaugeEntry(entry: GaugeEntry): DecisionWords {
  switch (entry.code) {
    case 'gaugeDrawn':
      return {
        title: 'Gauge created',
        detail: 'printed as drawn; its deviations are the result',
      };
  }
}
