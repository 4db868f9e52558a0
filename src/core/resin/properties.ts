/** What a property counts in; shares are fractions of one, shown in per cent. */
export type Unit =
  | 'MPa'
  | 'share'
  | 'J/m'
  | 'Shore'
  | '°C'
  | 'g/ml'
  | 'mPa·s'
  | 'mm'
  | 'min'
  | 's'
  | 'per litre'
  | 'm'
  | 'µm/m·K'
  | 'mJ/cm²';

export interface PropertyFacts {
  readonly unit: Unit;
  /** Outside of it a value is a slip of the pen. */
  readonly range: readonly [low: number, high: number];
  readonly group: 'mechanical' | 'heat' | 'liquid' | 'process' | 'bench';
}

/**
 * Every number that a datasheet can state. The name includes the unit it is stored in. Deflection temperatures by ISO
 * 75 or ASTM D648 at the lower and upper stress of the test; impact as notched Izod.
 */
export const PROPERTIES = Object.freeze({
  tensileModulus_MPa: { unit: 'MPa', range: [0.05, 50_000], group: 'mechanical' },
  flexuralModulus_MPa: { unit: 'MPa', range: [0.05, 50_000], group: 'mechanical' },
  tensileStrength_MPa: { unit: 'MPa', range: [0.1, 1000], group: 'mechanical' },
  flexuralStrength_MPa: { unit: 'MPa', range: [0.1, 1000], group: 'mechanical' },
  elongation: { unit: 'share', range: [0.0005, 10], group: 'mechanical' },
  impact_J_m: { unit: 'J/m', range: [0.5, 2000], group: 'mechanical' },
  shoreA: { unit: 'Shore', range: [1, 100], group: 'mechanical' },
  shoreD: { unit: 'Shore', range: [1, 100], group: 'mechanical' },
  deflectionLow_C: { unit: '°C', range: [-60, 500], group: 'heat' },
  deflectionHigh_C: { unit: '°C', range: [-60, 500], group: 'heat' },
  expansion_um_mK: { unit: 'µm/m·K', range: [5, 500], group: 'heat' },
  glassTransition_C: { unit: '°C', range: [-120, 500], group: 'heat' },
  density_g_ml: { unit: 'g/ml', range: [0.5, 5], group: 'liquid' },
  viscosity_mPas: { unit: 'mPa·s', range: [1, 1_000_000], group: 'liquid' },
  leastRoom_C: { unit: '°C', range: [-20, 80], group: 'liquid' },
  linearShrink: { unit: 'share', range: [-0.05, 0.1], group: 'process' },
  waterUptake: { unit: 'share', range: [0, 0.5], group: 'process' },
  leastFeature_mm: { unit: 'mm', range: [0.005, 10], group: 'process' },
  supportTip_mm: { unit: 'mm', range: [0.05, 3], group: 'process' },
  lightDepth_mm: { unit: 'mm', range: [0.01, 2], group: 'process' },
  criticalDose_mJ_cm2: { unit: 'mJ/cm²', range: [0.05, 2000], group: 'process' },
  shake_s: { unit: 's', range: [0, 3600], group: 'process' },
  cureFloor_min: { unit: 'min', range: [0, 600], group: 'process' },
  cureCeiling_min: { unit: 'min', range: [0.1, 1440], group: 'process' },
  additiveMost: { unit: 'share', range: [0.001, 1], group: 'process' },
  price_litre: { unit: 'per litre', range: [0, 100_000], group: 'bench' },
  dropHeight_m: { unit: 'm', range: [0, 10], group: 'bench' },
} as const satisfies Record<string, PropertyFacts>);

export type PropertyId = keyof typeof PROPERTIES;
export const PROPERTY_IDS = Object.keys(PROPERTIES) as readonly PropertyId[];

export function isProperty(name: string): name is PropertyId {
  return Object.hasOwn(PROPERTIES, name);
}
