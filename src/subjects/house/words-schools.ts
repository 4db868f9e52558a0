import type { School } from '@/core/resins';

interface SchoolWords {
  readonly title: string;
  readonly sides: Readonly<Record<string, { readonly label: string; readonly reason: string }>>;
}

/** Where practice differs: each side with its reason. */
export const SCHOOL_WORDS: Readonly<Record<School, SchoolWords>> = {
  layerHeight: {
    title: 'Layer height where nothing asks for another',
    sides: {
      fine: { label: 'fine, 0.025 mm', reason: 'less sanding, and heights land nearer to what is drawn' },
      middle: { label: 'middle, 0.05 mm', reason: 'below it hardly anybody sees a gain, and hours double' },
      coarse: { label: 'coarse, 0.1 mm', reason: 'half the hours for parts that are not looked at' },
    },
  },
  newLayer: {
    title: 'The exposure of another layer height',
    sides: {
      overcure: {
        label: 'as deep below the layer as before',
        reason: 'layers hold alike, and the strips tell how',
      },
      tenth: { label: 'a tenth off for each 0.02 mm', reason: 'quick, and near where light goes deep' },
      proportion: { label: 'in proportion to the layer', reason: 'easy to remember; thin layers get little' },
      supplier: { label: 'as the supplier states', reason: 'somebody tried it, on some machine' },
    },
  },
  solid: {
    title: 'Thick parts are',
    sides: {
      solid: { label: 'solid', reason: 'strong, simple, and no liquid stays inside' },
      hollow: { label: 'hollow, with vents', reason: 'saves resin, and a thick part cures through' },
    },
  },
  spares: {
    title: 'Spare copies',
    sides: {
      enough: { label: 'as many as make enough sure', reason: 'a second run costs more than a spare' },
      full: {
        label: 'fill the plate',
        reason: 'the hours are those of one: height sets them, not the count',
      },
      none: { label: 'none', reason: 'resin is not wasted on what nobody asked for' },
    },
  },
  stacking: {
    title: 'Parts on top of each other',
    sides: {
      never: { label: 'never', reason: 'a failure below takes everything above with it' },
      whereTold: { label: 'where small parts are many', reason: 'one night makes several plates' },
    },
  },
  scaledSupports: {
    title: 'Supports of a part printed larger',
    sides: {
      asTested: { label: 'keep their tips', reason: 'tips as tested come off as tested' },
      grow: { label: 'grow with the part', reason: 'it is quick, and a heavier part needs more hold' },
    },
  },
  fileTransfer: {
    title: 'The file reaches the printer',
    sides: {
      stick: { label: 'on a stick', reason: 'works with every printer, and with no network at all' },
      network: { label: 'over the network', reason: 'no walk, and the printer says what it prints' },
    },
  },
  level: {
    title: 'The plate is levelled',
    sides: {
      everyPrint: { label: 'before every print', reason: 'a minute against a lost night' },
      afterRemoval: { label: 'when it was off its arm', reason: 'that is when it moves' },
      onceSetUp: {
        label: 'once, when the printer is set up',
        reason: 'each levelling is a chance to do it wrong',
      },
    },
  },
  levelOn: {
    title: 'Levelled on paper',
    sides: {
      film: { label: 'on the film of an empty vat', reason: 'the film is what the plate presses on' },
      screen: { label: 'on the bare screen, the vat off', reason: 'flat and hard: the paper drags evenly' },
    },
  },
  filmTreatment: {
    title: 'The film is',
    sides: {
      none: { label: 'left as it is', reason: 'nothing gets into the resin' },
      repellent: { label: 'wiped with a repellent', reason: 'layers come off it more easily' },
    },
  },
  fillLevel: {
    title: 'The vat is filled',
    sides: {
      need: {
        label: 'for this print, and what must stay',
        reason: 'little to filter back, nothing to pour later',
      },
      brim: { label: 'to its mark', reason: 'it cannot run dry over a misjudged support' },
      later: {
        label: 'low, and topped up while it prints',
        reason: 'fresh resin, and a short print wastes none',
      },
    },
  },
  excessResin: {
    title: 'Resin on the part before the wash',
    sides: {
      drip: {
        label: 'drips off at an angle',
        reason: 'resin goes back to the vat, the bath stays clean longer',
      },
      scrape: { label: 'is scraped off the plate', reason: 'quick, and takes most of it' },
      mop: {
        label: 'is mopped with paper',
        reason: 'quick, where only a little hangs on it; not on fine surfaces',
      },
      straight: { label: 'goes into the bath', reason: 'nothing touches a soft surface' },
    },
  },
  release: {
    title: 'Parts come off the plate with',
    sides: {
      flexSheet: { label: 'a flexible sheet', reason: 'bends away from the part: nothing is prised' },
      scraper: { label: 'a scraper', reason: 'works on any plate' },
      blade: { label: 'a thin blade', reason: 'gets under a part that sits flat' },
    },
  },
  washOn: {
    title: 'Washed',
    sides: {
      off: { label: 'off the plate', reason: 'liquid reaches the underside, and the plate stays dry' },
      plate: { label: 'on the plate', reason: 'small parts are not lost, wet ones are not held' },
    },
  },
  washMethod: {
    title: 'In the bath parts are',
    sides: {
      moved: { label: 'moved, by hand or a stirrer', reason: 'quick and even' },
      soak: { label: 'left to soak', reason: 'nothing knocks against a fine part; takes twice as long' },
      ultrasonic: {
        label: 'shaken by ultrasound, cold',
        reason: 'reaches into narrow holes; gains little on plain parts',
      },
    },
  },
  drying: {
    title: 'Dried',
    sides: {
      rest: { label: 'by resting in the dark', reason: 'crevices dry too, nothing is blown about' },
      airGun: { label: 'with an air gun', reason: 'minutes instead of half an hour' },
      shake: { label: 'shaken off and left', reason: 'no tool, and no paper on a soft surface' },
    },
  },
  warmWater: {
    title: 'Warm water before supports come off',
    sides: {
      use: { label: 'half a minute at 50 °C', reason: 'dense feet let go; never where thin links bend' },
      avoid: { label: 'none', reason: 'thin links soften and bend' },
    },
  },
  clearFinish: {
    title: 'Clear parts',
    sides: {
      bare: { label: 'stay bare', reason: 'a careful bath leaves them clear, and a coat can yellow' },
      lacquer: { label: 'are lacquered', reason: 'lacquer fills the layer lines that scatter light' },
    },
  },
  vatAfter: {
    title: 'The vat after a print',
    sides: {
      leave: { label: 'stays covered', reason: 'the next print starts at once' },
      empty: { label: 'is filtered and emptied', reason: 'nothing solid waits in it, the film rests dry' },
      calendar: { label: 'is drained every 30 days', reason: 'a rhythm that nobody has to think about' },
    },
  },
  clearVat: {
    title: 'What is solid in the vat after a failure',
    sides: {
      sheet: {
        label: 'is cured into a thin sheet and lifted out',
        reason: 'one sheet takes every crumb along, and no tool comes near the film',
      },
      spatula: { label: 'is felt for with a soft spatula', reason: 'quick, and no resin is cured for it' },
      pour: {
        label: 'is poured out through a filter',
        reason: 'the empty film is seen and felt, and the resin is clean',
      },
    },
  },
  gloves: {
    title: 'Gloves',
    sides: {
      thin: { label: 'thin, a new pair each time', reason: 'fingers feel what they hold' },
      heavy: { label: 'heavy, used again', reason: 'solvent goes through thin ones, and less waste' },
      wetOnly: {
        label: 'only while something is wet',
        reason: 'dry clean hands for the screen and the file',
      },
    },
  },
  air: {
    title: 'Air',
    sides: {
      window: { label: 'an open window', reason: 'takes all vapour out' },
      filter: { label: 'a filter', reason: 'works in winter, as long as its coal is fresh' },
      lowOdour: {
        label: 'resins that hardly smell',
        reason: 'less vapour to begin with; what cannot be smelled can still harm',
      },
    },
  },
  failedPart: {
    title: 'A part that failed in one place',
    sides: {
      reprint: { label: 'is printed again', reason: 'a patch never has the size or the strength' },
      repair: {
        label: 'is patched from spares, with resin and a lamp',
        reason: 'saves the hours of the rest',
      },
    },
  },
  supportsOff: {
    title: 'Supports come off',
    sides: {
      green: { label: 'green, before the cure', reason: 'soft tips cut cleanly and leave small marks' },
      cured: {
        label: 'after the cure',
        reason: 'light tips snap off, and the part does not bend under the cutter',
      },
    },
  },
  assemble: {
    title: 'Parts are put together',
    sides: {
      green: { label: 'green', reason: 'they give and slide together, and do not fuse during the cure' },
      cured: { label: 'cured', reason: 'the fit you feel is the fit that stays' },
    },
  },
  cure: {
    title: 'Cure',
    sides: {
      short: { label: 'short', reason: 'keeps colour and toughness' },
      long: { label: 'long', reason: 'strength and heat settle, nothing uncured stays inside' },
    },
  },
  cureIn: {
    title: 'Cured in',
    sides: {
      air: { label: 'air', reason: 'the part stays dry, and every curing station does it' },
      water: { label: 'clear water', reason: 'keeps air off: a harder skin and less yellow' },
    },
  },
  washWith: {
    title: 'Washed with',
    sides: {
      alcohol: { label: 'alcohol', reason: 'what most sheets ask for' },
      water: { label: 'water', reason: 'no solvent needed, for resins that allow it' },
      washerFluid: {
        label: 'windscreen washer fluid',
        reason: 'cheap alcohol in water, weaker: wash longer',
      },
      soapyWater: { label: 'soapy water', reason: 'gentle on clear parts' },
    },
  },
  mixing: {
    title: 'Resins are used',
    sides: {
      neat: { label: 'neat', reason: 'the datasheet applies, and the signature stays valid' },
      blended: {
        label: 'blended where it helps',
        reason: 'gives a property that no bottle has, but you have to prove it',
      },
    },
  },
};

export const SIDE_WORDS = { green: 'green', cured: 'after the cure' } as const;

/** The schools in the order of the work, a heading each. */
export const SCHOOL_GROUPS: readonly { readonly title: string; readonly schools: readonly School[] }[] = [
  {
    title: 'Planning a print',
    schools: ['layerHeight', 'newLayer', 'solid', 'spares', 'stacking', 'scaledSupports', 'mixing'],
  },
  {
    title: 'Before the start',
    schools: ['fileTransfer', 'level', 'levelOn', 'filmTreatment', 'fillLevel', 'air', 'gloves'],
  },
  {
    title: 'From the plate to dry',
    schools: ['excessResin', 'release', 'vatAfter', 'clearVat', 'washOn', 'washWith', 'washMethod', 'drying'],
  },
  {
    title: 'Supports, cure and finish',
    schools: ['supportsOff', 'warmWater', 'assemble', 'cure', 'cureIn', 'clearFinish', 'failedPart'],
  },
];
