import { type Db, kindOf, queries } from '@/store';
import { nameAsPrinted } from './name-as-printed';
import { formatReadingsCsv } from './input-readings-csv';

/** A job's standing readings as readings.csv. */
export function exportReadings(db: Db, jobId: number): string {
  const rows = queries.listStandingReadings(db, queries.ofJob(jobId)).map((reading) => ({
    feature: nameAsPrinted(reading),
    kind: kindOf(reading.printed),
    drawnMm: reading.drawnMm,
    print: reading.printName,
    state: reading.session.state,
    readingMm: reading.readingMm,
    warm: reading.session.warm,
    instrument: reading.instrument.name,
    zeroMm: reading.session.zeroMm,
    partC: reading.session.partC ?? undefined,
    instrumentC: reading.session.instrumentC ?? undefined,
    heightMm: reading.heightMm ?? undefined,
    takenAt: reading.takenAt.toISOString(),
    key: reading.clientKey,
  }));
  return formatReadingsCsv(rows);
}
