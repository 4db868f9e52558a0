import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/result';
import { summariseSignature } from '@/core/signature';
import type { Db } from '@/store';
import { readHouseRules, writeHouseRules } from '@/subjects/house';
import { sharesForm } from '@/subjects/house/shared';
import { recordReading } from '@/subjects/measure';
import { emptyBench, readyBench } from '@/testing/bench';
import { createProfile, listPrinters, newestSignature, removeForeignLaw, takeForeignLaw } from '../index';
import { describeForeignIssue } from '../shared';

function profileOf(db: Db, printerName: string, resinName: string, layerMm = 0.05): number {
  return expectOk(
    createProfile(db, {
      printerName,
      simulated: true,
      resinName,
      profileName: `${printerName} ${resinName} ${layerMm}`,
      layerMm,
      lot: '',
    }),
  );
}

/** A bench on which one profile was measured: widths that come out 0.10 too wide. */
function measuredBench() {
  const bench = readyBench();
  for (const mm of [20.1, 20.11, 20.1]) expectOk(recordReading(bench.db, bench.reading(bench.width, mm)));
  return bench;
}

const edgeOf = (db: Db, profileId: number) =>
  newestSignature(db, profileId).signature.parameters.find(({ name }) => name === 'edge')!;

test('a new resin on a known printer, and a known resin on a new printer, begin with what relatives lend', () => {
  const { db, profileId } = measuredBench();
  const measured = edgeOf(db, profileId);
  const samePrinter = profileOf(db, 'Long Bench', 'Slate General');
  const sameResin = profileOf(db, 'Old Amber', 'Otter Tough');
  const stranger = profileOf(db, 'Old Amber', 'Slate General');
  const { priorMean, priorSd } = measured;
  for (const [id, same] of [
    [samePrinter, 'printer'],
    [sameResin, 'resin'],
  ] as const) {
    const { lenders } = newestSignature(db, id);
    expect(lenders).toMatchObject([{ profileId, same, readingCount: 3 }]);
    const edge = edgeOf(db, id);
    expect(edge.mean).toBeGreaterThan(priorMean);
    expect(edge.mean).toBeLessThan(measured.mean);
    expect(edge.sd).toBeLessThan(priorSd);
    expect(edge.sd).toBeGreaterThan(measured.sd);
  }
  // Of the edges a resin lends more than a printer does: 0.4 of the variance against 0.3.
  expect(edgeOf(db, sameResin).mean).toBeGreaterThan(edgeOf(db, samePrinter).mean);
  expect(newestSignature(db, stranger).lenders).toEqual([]);
  expect(edgeOf(db, stranger).mean).toBeCloseTo(priorMean, 9);
});

test('another lot lends nearly all, another layer height no more than the printer does', () => {
  const { db, profileId } = measuredBench();
  const edge = edgeOf(db, profileId);
  const other = expectOk(
    createProfile(db, {
      printerName: 'Long Bench',
      simulated: true,
      resinName: 'Otter Tough',
      profileName: 'next lot',
      layerMm: 0.05,
      lot: 'B',
    }),
  );
  const thin = profileOf(db, 'Long Bench', 'Otter Tough', 0.03);
  expect(newestSignature(db, other).lenders[0].same).toBe('both');
  expect(edgeOf(db, other).from).toBe('relatives');
  expect(Math.abs(edgeOf(db, other).mean - edge.mean)).toBeLessThan(
    0.1 * Math.abs(edge.mean - edge.priorMean),
  );
  expect(newestSignature(db, thin).lenders[0].same).toBe('printer');
  expect(edgeOf(db, thin).sd).toBeGreaterThan(edgeOf(db, other).sd);
});

test('what a relative learns reaches a profile that was not measured yet, and is lent once, not back and forth', () => {
  const { db, profileId, width, reading } = measuredBench();
  const sister = profileOf(db, 'Long Bench', 'Slate General');
  const before = edgeOf(db, sister);
  expectOk(recordReading(db, reading(width, 20.3)));
  expect(edgeOf(db, sister).mean).toBeGreaterThan(before.mean);
  // The measured one has no relative with readings: nothing comes back to it.
  expect(newestSignature(db, profileId).lenders).toEqual([]);
  expect(newestSignature(db, profileId).contradiction).toBeUndefined();
});

test('the house says what relatives have in common, and a profile not measured yet follows it at once', () => {
  const { db } = measuredBench();
  const sister = profileOf(db, 'Long Bench', 'Slate General');
  const lent = edgeOf(db, sister);
  const { shares } = readHouseRules(db);
  writeHouseRules(db, { shares: { ...shares, edge: { printer: 0, resin: 0, both: 0.95 } } });
  expect(edgeOf(db, sister).sd).toBeGreaterThan(lent.sd);
  const values = (table: typeof shares) =>
    Object.entries(table).flatMap(([name, own]) =>
      Object.entries(own).map(([by, share]) => [`${by}_${name}`, String(Math.round(Number(share) * 100))]),
    );
  expect(sharesForm.parse(Object.fromEntries(values(shares)))).toEqual(shares);
  const refused = sharesForm.safeParse({ ...Object.fromEntries(values(shares)), printer_edge: '80' });
  expect(refused.error?.issues[0].path).toEqual(['both_edge']);
});

test('a signature of another shop lends half of what one of this bench would, until it is put away', () => {
  const { db, profileId } = measuredBench();
  const measured = newestSignature(db, profileId).signature;
  const text = JSON.stringify(summariseSignature(measured));
  const other = emptyBench();
  const away = profileOf(other, 'Long Bench', 'Otter Tough');
  const [{ id: printerId }] = listPrinters(other);
  const before = edgeOf(other, away);
  const wanted = { name: 'across the street', printerId, text };
  const lawId = expectOk(takeForeignLaw(other, wanted));
  const { lenders } = newestSignature(other, away);
  expect(lenders).toEqual([{ name: 'across the street', same: 'printer' }]);
  const lent = edgeOf(other, away);
  expect(lent.mean).toBeGreaterThan(before.mean);
  expect(lent.sd).toBeLessThan(before.sd);
  // One measured on this bench would lend more.
  expect(lent.sd).toBeGreaterThan(edgeOf(db, profileOf(db, 'Long Bench', 'Slate General')).sd);
  removeForeignLaw(other, lawId);
  expect(edgeOf(other, away).sd).toBeCloseTo(before.sd, 12);
});

test('what is no signature, or shares nothing with this bench, is said', () => {
  const { db } = measuredBench();
  const [{ id: printerId }] = listPrinters(db);
  const said = (wanted: Parameters<typeof takeForeignLaw>[1]) => {
    const taken = takeForeignLaw(db, wanted);
    return taken.ok ? 'taken' : describeForeignIssue(taken.issue);
  };
  expect(said({ name: 'x', text: '{}' })).toContain('which printer or which resin');
  expect(said({ name: 'x', printerId, text: 'no' })).toContain('not JSON');
  expect(said({ name: 'x', printerId, text: '{"parameters":[]}' })).toContain('epsilonX is missing');
});
