import { ASSUMED_LAYER_S } from '@/core/print';

/** Source of a limit: the printer, the datasheet of the resin, its tests, a setting, or an assumption. */
export type LimitSource = 'printer' | 'resin' | 'ladder' | 'house' | 'assumed';

export interface Limit {
  readonly value: number;
  readonly from: LimitSource;
}

/** Length, width and height of the room in a machine, mm. */
export type Room = readonly [number, number, number];

export const STATIONS = ['plate', 'wash', 'lamp'] as const;
export type Station = (typeof STATIONS)[number];

export const STATION_WORDS: Readonly<Record<Station, string>> = {
  plate: 'plate',
  wash: 'wash bath',
  lamp: 'curing lamp',
};

/** Openings of the stations (wash, lamp) that a part must fit through; unknown ones are left out. */
export type Rooms = Partial<Record<Station, Room>>;

/** How the part stands on the plate. */
export type PrintSetup =
  | { readonly kind: 'plate' }
  | { readonly kind: 'supports'; readonly liftMm: number }
  /** Its supports are in the file: what stands on the plate is their feet. */
  | { readonly kind: 'inFile' };

/** Limits from the settings that a part is checked against; the others follow from the printer and its tests. */
export interface CheckRules {
  /** Walls of fewer pixels are not trusted. */
  readonly wallPixels: number;
  /** Gap that stays open where no ladder has been tried, mm. */
  readonly leastGapMm: number;
  /** A floor of fewer layers is not trusted. */
  readonly floorLayers: number;
  /** Steeper than this from the plate a face holds itself while it grows, degrees. */
  readonly selfSupportingDeg: number;
  /** Largest area to hang free in one layer, mm². */
  readonly hangMm2: number;
  /** Largest area to peel at once, as a share of the plate. */
  readonly peelShare: number;
  /** Least area of the first layer, as a share of the largest one. */
  readonly contactShare: number;
  /** A hollow that closes off less than this sucks on nothing, mm². */
  readonly cupMm2: number;
}

export const CHECK_RULES: CheckRules = Object.freeze({
  wallPixels: 4,
  leastGapMm: 0.2,
  floorLayers: 4,
  selfSupportingDeg: 45,
  hangMm2: 4,
  peelShare: 0.4,
  contactShare: 0.1,
  cupMm2: 10,
});

/** Assumed where the printer's own are not known: a small panel, and an ordinary layer. */
const ASSUMED_PIXEL_MM = 0.05;
const ASSUMED_PLATE: Room = [120, 70, 150];

/** What is known of the printer that will print the part. */
export interface Machine {
  readonly pixelMm?: number;
  readonly layerMm: number;
  readonly layerSeconds?: number;
  readonly rooms: Rooms;
  /** Smallest detail that the resin's sheet promises, mm. */
  readonly leastFeatureMm?: number;
  /** Support tip that the resin's sheet asks for, mm. */
  readonly tipMm?: number;
  /** Gap that a gap test of this printer and resin found to stay open, mm. */
  readonly ladderGapMm?: number;
  /** The same below a roof, from a gap test along Z, mm. */
  readonly ladderRoofMm?: number;
  /** Gaps that the joints of this job are drawn with, mm. */
  readonly jointGapsMm: readonly number[];
  /** Gaps below a roof that they are drawn with, mm. */
  readonly jointRoofsMm?: readonly number[];
}

/** Every threshold of a check with where it comes from. */
export interface CheckLimits {
  readonly pixelMm: Limit;
  readonly layerMm: number;
  readonly layerSeconds: Limit;
  readonly wallMm: Limit;
  readonly gapMm: Limit;
  /** Thinnest floor along Z, and narrowest gap below a roof, mm. */
  readonly floorMm: Limit;
  readonly roofMm: Limit;
  /** Growth from one layer to the next that holds itself, mm. */
  readonly selfSupportingMm: number;
  readonly hangMm2: Limit;
  readonly peelMm2: Limit;
  /** Support tip that the resin's sheet asks for, mm. */
  readonly tipMm?: number;
  readonly contactShare: number;
  readonly cupMm2: number;
  readonly rooms: Rooms;
  /** Least gap of the job's joints, mm. */
  readonly jointGapMm?: number;
  /** Least gap below a roof that they are drawn with, mm. */
  readonly jointRoofMm?: number;
}

const known = (value: number | undefined, from: LimitSource, assumed: number): Limit =>
  value === undefined ? { value: assumed, from: 'assumed' } : { value, from };

/** The coarser of what the pixels and what the resin can do. */
function leastWall(byPixels: Limit, { leastFeatureMm }: Machine): Limit {
  return leastFeatureMm === undefined || leastFeatureMm <= byPixels.value
    ? byPixels
    : { value: leastFeatureMm, from: 'resin' };
}

/** The gap found by a gap test, or the setting where there was no test. */
function openGap(ladderMm: number | undefined, { leastGapMm }: CheckRules): Limit {
  return ladderMm === undefined ? { value: leastGapMm, from: 'house' } : { value: ladderMm, from: 'ladder' };
}

/** Returns thresholds from what is known of a printer and from the settings. */
export function limitsOf(machine: Machine, rules: CheckRules = CHECK_RULES): CheckLimits {
  const { jointRoofsMm = [] } = machine;
  const pixelMm = known(machine.pixelMm, 'printer', ASSUMED_PIXEL_MM);
  const [length, width] = machine.rooms.plate ?? ASSUMED_PLATE;
  const plateFrom: LimitSource = machine.rooms.plate === undefined ? 'assumed' : 'printer';
  return {
    pixelMm,
    layerMm: machine.layerMm,
    layerSeconds: known(machine.layerSeconds, 'printer', ASSUMED_LAYER_S),
    wallMm: leastWall({ value: rules.wallPixels * pixelMm.value, from: pixelMm.from }, machine),
    gapMm: openGap(machine.ladderGapMm, rules),
    floorMm: { value: rules.floorLayers * machine.layerMm, from: 'house' },
    roofMm: openGap(machine.ladderRoofMm, rules),
    selfSupportingMm: machine.layerMm / Math.tan((rules.selfSupportingDeg * Math.PI) / 180),
    hangMm2: { value: rules.hangMm2, from: 'house' },
    peelMm2: { value: rules.peelShare * length * width, from: plateFrom },
    contactShare: rules.contactShare,
    cupMm2: rules.cupMm2,
    rooms: machine.rooms,
    ...(machine.tipMm === undefined ? {} : { tipMm: machine.tipMm }),
    ...(machine.jointGapsMm.length === 0 ? {} : { jointGapMm: Math.min(...machine.jointGapsMm) }),
    ...(jointRoofsMm.length === 0 ? {} : { jointRoofMm: Math.min(...jointRoofsMm) }),
  };
}

/** Which of the stations whose rooms are known a part of this size goes into: on the plate as it stands, else anyhow. */
export function fitStations(size: Room, liftMm: number, rooms: Rooms): Partial<Record<Station, boolean>> {
  const fits: Partial<Record<Station, boolean>> = {};
  for (const station of STATIONS) {
    const room = rooms[station];
    if (room === undefined) continue;
    fits[station] =
      station === 'plate' ? fitsRoom([size[0], size[1], size[2] + liftMm], room) : fitsAnyhow(size, room);
  }
  return fits;
}

/** Returns whether a box fits into an opening upright, as it is or rotated by 90°. */
export function fitsRoom([x, y, z]: Room, [length, width, height]: Room): boolean {
  return z <= height && ((x <= length && y <= width) || (x <= width && y <= length));
}

/** Does a box go into a room on any of its sides? A part is laid into a bath or under a lamp as it comes. */
export function fitsAnyhow(size: Room, room: Room): boolean {
  const [a, b] = [size, room].map((sides) => [...sides].sort((p, q) => p - q));
  return a.every((side, i) => side <= b[i]);
}
