/** What a mate is made of, as far as a fit asks. */
export const MATERIALS = [
  'steel',
  'aluminium',
  'brass',
  'glass',
  'hardPlastic',
  'softPlastic',
  'wood',
  'resin',
  'other',
] as const;
export type Material = (typeof MATERIALS)[number];

interface MaterialFacts {
  /** Linear thermal expansion, per K. */
  readonly expansionPerK: number;
  readonly modulusMPa: number;
  readonly poisson: number;
  /** Breaks without giving way: too tight is ruin. */
  readonly brittle: boolean;
}

/**
 * Handbook values, rounded: they say how far a mate grows on the way to its service temperature, and whether forcing a
 * fit can break it. `other` stands for something between metal and plastic.
 * Source: W. D. Callister, Materials Science and Engineering (2007), appendix B.
 */
export const MATERIAL_FACTS: Readonly<Record<Material, MaterialFacts>> = Object.freeze({
  steel: { expansionPerK: 11.5e-6, modulusMPa: 200_000, poisson: 0.3, brittle: false },
  aluminium: { expansionPerK: 23e-6, modulusMPa: 70_000, poisson: 0.33, brittle: false },
  brass: { expansionPerK: 19e-6, modulusMPa: 100_000, poisson: 0.34, brittle: false },
  glass: { expansionPerK: 9e-6, modulusMPa: 65_000, poisson: 0.22, brittle: true },
  hardPlastic: { expansionPerK: 75e-6, modulusMPa: 2500, poisson: 0.37, brittle: true },
  softPlastic: { expansionPerK: 130e-6, modulusMPa: 1000, poisson: 0.42, brittle: false },
  wood: { expansionPerK: 30e-6, modulusMPa: 1000, poisson: 0.35, brittle: false },
  resin: { expansionPerK: 90e-6, modulusMPa: 2100, poisson: 0.4, brittle: true },
  other: { expansionPerK: 40e-6, modulusMPa: 5000, poisson: 0.35, brittle: false },
});
