/** Headings of the practices, in the order of the work. */
export const PRACTICE_GROUPS = {
  planning: 'Planning a print',
  before: 'Before the print',
  wash: 'From plate to dry part',
  finish: 'Supports, curing and finishing',
} as const;
export type PracticeGroup = keyof typeof PRACTICE_GROUPS;

/** One of the ways in which good workshops differ: its sides, each with its reason, and the side to start with. */
export interface PracticeDefinition<Side extends string> {
  readonly title: string;
  readonly group: PracticeGroup;
  readonly standard: NoInfer<Side>;
  readonly sides: Readonly<Record<Side, { readonly label: string; readonly reason: string }>>;
}

const practice = <Side extends string>(definition: PracticeDefinition<Side>) => definition;

/**
 * Where good workshops differ; each picks its side. The standards: supports off and parts assembled while green,
 * because a green part cuts cleanly and bends; short cure, because long cure yellows and embrittles; in air, because
 * every station does it; washed in alcohol, because most resins need it; undiluted, because the supplier's figures then
 * apply. Solid, filled for the need, off the plate before the wash, no hot water near thin links: what can do the least
 * harm.
 */
export const PRACTICE_DEFINITIONS = {
  layerHeight: practice({
    title: 'Default layer height',
    group: 'planning',
    standard: 'middle',
    sides: {
      fine: { label: 'fine, 0.025 mm', reason: 'less sanding, and heights closer to the drawing' },
      middle: {
        label: 'middle, 0.05 mm',
        reason: 'few people see a gain below this, and print time doubles',
      },
      coarse: { label: 'coarse, 0.1 mm', reason: 'half the hours for parts that are not looked at' },
    },
  }),
  newLayer: practice({
    title: 'Exposure for another layer height',
    group: 'planning',
    standard: 'overcure',
    sides: {
      overcure: {
        label: 'same cure depth below the layer',
        reason: 'layers bond equally well; exposure strips show the value',
      },
      tenth: {
        label: '10 % less for each 0.02 mm',
        reason: 'quick, and close to right where light penetrates deeply',
      },
      proportion: {
        label: 'in proportion to the layer height',
        reason: 'easy to remember; thin layers get little exposure',
      },
      supplier: { label: 'as the supplier states', reason: 'tested by the supplier, on another printer' },
    },
  }),
  solid: practice({
    title: 'Thick parts',
    group: 'planning',
    standard: 'solid',
    sides: {
      solid: { label: 'solid', reason: 'strong, simple, and no liquid stays inside' },
      hollow: { label: 'hollow, with vents', reason: 'saves resin, and a thick part cures through' },
    },
  }),
  spares: practice({
    title: 'Spare copies',
    group: 'planning',
    standard: 'enough',
    sides: {
      enough: {
        label: 'as many as needed for a good chance',
        reason: 'a second print costs more than a spare',
      },
      full: { label: 'fill the plate', reason: 'print time depends on height, not on the number of copies' },
      none: { label: 'none', reason: 'no resin is used for parts that nobody asked for' },
    },
  }),
  stacking: practice({
    title: 'Stacked parts',
    group: 'planning',
    standard: 'never',
    sides: {
      never: { label: 'not stacked', reason: 'a failure below loses every part above it' },
      whereTold: { label: 'where small parts are many', reason: 'one night prints several plates' },
    },
  }),
  scaledSupports: practice({
    title: 'Supports of a scaled part',
    group: 'planning',
    standard: 'asTested',
    sides: {
      grow: { label: 'scale with the part', reason: 'quick, and a heavier part needs more support' },
      asTested: { label: 'keep their tip size', reason: 'tested tips come off as tested' },
    },
  }),
  mixing: practice({
    title: 'Resin use',
    group: 'planning',
    standard: 'neat',
    sides: {
      neat: { label: 'undiluted', reason: 'the datasheet applies, and the signature stays valid' },
      blended: {
        label: 'blended where useful',
        reason: 'gives a property that no single resin has, but you must test it',
      },
    },
  }),
  fileTransfer: practice({
    title: 'File transfer to the printer',
    group: 'before',
    standard: 'stick',
    sides: {
      stick: { label: 'on a USB stick', reason: 'works with every printer, and with no network at all' },
      network: { label: 'over the network', reason: 'no walk, and the printer reports what it prints' },
    },
  }),
  level: practice({
    title: 'Plate levelling',
    group: 'before',
    standard: 'afterRemoval',
    sides: {
      everyPrint: { label: 'before every print', reason: 'one minute of work against a lost night' },
      afterRemoval: { label: 'after the plate was removed', reason: 'the plate can move when you remove it' },
      onceSetUp: { label: 'once, at setup', reason: 'every levelling can go wrong' },
    },
  }),
  levelOn: practice({
    title: 'Levelling with paper',
    group: 'before',
    standard: 'film',
    sides: {
      film: { label: 'on the film of an empty vat', reason: 'the plate presses on the film, so level there' },
      screen: {
        label: 'on the bare screen, without the vat',
        reason: 'the screen is flat and hard, so the paper drags evenly',
      },
    },
  }),
  filmTreatment: practice({
    title: 'Film treatment',
    group: 'before',
    standard: 'none',
    sides: {
      none: { label: 'none', reason: 'nothing contaminates the resin' },
      repellent: { label: 'wiped with a repellent', reason: 'layers separate from it more easily' },
    },
  }),
  fillLevel: practice({
    title: 'Vat filling',
    group: 'before',
    standard: 'need',
    sides: {
      need: {
        label: 'enough for this print plus the minimum',
        reason: 'little resin to filter back, nothing to pour later',
      },
      brim: { label: 'to the maximum mark', reason: 'cannot run dry if the supports were estimated too low' },
      later: {
        label: 'low, topped up during the print',
        reason: 'fresh resin, and a short print wastes none',
      },
    },
  }),
  air: practice({
    title: 'Ventilation',
    group: 'before',
    standard: 'window',
    sides: {
      window: { label: 'an open window', reason: 'removes all vapour' },
      filter: { label: 'a filter', reason: 'works in winter, as long as its charcoal is fresh' },
      lowOdour: { label: 'low-odour resins', reason: 'less vapour; a vapour without smell can still harm' },
    },
  }),
  gloves: practice({
    title: 'Gloves',
    group: 'before',
    standard: 'thin',
    sides: {
      thin: { label: 'thin, a new pair each time', reason: 'you can feel what you hold' },
      heavy: { label: 'heavy, reused', reason: 'solvent passes through thin gloves; less waste' },
      wetOnly: {
        label: 'only while something is wet',
        reason: 'dry, clean hands for the screen and the files',
      },
    },
  }),
  excessResin: practice({
    title: 'Excess resin before washing',
    group: 'wash',
    standard: 'drip',
    sides: {
      drip: {
        label: 'drips off at an angle',
        reason: 'resin returns to the vat, and the bath stays clean longer',
      },
      scrape: { label: 'is scraped off the plate', reason: 'quick, and removes most of it' },
      mop: {
        label: 'wiped off with paper',
        reason: 'quick when only a little is left; not for fine surfaces',
      },
      straight: { label: 'goes into the bath', reason: 'nothing touches a soft surface' },
    },
  }),
  release: practice({
    title: 'Removing parts from the plate',
    group: 'wash',
    standard: 'flexSheet',
    sides: {
      flexSheet: { label: 'a flexible sheet', reason: 'the sheet bends away from the part; no prying' },
      scraper: { label: 'a scraper', reason: 'works on any plate' },
      blade: { label: 'a thin blade', reason: 'gets under a part that lies flat' },
    },
  }),
  vatAfter: practice({
    title: 'Vat after a print',
    group: 'wash',
    standard: 'leave',
    sides: {
      leave: { label: 'covered', reason: 'the next print starts at once' },
      empty: { label: 'filtered and emptied', reason: 'nothing solid waits in it, the film rests dry' },
      calendar: { label: 'drained every 30 days', reason: 'a fixed schedule, nothing to decide' },
    },
  }),
  clearVat: practice({
    title: 'Clearing cured resin from the vat',
    group: 'wash',
    standard: 'sheet',
    sides: {
      sheet: {
        label: 'cured into a thin sheet and lifted out',
        reason: 'one sheet removes every crumb, and no tool comes near the film',
      },
      spatula: { label: 'searched with a soft spatula', reason: 'quick, and uses no resin' },
      pour: {
        label: 'poured out through a filter',
        reason: 'you can see and feel the empty film, and the resin is clean',
      },
    },
  }),
  washOn: practice({
    title: 'Washing place',
    group: 'wash',
    standard: 'off',
    sides: {
      off: { label: 'off the plate', reason: 'liquid reaches the underside, and the plate stays dry' },
      plate: { label: 'on the plate', reason: 'small parts do not get lost, and you handle no wet parts' },
    },
  }),
  washWith: practice({
    title: 'Wash liquid',
    group: 'wash',
    standard: 'alcohol',
    sides: {
      alcohol: { label: 'alcohol', reason: 'what most datasheets require' },
      water: { label: 'water', reason: 'no solvent needed, if the resin allows water' },
      washerFluid: {
        label: 'windscreen washer fluid',
        reason: 'low-cost diluted alcohol; weaker, so wash longer',
      },
      soapyWater: { label: 'soapy water', reason: 'gentle on clear parts' },
    },
  }),
  washMethod: practice({
    title: 'Washing method',
    group: 'wash',
    standard: 'moved',
    sides: {
      moved: { label: 'moved, by hand or with a stirrer', reason: 'quick and even' },
      soak: { label: 'soaked', reason: 'nothing knocks against a fine part; takes twice as long' },
      ultrasonic: {
        label: 'ultrasound, cold',
        reason: 'reaches into narrow holes; little gain on plain parts',
      },
    },
  }),
  drying: practice({
    title: 'Drying method',
    group: 'wash',
    standard: 'rest',
    sides: {
      rest: { label: 'resting in the dark', reason: 'crevices dry too, and nothing is blown around' },
      airGun: { label: 'with an air gun', reason: 'minutes instead of half an hour' },
      shake: { label: 'shaken off and left', reason: 'no tool, and no paper on a soft surface' },
    },
  }),
  supportsOff: practice({
    title: 'Support removal',
    group: 'finish',
    standard: 'green',
    sides: {
      green: { label: 'green, before curing', reason: 'soft tips cut cleanly and leave small marks' },
      cured: {
        label: 'after curing',
        reason: 'light tips snap off, and the part does not bend under the cutter',
      },
    },
  }),
  warmWater: practice({
    title: 'Warm water before support removal',
    group: 'finish',
    standard: 'avoid',
    sides: {
      use: {
        label: 'half a minute at 50 °C',
        reason: 'dense supports release; never for thin links, they bend',
      },
      avoid: { label: 'none', reason: 'thin links soften and bend' },
    },
  }),
  assemble: practice({
    title: 'Assembly',
    group: 'finish',
    standard: 'green',
    sides: {
      green: {
        label: 'green',
        reason: 'green parts give and slide together; they do not fuse during curing',
      },
      cured: { label: 'cured', reason: 'the fit you feel is the final fit' },
    },
  }),
  cure: practice({
    title: 'Cure',
    group: 'finish',
    standard: 'short',
    sides: {
      short: { label: 'short', reason: 'keeps colour and toughness' },
      long: {
        label: 'long',
        reason: 'strength and heat resistance settle, and nothing uncured stays inside',
      },
    },
  }),
  cureIn: practice({
    title: 'Curing medium',
    group: 'finish',
    standard: 'air',
    sides: {
      air: { label: 'air', reason: 'the part stays dry, and every curing station can do it' },
      water: { label: 'clear water', reason: 'keeps air away: a harder surface and less yellowing' },
    },
  }),
  clearFinish: practice({
    title: 'Clear parts',
    group: 'finish',
    standard: 'bare',
    sides: {
      bare: { label: 'left uncoated', reason: 'a clean wash leaves them clear, and a coating can yellow' },
      lacquer: { label: 'lacquered', reason: 'lacquer fills the layer lines that scatter light' },
    },
  }),
  failedPart: practice({
    title: 'A part that failed in one spot',
    group: 'finish',
    standard: 'reprint',
    sides: {
      reprint: { label: 'reprinted', reason: 'a patch never has the right size or strength' },
      repair: {
        label: 'patched with spare pieces, resin and a lamp',
        reason: 'saves the print time of the rest',
      },
    },
  }),
} as const;
