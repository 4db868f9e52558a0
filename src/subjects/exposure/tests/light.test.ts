import { describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { EMPTY_SHEET } from '@/core/resin';
import { expectOk } from '@/core/kit';
import { tables } from '@/store';
import { recordReading } from '@/subjects/measure/readings';
import { correctSettings } from '@/subjects/signature';
import { readyBench } from '@/testing/bench';
import {
  cureSimulatedStrips,
  deriveProfile,
  keepGauge,
  keepStrip,
  printSimulatedGauges,
  takeBackGauge,
  takeBackStrip,
  viewBottom,
  viewBracket,
  viewLight,
} from '../index';
import {
  describeBracketIssue,
  describeDeriveIssue,
  describeKeepIssue,
  describeStripIssue,
  describeWallIssue,
  stripForm,
} from '../shared';

type Bench = ReturnType<typeof readyBench>;

const caliperOf = ({ db }: Bench) => db.select().from(tables.instruments).get()!.id;
const view = ({ db, profileId }: Bench) => viewLight(db, profileId)!;

function keep(bench: Bench, exposure: number, depthMm: number, unit: 's' | 'mJ/cm²' = 's') {
  return keepStrip(bench.db, bench.profileId, { unit, exposure, depthMm, instrumentId: caliperOf(bench) });
}

function exposedFor(bench: Bench, exposureS: number): void {
  bench.db
    .update(tables.profiles)
    .set({ settings: { exposureS } })
    .where(eq(tables.profiles.id, bench.profileId))
    .run();
}

function onSimulatedPrinter(bench: Bench): void {
  bench.db.update(tables.printers).set({ simulatedSeed: 7 }).run();
}

describe('strips of a printer and a resin', () => {
  test('one is no curve, two are; one taken back counts no more and stays on record', () => {
    const bench = readyBench();
    expect(view(bench).curve).toBeUndefined();
    expectOk(keep(bench, 4, 0.2));
    expect(view(bench).curve).toMatchObject({ ok: false, issue: { code: 'tooFewStrips' } });
    expectOk(keep(bench, 8, 0.3));
    const curve = expectOk(view(bench).curve!);
    expect(curve.dpMm).toBeCloseTo(0.1 / Math.LN2, 12);
    // The caliper's bias is in where it begins, not in the slope.
    expect(curve.dpSdMm).toBeCloseTo((0.01 * Math.SQRT2) / Math.LN2, 12);
    expectOk(takeBackStrip(bench.db, bench.profileId, view(bench).strips[1].id));
    expect(view(bench).strips).toHaveLength(1);
    expect(bench.db.select().from(tables.strips).all()).toHaveLength(2);
  });

  test('another unit than that of the others is refused', () => {
    const bench = readyBench();
    expectOk(keep(bench, 4, 0.2, 'mJ/cm²'));
    expect(keep(bench, 8, 0.3)).toEqual({ ok: false, issue: { code: 'otherUnit', kept: 'mJ/cm²' } });
    expect(view(bench).unit).toBe('mJ/cm²');
  });

  test('a real printer cures none by itself; a simulated one does, and they make a curve', () => {
    const bench = readyBench();
    const ask = { exposureS: 2, instrumentId: caliperOf(bench) };
    bench.db.update(tables.printers).set({ simulatedSeed: null }).run();
    expect(cureSimulatedStrips(bench.db, bench.profileId, ask)).toMatchObject({
      issue: { code: 'noSimulatedPrinter' },
    });
    onSimulatedPrinter(bench);
    expectOk(cureSimulatedStrips(bench.db, bench.profileId, ask));
    const { dpMm } = expectOk(view(bench).curve!);
    expect(view(bench).strips.map(({ exposure }) => exposure)).toEqual([1.6, 2.4, 3.6, 5.4, 8]);
    expect(dpMm).toBeGreaterThan(0.07);
    expect(dpMm).toBeLessThan(0.24);
  });

  test('what is gone is said', () => {
    const bench = readyBench();
    expect(keepStrip(bench.db, 999, { unit: 's', exposure: 2, depthMm: 0.1, instrumentId: 1 }).ok).toBe(
      false,
    );
    expect(takeBackStrip(bench.db, bench.profileId, 999).ok).toBe(false);
    expect(viewLight(bench.db, 999)).toBeUndefined();
  });
});

describe('the exposure', () => {
  test('without one there is no trim; with one there is, narrower with strips', () => {
    const bench = readyBench();
    expect(view(bench).trim).toBeUndefined();
    exposedFor(bench, 2.4);
    const alone = view(bench).trim!;
    expect(alone.leastS).toBeUndefined();
    expect(alone.voids.map(({ name }) => name)).toContain('Bushing');
    for (const seconds of [1, 1.6, 2.4, 4, 6]) expectOk(keep(bench, seconds, 0.15 * Math.log(seconds / 0.6)));
    const { ratio, leastS, step } = view(bench).trim!;
    expect(Math.log(ratio.high / ratio.low)).toBeLessThan(Math.log(alone.ratio.high / alone.ratio.low));
    expect(leastS).toBeGreaterThan(0.6);
    expect(step.ratio).toBeGreaterThanOrEqual(0.75);
    expect(step.ratio).toBeLessThanOrEqual(1.33);
  });

  test('another profile of the same printer and resin at another exposure is learned from once it was read', () => {
    const bench = readyBench();
    exposedFor(bench, 2.4);
    const own = bench.db.select().from(tables.profiles).get()!;
    bench.db
      .insert(tables.profiles)
      .values({
        printerId: own.printerId,
        resinId: own.resinId,
        name: 'longer',
        layerMm: 0.05,
        settings: { exposureS: 3 },
      })
      .run();
    expect(view(bench).trim!.others).toBe(0);
  });
});

describe('a bracket', () => {
  test('what is lost has neither slot nor wall; one taken back counts no more', () => {
    const bench = readyBench();
    const { db, profileId } = bench;
    expect(viewBracket(db, profileId, 2).verdict).toBeUndefined();
    expectOk(keepGauge(db, profileId, { exposureS: 1, became: 'lost', wallMm: 4.1 }));
    expectOk(keepGauge(db, profileId, { exposureS: 2, became: 'open', wallMm: 4.0 }));
    const { gauges, verdict } = viewBracket(db, profileId, 2);
    expect(gauges.map(({ became, wallMm }) => [became, wallMm])).toEqual([
      ['lost', undefined],
      ['open', 4],
    ]);
    const { best } = expectOk(verdict!);
    expect(best.exposureS).toBeGreaterThan(1.2);
    expectOk(takeBackGauge(db, profileId, gauges[0].id));
    expect(takeBackGauge(db, profileId, gauges[0].id).ok).toBe(false);
    expect(viewBracket(db, profileId, 2).gauges).toHaveLength(1);
    expect(keepGauge(db, 999, { exposureS: 2, became: 'open', wallMm: undefined }).ok).toBe(false);
  });

  test('on a simulated printer short exposures are lost and long ones grow the wall', () => {
    const bench = readyBench();
    const ask = { nowS: 2, exposuresS: [0.2, 2, 8] };
    bench.db.update(tables.printers).set({ simulatedSeed: null }).run();
    expect(printSimulatedGauges(bench.db, bench.profileId, ask).ok).toBe(false);
    onSimulatedPrinter(bench);
    expectOk(printSimulatedGauges(bench.db, bench.profileId, ask));
    const [short, now, long] = viewBracket(bench.db, bench.profileId, 2).gauges;
    expect(short.became).toBe('lost');
    expect(now.became).not.toBe('lost');
    expect(long.wallMm!).toBeGreaterThan(now.wallMm!);
  });
});

test('forms refuse what no strip can be', () => {
  const given = { unit: 's', exposure: '0', depthMm: '0', instrumentId: '1' };
  const read = stripForm.safeParse(given);
  expect(read.success).toBe(false);
  expect(stripForm.safeParse({ ...given, exposure: '2.4', depthMm: '0.21' }).success).toBe(true);
});

test('every refusal has its sentence', () => {
  const words = [
    describeKeepIssue({ code: 'gone' }),
    describeKeepIssue({ code: 'noSimulatedPrinter' }),
    describeKeepIssue({ code: 'otherUnit', kept: 's' }),
    describeStripIssue({ code: 'tooFewStrips', exposures: 0 }),
    describeStripIssue({ code: 'badUncertainty', strip: 0 }),
    describeWallIssue({ code: 'notPositive' }),
    describeWallIssue({ code: 'otherSize', share: 2 }),
    describeWallIssue({ code: 'otherSize', share: -0.8 }),
    describeBracketIssue({ code: 'badExposure', exposureS: 0 }),
    describeBracketIssue({ code: 'lowAboveHigh', lowS: 4, highS: 2 }),
    describeBracketIssue({ code: 'badSlot', slotMm: 0 }),
    describeBracketIssue({ code: 'badSd', exposureS: 2 }),
  ];
  expect(new Set(words).size).toBe(words.length);
  for (const each of words) expect(each).toMatch(/\.$/);
});

describe('the same resin on another machine', () => {
  const there = { printerName: 'Old Amber', engineFrom: 'mono', engineTo: 'colour' } as const;

  test('its profile begins in the middle of what the engines differ by, and its bracket at both ends', () => {
    const bench = readyBench();
    exposedFor(bench, 2);
    const id = expectOk(deriveProfile(bench.db, bench.profileId, there));
    const { row, exposureS, relatives } = viewLight(bench.db, id)!;
    expect(row.printer.name).toBe('Old Amber');
    expect(exposureS).toBeCloseTo(2 * Math.sqrt(18), 2);
    expect(row.profile.settings.derived).toEqual({ from: 'Long Bench, 2 s', lowS: 6, highS: 12 });
    expect(viewBracket(bench.db, id, exposureS!).next).toEqual([6, 8.49, 12]);
    expect(relatives).toMatchObject([{ printer: 'Long Bench', exposureS: 2, readings: 0 }]);
    // Writing down what it is printed under keeps where it came from.
    expectOk(correctSettings(bench.db, id, { exposureS: 8 }));
    expect(view({ ...bench, profileId: id }).row.profile.settings.derived?.highS).toBe(12);
  });

  test('not without an exposure, not on the same printer, not twice', () => {
    const bench = readyBench();
    const said = (wanted: Parameters<typeof deriveProfile>[2]) => {
      const made = deriveProfile(bench.db, bench.profileId, wanted);
      return made.ok ? '' : describeDeriveIssue(made.issue);
    };
    expect(said(there)).toContain('the layer exposure is unknown. Enter it in the print settings.');
    exposedFor(bench, 2);
    expect(said({ ...there, printerName: 'Long Bench' })).toContain('that is this printer');
    expect(said({ ...there, from: 4, to: 2 })).toBe('');
    expect(said({ ...there, from: 4, to: 2 })).toContain('0.05 mm, 4 s');
    expect(deriveProfile(bench.db, 99, there)).toEqual({ ok: false, issue: { code: 'gone' } });
  });
});

describe('what the sheet and the foot say', () => {
  test('a quoted depth of light counts until strips are read', () => {
    const bench = readyBench();
    const quote = {
      property: 'lightDepth_mm',
      value: 0.14,
      condition: 'cured',
      source: 'datasheet',
    } as const;
    bench.db
      .update(tables.resins)
      .set({ sheet: { ...EMPTY_SHEET, quotes: [quote] } })
      .run();
    expect(view(bench).quoted).toEqual({ dpMm: 0.14, dpSdMm: expect.closeTo(0.014, 12) });
  });

  test('bottom layers are weighed once their exposure is said, by the feet that were read', () => {
    const bench = readyBench();
    exposedFor(bench, 2);
    expect(viewBottom(bench.db, view(bench)).answers).toBeUndefined();
    expectOk(
      correctSettings(bench.db, bench.profileId, { exposureS: 2, bottomExposureS: 20, bottomLayers: 5 }),
    );
    const unread = viewBottom(bench.db, view(bench));
    expect(unread).toMatchObject({ layers: 5, others: 0 });
    for (const mm of [20.34, 20.35])
      expectOk(recordReading(bench.db, { ...bench.reading(bench.width, mm), heightMm: 0.3 }));
    for (const mm of [20.04, 20.05]) expectOk(recordReading(bench.db, bench.reading(bench.width, mm)));
    const read = viewBottom(bench.db, view(bench));
    expect(read.foot!.flareMm).toBeCloseTo(0.15, 2);
    expect(read.answers![0].flare.mean).toBeGreaterThan(unread.answers![0].flare.mean);
    expect(read.answers![0].flare.sd).toBeLessThan(unread.answers![0].flare.sd);
  });
});
