import {
  listFindings,
  posedMesh,
  readingFor,
  rotationTo,
  searchOrientation,
  STUDIED_ORIENTATIONS,
  weighOrientation,
  type CheckLimits,
  type Finding,
  type Orientation,
  type OrientationWorth,
  type PrintSetup,
} from '@/core/part/findings';
import {
  type HollowWorth,
  hollowOf,
  middleOfLayer,
  readLayers,
  shellAreas,
  roughReading,
  sweepLayers,
  type LayerReading,
} from '@/core/part/layers';
import {
  checkMesh,
  distanceToFeature,
  findFeatures,
  joinContours,
  listShells,
  repairMesh,
  MOST_FEATURE_FACETS,
  readMesh,
  sectionAt,
  weldCorners,
  writeStl,
  type FoundFeature,
  type Repair,
  type Mesh,
  type MeshCheck,
  type MeshIssue,
  type Point,
  type Progress,
} from '@/core/part/mesh';
import { fail, ok, type Result } from '@/core/kit';

/** How a part is to be read. */
export interface CheckAsk {
  readonly limits: CheckLimits;
  readonly stance: PrintSetup;
  /** Directions in which the sizes that matter run, in the file; those found on it where the job has none. */
  readonly critical: readonly Point[];
  /** Directions in which its seen faces look. */
  readonly seen: readonly Point[];
}

/** What was found so far; `whole` once everything was looked at. */
export interface CheckFound {
  readonly reading: LayerReading;
  readonly findings: readonly Finding[];
  readonly whole: boolean;
}

/** A feature as the page lists it; its facets stay in the worker. */
export type ListedFeature = Omit<FoundFeature, 'facets'>;

export interface RepairedPart extends Omit<Repair, 'mesh'> {
  readonly stl: Uint8Array<ArrayBuffer>;
}

/** A part turned, with what turns a place on it along. */
export interface TurnedPart {
  readonly stl: Uint8Array<ArrayBuffer>;
  /** Row-major. */
  readonly rotation: readonly number[];
  readonly liftMm: number;
}

/** A part as the page shows it. */
export interface OpenedPart {
  readonly check: MeshCheck;
  /** Nine coordinates a facet, ready for drawing. */
  readonly corners: Float32Array;
  /** They are those of a coarser proxy of so many facets. */
  readonly proxyFacets?: number;
}

/** Layers and measures of a part as it stands. */
export interface PartMeasure {
  /** Of each layer, mm². */
  readonly areasMm2: readonly number[];
  readonly sizeMm: readonly [number, number, number];
  readonly volumeMm3: number;
  readonly surfaceMm2: number;
}

/** Reading a part as the printer will, over the core; one part at a time. */
export class CheckApi {
  private mesh: Mesh | undefined;
  private check: MeshCheck | undefined;
  private features: readonly FoundFeature[] | undefined;

  open(bytes: Uint8Array, onProgress: Progress = () => {}): Result<OpenedPart, MeshIssue> {
    const soup = readMesh(bytes, '', onProgress);
    if (!soup.ok) return fail(soup.issue);
    this.mesh = weldCorners(soup.value.corners);
    this.check = checkMesh(this.mesh);
    this.features = undefined;
    const { corners } = soup.value;
    return ok({
      check: this.check,
      corners: corners instanceof Float32Array ? corners : Float32Array.from(corners),
    });
  }

  get part(): Mesh {
    return this.opened.mesh;
  }

  private get opened(): { mesh: Mesh; check: MeshCheck } {
    const { mesh, check } = this;
    if (mesh === undefined || check === undefined) throw new RangeError('CheckApi: open a part first');
    return { mesh, check };
  }

  /** What areas alone show, at once. */
  glance({ limits, stance }: CheckAsk): CheckFound {
    const { mesh, check } = this.opened;
    const reading = roughReading(sweepLayers(mesh, { heightMm: limits.layerMm }), limits.pixelMm.value);
    return { reading, findings: listFindings(check, reading, limits, stance), whole: false };
  }

  /** What hours and resin of the loaded part are made of; with a wall, those of its shell. */
  layers(layerMm: number, wallMm?: number): PartMeasure {
    const { mesh, check } = this.opened;
    const { min, max } = check.bounds;
    const full = sweepLayers(mesh, { heightMm: layerMm }).areaMm2;
    const hollow = wallMm === undefined ? undefined : hollowOf(mesh, check.volumeMm3, wallMm);
    return {
      areasMm2: hollow === undefined ? [...full] : shellAreas(full, layerMm, hollow),
      sizeMm: [max[0] - min[0], max[1] - min[1], max[2] - min[2]],
      volumeMm3: hollow?.shellMm3 ?? check.volumeMm3,
      surfaceMm2: check.areaMm2,
    };
  }

  /** The whole reading, with progress. */
  read({ limits, stance }: CheckAsk, onProgress: Progress = () => {}): CheckFound {
    const { mesh, check } = this.opened;
    const options = { ...readingFor(limits, stance), bodyOf: listShells(mesh) };
    const reading = readLayers(mesh, options, onProgress);
    return { reading, findings: listFindings(check, reading, limits, stance), whole: true };
  }

  /** Contours of one layer: x, y a point. */
  slice(reading: Pick<LayerReading, 'fromMm' | 'heightMm' | 'count'>, layer: number): Float64Array[] {
    return joinContours(sectionAt(this.opened.mesh, middleOfLayer(reading, layer))).map(
      ({ points }) => points,
    );
  }

  private recognised(): readonly FoundFeature[] {
    const { mesh } = this.opened;
    this.features ??= mesh.facets.length / 3 <= MOST_FEATURE_FACETS ? findFeatures(mesh) : [];
    return this.features;
  }

  listFeatures(): ListedFeature[] {
    return this.recognised().map(
      ({ sort, kind, nominalMm, centreMm, direction, anchorMm, facetErrorMm }) => ({
        sort,
        kind,
        nominalMm,
        centreMm,
        direction,
        anchorMm,
        facetErrorMm,
      }),
    );
  }

  /** Which of the listed features have a face at this place, by their place in the list. */
  featuresAt(place: Point): number[] {
    const { mesh } = this.opened;
    const near = this.recognised().map((feature, index) => ({
      index,
      apart: distanceToFeature(mesh, feature, place),
    }));
    return near
      .filter(({ apart }) => apart < REACH_MM)
      .sort((a, b) => a.apart - b.apart)
      .map(({ index }) => index);
  }

  /** The usual orientations, one after the other, then the one that a search finds. */
  study({ limits, stance, critical, seen }: CheckAsk, onProgress: Progress = () => {}): OrientationWorth[] {
    const { mesh } = this.opened;
    const flat = this.recognised().filter(({ kind }) => kind.shape === 'flat');
    const directions = critical.length > 0 ? critical : flat.map(({ direction }) => direction);
    const steps = STUDIED_ORIENTATIONS.length + 8;
    const weigh = (pose: Orientation) =>
      weighOrientation(mesh, pose, limits, { stance, critical: directions, seen });
    const worths = STUDIED_ORIENTATIONS.map((pose, i) => {
      onProgress(i / steps);
      return weigh(pose);
    });
    const found = searchOrientation(mesh, limits, { stance, seen }, (share) =>
      onProgress((STUDIED_ORIENTATIONS.length + 8 * share) / steps),
    );
    return [...worths, weigh(found)];
  }

  /** The part with a wall instead of a solid inside. */
  hollow(wallMm: number, onProgress: Progress = () => {}): HollowWorth {
    const { mesh, check } = this.opened;
    return hollowOf(mesh, check.volumeMm3, wallMm, onProgress);
  }

  turn(up: Point): TurnedPart {
    const { mesh } = this.opened;
    const posed = posedMesh(mesh, up);
    const rotation = rotationTo(up);
    const [x, y, z] = mesh.positions;
    const turnedZ = rotation[6] * x + rotation[7] * y + rotation[8] * z;
    return { stl: writeStl(posed), rotation, liftMm: posed.positions[2] - turnedZ };
  }

  /** undefined: nothing of the part has an area. */
  mend(): RepairedPart | undefined {
    const mended = repairMesh(this.opened.mesh);
    if (mended === undefined) return undefined;
    const { mesh, ...told } = mended;
    return { ...told, stl: writeStl(mesh) };
  }
}

/** A click lies on a face when it is nearer than this, mm: the shown part may be a coarser proxy. */
const REACH_MM = 0.3;
