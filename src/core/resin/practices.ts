/** Where good shops differ; each picks its side. */
export const PRACTICES = Object.freeze({
  layerHeight: ['fine', 'middle', 'coarse'],
  newLayer: ['overcure', 'tenth', 'proportion', 'supplier'],
  solid: ['solid', 'hollow'],
  spares: ['enough', 'full', 'none'],
  stacking: ['never', 'whereTold'],
  scaledSupports: ['grow', 'asTested'],
  fileTransfer: ['stick', 'network'],
  level: ['everyPrint', 'afterRemoval', 'onceSetUp'],
  levelOn: ['film', 'screen'],
  filmTreatment: ['none', 'repellent'],
  fillLevel: ['need', 'brim', 'later'],
  excessResin: ['drip', 'scrape', 'mop', 'straight'],
  release: ['flexSheet', 'scraper', 'blade'],
  washOn: ['off', 'plate'],
  washWith: ['alcohol', 'water', 'washerFluid', 'soapyWater'],
  washMethod: ['moved', 'soak', 'ultrasonic'],
  drying: ['rest', 'airGun', 'shake'],
  supportsOff: ['green', 'cured'],
  warmWater: ['use', 'avoid'],
  assemble: ['green', 'cured'],
  cure: ['short', 'long'],
  cureIn: ['air', 'water'],
  clearFinish: ['bare', 'lacquer'],
  vatAfter: ['leave', 'empty', 'calendar'],
  clearVat: ['sheet', 'spatula', 'pour'],
  gloves: ['thin', 'heavy', 'wetOnly'],
  air: ['window', 'filter', 'lowOdour'],
  failedPart: ['reprint', 'repair'],
  mixing: ['neat', 'blended'],
} as const);
export type Practice = keyof typeof PRACTICES;
export type Practices = { readonly [Name in Practice]: (typeof PRACTICES)[Name][number] };

/**
 * Supports off and parts assembled while green, because it cuts cleanly and bends; short cure, because long cure
 * yellows and embrittles; in air, because every station does; washed in alcohol, because most resins need it;
 * undiluted, because the supplier's figures then apply. Solid, filled for the need, off the plate before the wash, no
 * hot water near thin links: the options that can do the least harm.
 */
export const DEFAULT_PRACTICES: Practices = Object.freeze({
  layerHeight: 'middle',
  newLayer: 'overcure',
  solid: 'solid',
  spares: 'enough',
  stacking: 'never',
  scaledSupports: 'asTested',
  fileTransfer: 'stick',
  level: 'afterRemoval',
  levelOn: 'film',
  filmTreatment: 'none',
  fillLevel: 'need',
  excessResin: 'drip',
  release: 'flexSheet',
  washOn: 'off',
  washWith: 'alcohol',
  washMethod: 'moved',
  drying: 'rest',
  supportsOff: 'green',
  warmWater: 'avoid',
  assemble: 'green',
  cure: 'short',
  cureIn: 'air',
  clearFinish: 'bare',
  vatAfter: 'leave',
  clearVat: 'sheet',
  gloves: 'thin',
  air: 'window',
  failedPart: 'reprint',
  mixing: 'neat',
});
