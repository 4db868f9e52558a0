import { describe, expect, test } from '@jest/globals';
import { EVIDENCE } from '@/core/log';
import { cautionsOf, countCrevicesOf, evidenceOfFindings, FINDING_CODES, FINDINGS } from '../index';

const coded = (...codes: (typeof FINDING_CODES)[number][]) => codes.map((code) => ({ code }));

describe('what a finding means elsewhere', () => {
  test('liquid stays in hollows and in narrow gaps, and nowhere else', () => {
    expect(FINDING_CODES.filter((code) => FINDINGS[code].holdsLiquid).sort()).toEqual(
      ['bodiesFuse', 'cup', 'gapCloses', 'roofCloses', 'stackFuses', 'trap', 'void'].sort(),
    );
    expect(countCrevicesOf(coded('cup', 'cup', 'thinWall', 'gapCloses'))).toBe(3);
  });

  test('a caution stands once, however many hollows there are', () => {
    expect(cautionsOf(coded('island', 'thinWall'))).toEqual([]);
    expect(cautionsOf(coded('cup', 'trap', 'void', 'cup'))).toEqual([expect.stringContaining('gloves')]);
  });

  test('a check that found nothing of a kind speaks against its cause, one that found it speaks for it', () => {
    expect(evidenceOfFindings(coded('cup', 'overhang'))).toEqual({
      checkedIsland: false,
      checkedSuction: true,
      checkedThin: false,
      checkedJump: false,
    });
    const said = FINDING_CODES.flatMap((code) => FINDINGS[code].speaksFor ?? []);
    for (const evidence of said) expect(EVIDENCE).toContain(evidence);
    expect(new Set(said).size).toBe(said.length);
  });

  test('every unit is that of the limit it is compared with: small walls and gaps are lengths', () => {
    for (const code of FINDING_CODES) {
      const { isWorseWhenSmall, unit } = FINDINGS[code];
      if (isWorseWhenSmall) expect(['mm', 'mm²']).toContain(unit);
    }
  });
});
