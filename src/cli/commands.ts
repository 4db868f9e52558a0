import type { Arguments } from './arguments';

/** Runs a command with the given arguments. The program prints the answer as JSON. */
export type Run = (given: Arguments) => object | Promise<object>;

/** One command: its help, and how to load the code that runs it. */
export interface CommandWords {
  readonly does: string;
  /** Arguments in order, each with its description. */
  readonly takes: readonly (readonly [name: string, text: string])[];
  /** Options with their description; every command also has --json. */
  readonly options?: readonly (readonly [flags: string, text: string])[];
  readonly example: string;
  readonly load: () => Promise<Run>;
}

/** Commands with subcommands. */
export const GROUPS: Readonly<Record<string, string>> = {
  mesh: 'Work on a part file: check, features, correct.',
  resin: 'Work on resins: rank.',
  light: 'Work on exposure: strips, trim.',
  log: 'Work on failed prints: where, cause.',
};

const PART = ['PART', 'part file: STL, OBJ, PLY or 3MF'] as const;
const OUTPUT = ['-o, --output <FILE>', 'file to write (required)'] as const;
const LIFT = [
  '--lift <MM>',
  'support height under the part (default 0: the part stands on the plate)',
] as const;
const MPE = ['--mpe <MM>', 'maximum permissible error of the caliper (default 0.02)'] as const;

/** Every command by its name. */
export const COMMANDS: Readonly<Record<string, CommandWords>> = {
  signature: {
    does: 'Learns from readings how a printer changes sizes, and gives the sizes to draw.',
    takes: [
      [
        'READINGS.csv',
        'one reading a row; columns feature, sense, shape, axis, angle_deg, base, drawn_mm, print, state, reading_mm',
      ],
    ],
    options: [
      [
        '--targets <FILE>',
        'CSV of the sizes to draw; columns feature, sense, shape, axis, angle_deg, base, target_mm, tol_minus_mm, tol_plus_mm',
      ],
      MPE,
      ['--resolution <MM>', 'resolution of the caliper (default 0.01)'],
      ['--jaw-flat <MM>', 'width of the flats on the inside jaws, or unknown'],
      [
        '--state <STATE>',
        'state in which the drawn sizes must be right: green, washed, cured, aged or coated. Without it, the state of all readings, otherwise cured',
      ],
      ['--checks <FILE>', 'CSV of readings on reference pieces; columns jaw, known_mm, u_mm, reading_mm'],
      ['--relatives <FILE>', 'JSON of the signatures of related profiles'],
    ],
    example: 'mellow signature readings.csv --targets targets.csv --json',
    load: async () => (await import('./signature-command')).runSignature,
  },
  'mesh check': {
    does: 'Checks that a part file is a closed solid, and reports its layers: islands, cups, areas.',
    takes: [PART],
    options: [
      ['--layer <MM>', 'layer height (default 0.05)'],
      ['--pixel <MM>', 'pixel size of the printer (default 0.035)'],
      LIFT,
      ['--plate <SIZE>', 'build volume of the printer: length x width x height, for example 130x80x160'],
    ],
    example: 'mellow mesh check part.stl --layer 0.05 --plate 130x80x160 --json',
    load: async () => (await import('./mesh-command')).runMeshCheck,
  },
  'mesh features': {
    does: 'Lists the sizes found in a part file.',
    takes: [PART],
    example: 'mellow mesh features part.stl --json',
    load: async () => (await import('./mesh-command')).runMeshFeatures,
  },
  'mesh correct': {
    does: 'Writes a corrected part file, so that the print has the sizes of the original file.',
    takes: [PART],
    options: [['--signature <FILE>', 'JSON output of mellow signature (required)'], LIFT, OUTPUT],
    example: 'mellow mesh correct part.stl --signature signature.json -o corrected.stl',
    load: async () => (await import('./mesh-command')).runMeshCorrect,
  },
  ladder: {
    does: 'Evaluates a gap test: the gap that comes free half the time, and the gap to draw.',
    takes: [
      [
        'OUTCOMES.csv',
        'one step of the test per row; columns gap_mm and outcome ("fused", "stiff", "free" or "sloppy")',
      ],
    ],
    example: 'mellow ladder outcomes.csv --json',
    load: async () => (await import('./fit-commands')).runGapTest,
  },
  press: {
    does: 'Computes a press fit of two cylinders. All options are required.',
    takes: [],
    options: [
      ['--interface <MM>', 'diameter of the contact surface'],
      ['--outer <MM>', 'outer diameter of the hub'],
      ['--bore <MM>', 'bore of the shaft; 0 for a solid shaft'],
      ['--interference <MM>', 'interference: shaft diameter minus hole diameter'],
      ['--hub-e <MPA>', 'elastic modulus of the hub, MPa'],
      ['--hub-nu <N>', 'Poisson ratio of the hub'],
      ['--shaft-e <MPA>', 'elastic modulus of the shaft, MPa'],
      ['--shaft-nu <N>', 'Poisson ratio of the shaft'],
      ['--length <MM>', 'length of the joint'],
      ['--friction <MU>', 'coefficient of friction'],
    ],
    example:
      'mellow press --interface 8 --outer 16 --bore 0 --interference 0.04 --hub-e 2000 --hub-nu 0.4 --shaft-e 210000 --shaft-nu 0.3 --length 10 --friction 0.2',
    load: async () => (await import('./fit-commands')).runPress,
  },
  snap: {
    does: 'Computes the force and strain of a snap hook. All options are required.',
    takes: [],
    options: [
      ['--length <MM>', 'length of the hook'],
      ['--thickness <MM>', 'thickness at the root'],
      ['--width <MM>', 'width of the hook'],
      ['--deflection <MM>', 'deflection at the tip'],
      ['--modulus <MPA>', 'elastic modulus of the resin, MPa'],
      ['--friction <MU>', 'coefficient of friction'],
      ['--lead-deg <A>', 'lead angle, measured from the push direction, degrees'],
    ],
    example:
      'mellow snap --length 12 --thickness 1.5 --width 5 --deflection 0.8 --modulus 2000 --friction 0.3 --lead-deg 30',
    load: async () => (await import('./fit-commands')).runSnap,
  },
  iso286: {
    does: 'Gives the limits of hole and shaft for an ISO 286 fit.',
    takes: [
      ['SIZE', 'nominal size, mm'],
      ['FIT', 'letters and grades, for example H7/g6'],
    ],
    example: 'mellow iso286 25 H7/g6 --json',
    load: async () => (await import('./fit-commands')).runIso286,
  },
  gauge: {
    does: 'Writes a gauge as STL, or as 3MF if the file name ends in .3mf.',
    takes: [
      [
        'KIND',
        'block, short-block, chosen-block, control, hinge, ball, links, slider, roof, pocket, hole, pin or bar',
      ],
    ],
    options: [
      OUTPUT,
      ['--from <MM>', 'first gap or size (required for pocket, hole and pin; otherwise default 0.1)'],
      ['--step <MM>', 'distance between steps (default 0.05)'],
      ['--count <N>', 'number of steps (default 9, for bar 3)'],
      [
        '--pin <MM>',
        'diameter of the pin or ball, or thickness of the bar (default 5, ball 8, links 3, bar 4)',
      ],
      ['--layer <MM>', 'layer height for the print time (default 0.05)'],
    ],
    example: 'mellow gauge hinge -o hinge.stl --from 0.1 --step 0.05 --count 9',
    load: async () => (await import('./gauge-command')).runGauge,
  },
  run: {
    does: 'Computes the time and resin of a print, and when to top up.',
    takes: [['RUN.json', 'JSON with the exposure profile, layer areas and vat: profile, area_mm2, vat']],
    example: 'mellow run run.json --json',
    load: async () => (await import('./run-commands')).runRun,
  },
  plan: {
    does: 'Plans jobs over stations and one person.',
    takes: [
      [
        'DAY.json',
        'JSON with jobs, their steps, stations and the hours with a person: jobs, stations, presence_min',
      ],
    ],
    options: [['--seed <N>', 'seed of the search, a whole number (default 1)']],
    example: 'mellow plan day.json --seed 1 --json',
    load: async () => (await import('./run-commands')).runPlan,
  },
  'resin rank': {
    does: 'Compares resins with requirements: which pass, and why the others fail.',
    takes: [['REQUIREMENT.json', 'JSON with the requirements of the part']],
    options: [['--resins <FILE>', 'JSON of resins (default: the resins shipped with the program)']],
    example: 'mellow resin rank requirement.json --json',
    load: async () => (await import('./resin-command')).runResinRank,
  },
  'light strips': {
    does: 'Fits the working curve of a resin to cured strips.',
    takes: [['STRIPS.csv', 'one strip a row; columns exposure, depth_mm and optionally u_mm']],
    options: [MPE],
    example: 'mellow light strips strips.csv --json',
    load: async () => (await import('./light-commands')).runLightStrips,
  },
  'light trim': {
    does: 'Finds the exposure at which edges print at their drawn size.',
    takes: [['TRIM.json', 'JSON with edge growth and exposure']],
    example: 'mellow light trim trim.json --json',
    load: async () => (await import('./light-commands')).runLightExposureChange,
  },
  'log where': {
    does: 'Tests whether failures of several prints are in the same place.',
    takes: [['PLACES.json', 'JSON with the places of each print and which of them failed: prints']],
    example: 'mellow log where places.json --json',
    load: async () => (await import('./log-commands')).runLogWhere,
  },
  'log cause': {
    does: 'Gives the chance of each cause of a failure, and how much each test would tell.',
    takes: [['CAUSE.json', 'JSON with prior, table, evidence and tests']],
    example: 'mellow log cause cause.json --json',
    load: async () => (await import('./log-commands')).runLogCause,
  },
};
