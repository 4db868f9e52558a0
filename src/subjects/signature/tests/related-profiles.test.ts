import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import { summariseSignature } from '@/core/signature';
import { type Db, tables } from '@/store';
import { readHouseRules, writeHouseRules } from '@/subjects/workshop/settings';
import { sharesForm } from '@/subjects/workshop/settings/shared';
import { recordReading } from '@/subjects/measure/readings';
import { emptyBench, readyBench } from '@/testing/bench';
import {
  createProfile,
  listForeign,
  listPrinters,
  newestSignature,
  removeForeignLaw,
  takeForeignLaw,
} from '../index';
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

/** A workshop where one profile was measured: widths that print 0.10 too wide. */
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
  // For edges the same resin shares more than the same printer: 0.4 of the variance against 0.3.
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
  // The measured one has no related profile with readings: nothing comes back to it.
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
  // One measured in this workshop would share more.
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
  expect(said({ name: 'x', printerId, text: 'no' })).toContain('not valid JSON');
  expect(said({ name: 'x', printerId, text: '{"parameters":[]}' })).toContain('epsilonX is missing');
});

describe('a signature of another shop that cannot be used', () => {
  /** A signature as its file holds it, and what a person may have done to that file. */
  function fileOf() {
    const { db, profileId } = measuredBench();
    const { parameters, covariance } = JSON.parse(
      JSON.stringify(summariseSignature(newestSignature(db, profileId).signature)),
    ) as { parameters: { name: string; mean: number; sd: number }[]; covariance: number[][] };
    return { parameters, covariance };
  }

  const takeIn = (db: Db, file: unknown, name = 'x') =>
    takeForeignLaw(db, { name, printerId: listPrinters(db)[0].id, text: JSON.stringify(file) });

  test.each<[string, (file: ReturnType<typeof fileOf>) => void, string]>([
    ['a mean beyond all printers', ({ parameters }) => void (parameters[4].mean = 1e6), 'the mean of edge'],
    ['a covariance of nothing', ({ covariance }) => covariance.forEach((row) => row.fill(0)), 'the sd of'],
    ['an sd beyond the prior', ({ covariance }) => void (covariance[4][4] = 1e12), 'the sd of edge'],
    ['two halves that differ', ({ covariance }) => void (covariance[0][1] *= 1.5), 'is given twice'],
    [
      'a correlation above one',
      ({ covariance }) => {
        const both = 1.2 * Math.sqrt(covariance[4][4] * covariance[5][5]);
        [covariance[4][5], covariance[5][4]] = [both, both];
      },
      'not positive definite',
    ],
  ])('%s is refused with what is wrong', (_what, spoil, says) => {
    const { db } = measuredBench();
    const file = fileOf();
    spoil(file);
    const taken = takeIn(db, file);
    expect(taken.ok ? 'taken' : describeForeignIssue(taken.issue)).toContain(says);
  });

  test('the same file under another name counts once', () => {
    const { db } = measuredBench();
    const file = fileOf();
    expectOk(takeIn(db, file, 'first'));
    const again = takeIn(db, { ...file, note: 'saved again' }, 'second');
    expect(again.ok ? 'taken' : describeForeignIssue(again.issue)).toContain('here already, as first');
    expect(listForeign(db)).toHaveLength(1);
  });

  test('one that an older version took in is set aside with its reason, and the printer answers', () => {
    const { db, profileId } = measuredBench();
    const sister = profileOf(db, 'Long Bench', 'Slate General');
    const lent = edgeOf(db, sister);
    const [{ id: printerId }] = listPrinters(db);
    const bad = { printerId, addedAt: new Date(), mean: [1], covariance: [0] };
    db.insert(tables.foreignLaws)
      .values({ ...bad, name: 'too short' })
      .run();
    const mean = new Array<number>(11).fill(0);
    const covariance = new Array<number>(121).fill(1e9);
    db.insert(tables.foreignLaws)
      .values({ ...bad, name: 'too wide', mean, covariance })
      .run();
    db.update(tables.profiles).set({ evidenceKey: crypto.randomUUID() }).run();
    expect(edgeOf(db, sister).mean).toBeCloseTo(lent.mean, 9);
    expect(newestSignature(db, profileId).lenders).toEqual([]);
    expect(listForeign(db).map(({ trouble }) => trouble?.code)).toEqual(['wrongLength', 'sdOutside']);
  });

  test('whatever a file holds: it is refused in words, or every profile of the printer still learns', () => {
    const file = fileOf();
    const value = fc.oneof(
      fc.double({ noNaN: true }),
      fc.constantFrom(0, 1e308, -1e308, 1e-320, 1e6, -0.003),
    );
    const change = fc.record({ row: fc.nat(10), column: fc.nat(10), value, kind: fc.nat(3) });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 4 }), (changes) => {
        const { db, profileId } = readyBench();
        const copy = structuredClone(file);
        for (const { row, column, value: to, kind } of changes) {
          if (kind === 0) copy.parameters[row].mean = to;
          else if (kind === 1) copy.parameters[row].sd = to;
          else if (kind === 2) copy.covariance[row][column] = to;
          else copy.covariance[row][column] = copy.covariance[column][row] *= 1 + (to % 1 || 0);
        }
        const taken = takeIn(db, copy);
        if (!taken.ok) return describeForeignIssue(taken.issue).length > 20;
        const { signature } = newestSignature(db, profileId);
        return signature.parameters.every(({ mean, sd }) => Number.isFinite(mean) && sd > 0);
      }),
      { seed: 24, numRuns: 60 },
    );
  });
});
