import type { LedgerWords } from '@/subjects/records/shared';

export interface GaugeEntry {
  readonly code: 'gaugeDrawn';
}

export function describeGaugeEntry(entry: GaugeEntry): LedgerWords {
  switch (entry.code) {
    case 'gaugeDrawn':
      return { title: 'Gauge drawn', detail: 'printed as drawn: what the printer does to it is the result' };
  }
}
