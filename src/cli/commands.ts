import type { Arguments } from './arguments';

/** What a command does with what it was given; the answer is printed as JSON. */
export type Run = (given: Arguments) => object | Promise<object>;

/** A command: what it takes, what it does, and where its work is loaded from when it is asked for. */
export interface CommandWords {
  readonly does: string;
  /** Arguments in order, each with what it is. */
  readonly takes: readonly (readonly [name: string, text: string])[];
  /** Options with their value, each with what it is; --json is everybody's. */
  readonly options?: readonly (readonly [flags: string, text: string])[];
  readonly example: string;
  readonly load: () => Promise<Run>;
}

/** Words under which several commands stand. */
export const GROUPS: Readonly<Record<string, string>> = {
  mesh: 'The file of a part: check, features, correct.',
  resin: 'Resins: rank.',
  light: 'Exposure: strips, trim.',
  log: 'Failures of prints: where, cause.',
};

const PART = ['PART', 'the part as STL, OBJ, PLY or 3MF'] as const;
const OUTPUT = ['-o, --output <FILE>', 'file to write'] as const;

/** Every command by its words. */
export const COMMANDS: Readonly<Record<string, CommandWords>> = {
  signature: {
    does: 'Learns what a printer does from readings, and says what to draw.',
    takes: [['READINGS.csv', 'readings of printed features']],
    options: [
      ['--targets <FILE>', 'sizes to draw, as CSV'],
      ['--mpe <MM>', 'largest error of the caliper (default 0.02)'],
      ['--resolution <MM>', 'step of the caliper (default 0.01)'],
      ['--jaw-flat <MM>', 'width of the flats of the inside jaws, or unknown'],
      ['--state <STATE>', 'state that sizes are drawn for: green, washed, cured, aged or coated'],
      ['--checks <FILE>', 'readings of pieces of known size, as CSV'],
      ['--relatives <FILE>', 'signatures of other profiles that share, as JSON'],
    ],
    example: 'mellow signature readings.csv --targets targets.csv --json',
    load: async () => (await import('./signature-command')).runSignature,
  },
  'mesh check': {
    does: 'Says whether a part is a closed solid, and reads its layers as a printer will.',
    takes: [PART],
    options: [
      ['--layer <MM>', 'layer height (default 0.05)'],
      ['--pixel <MM>', 'pixel of the printer (default 0.035)'],
      ['--lift <MM>', 'height of supports below the part (default 0: it stands on the plate)'],
      ['--plate <SIZE>', 'room of the printer as length x width x height, such as 130x80x160'],
    ],
    example: 'mellow mesh check part.stl --layer 0.05 --plate 130x80x160 --json',
    load: async () => (await import('./mesh-command')).runMeshCheck,
  },
  'mesh features': {
    does: 'Lists the sizes that the file of a part carries.',
    takes: [PART],
    example: 'mellow mesh features part.stl --json',
    load: async () => (await import('./mesh-command')).runMeshFeatures,
  },
  'mesh correct': {
    does: 'Writes a part that prints as its file was meant, by a signature.',
    takes: [PART],
    options: [
      ['--signature <FILE>', 'what mellow signature printed'],
      ['--lift <MM>', 'height of supports below the part (default 0: it stands on the plate)'],
      OUTPUT,
    ],
    example: 'mellow mesh correct part.stl --signature signature.json -o corrected.stl',
    load: async () => (await import('./mesh-command')).runMeshCorrect,
  },
  ladder: {
    does: 'Reads a gap test: the gap that comes free, and the gap to draw.',
    takes: [['OUTCOMES.csv', 'gaps with what came of each']],
    example: 'mellow ladder outcomes.csv --json',
    load: async () => (await import('./fit-commands')).runLadder,
  },
  press: {
    does: 'Computes a press fit of two cylinders.',
    takes: [],
    options: [
      ['--interface <MM>', 'diameter where they meet'],
      ['--outer <MM>', 'outer diameter of the hub'],
      ['--bore <MM>', 'bore of the shaft; 0 if it is solid'],
      ['--interference <MM>', 'shaft minus hole'],
      ['--hub-e <MPA>', 'modulus of the hub'],
      ['--hub-nu <N>', 'Poisson ratio of the hub'],
      ['--shaft-e <MPA>', 'modulus of the shaft'],
      ['--shaft-nu <N>', 'Poisson ratio of the shaft'],
      ['--length <MM>', 'length of the joint'],
      ['--friction <MU>', 'coefficient of friction'],
    ],
    example:
      'mellow press --interface 8 --outer 16 --bore 0 --interference 0.04 --hub-e 2000 --hub-nu 0.4 --shaft-e 210000 --shaft-nu 0.3 --length 10 --friction 0.2',
    load: async () => (await import('./fit-commands')).runPress,
  },
  snap: {
    does: 'Computes a snap hook.',
    takes: [],
    options: [
      ['--length <MM>', 'length of the hook'],
      ['--thickness <MM>', 'thickness at its root'],
      ['--width <MM>', 'width'],
      ['--deflection <MM>', 'how far it bends'],
      ['--modulus <MPA>', 'modulus of the resin'],
      ['--friction <MU>', 'coefficient of friction'],
      ['--lead-deg <A>', 'angle of the slope, from the direction of pushing'],
    ],
    example:
      'mellow snap --length 12 --thickness 1.5 --width 5 --deflection 0.8 --modulus 2000 --friction 0.3 --lead-deg 30',
    load: async () => (await import('./fit-commands')).runSnap,
  },
  iso286: {
    does: 'Gives the limits of hole and shaft of an ISO fit.',
    takes: [
      ['SIZE', 'nominal size, mm'],
      ['FIT', 'letters and grades, such as H7/g6'],
    ],
    example: 'mellow iso286 25 H7/g6 --json',
    load: async () => (await import('./fit-commands')).runIso286,
  },
  gauge: {
    does: 'Writes a gauge as STL, or as 3MF if the name ends so.',
    takes: [
      [
        'KIND',
        'block, short-block, chosen-block, control, hinge, ball, links, slider, roof, pocket, hole, pin or bar',
      ],
    ],
    options: [
      OUTPUT,
      ['--from <MM>', 'first gap or size'],
      ['--step <MM>', 'from one to the next (default 0.05)'],
      ['--count <N>', 'how many (default 9)'],
      ['--pin <MM>', 'pin, ball, bar or thickness'],
      ['--layer <MM>', 'layer height that its time is told for (default 0.05)'],
    ],
    example: 'mellow gauge hinge -o hinge.stl --from 0.1 --step 0.05 --count 9',
    load: async () => (await import('./gauge-command')).runGauge,
  },
  run: {
    does: 'Computes how long a print takes, its resin, and when to top up.',
    takes: [['RUN.json', 'program, areas of layers and vat']],
    example: 'mellow run run.json --json',
    load: async () => (await import('./run-commands')).runRun,
  },
  plan: {
    does: 'Plans the jobs of a day over stations and a person.',
    takes: [['DAY.json', 'jobs with their steps, and when somebody is there']],
    options: [['--seed <N>', 'whole number that the search begins with (default 1)']],
    example: 'mellow plan day.json --seed 1 --json',
    load: async () => (await import('./run-commands')).runPlan,
  },
  'resin rank': {
    does: 'Holds resins against a requirement: which pass, and why others do not.',
    takes: [['REQUIREMENT.json', 'what the part must survive']],
    options: [['--resins <FILE>', 'resins as JSON; those that ship with the program if left out']],
    example: 'mellow resin rank requirement.json --json',
    load: async () => (await import('./resin-command')).runResinRank,
  },
  'light strips': {
    does: 'Fits the working curve to strips that were cured and measured.',
    takes: [['STRIPS.csv', 'exposure and thickness of each strip']],
    options: [['--mpe <MM>', 'largest error of the caliper (default 0.02)']],
    example: 'mellow light strips strips.csv --json',
    load: async () => (await import('./light-commands')).runLightStrips,
  },
  'light trim': {
    does: 'Finds the exposure at which edges neither grow nor shrink.',
    takes: [['TRIM.json', 'what is known of edge growth and exposure']],
    example: 'mellow light trim trim.json --json',
    load: async () => (await import('./light-commands')).runLightTrim,
  },
  'log where': {
    does: 'Tests whether failures of several prints lie at the same place.',
    takes: [['PLACES.json', 'places of each print, and which failed']],
    example: 'mellow log where places.json --json',
    load: async () => (await import('./log-commands')).runLogWhere,
  },
  'log cause': {
    does: 'Gives the chance of each cause of a failure, and what each test would tell.',
    takes: [['CAUSE.json', 'prior, table, evidence and tests']],
    example: 'mellow log cause cause.json --json',
    load: async () => (await import('./log-commands')).runLogCause,
  },
};
