import { fail, ok, type Result } from '@/core/kit';
import {
  boundsOf,
  chamferFoot,
  checkMesh,
  correctAndMeasure,
  readMesh,
  silhouetteOf,
  type Silhouette,
  VIEWS,
  weldCorners,
  writeStl,
  type AnchoredFeature,
  type CorrectedSize,
  type MeasuredCorrection,
  type Mesh,
  type MeshCheck,
  type CorrectionWanted,
  type FoundFeature,
  type Progress,
  type MeshIssue,
} from '@/core/part/mesh';

/** A part as the page shows it. */
export interface LoadedPart {
  readonly check: MeshCheck;
  /** Nine coordinates a facet, mm, ready for drawing. */
  readonly corners: Float32Array;
  /** The part as binary STL where it came as something else: parts are kept as STL. */
  readonly stl?: Uint8Array<ArrayBuffer>;
  /** Its format says its unit; else it is taken as millimetres. */
  readonly units: 'known' | 'taken';
  /** `corners` are those of a coarser proxy of so many facets. */
  readonly proxyFacets?: number;
}

/** What a file is corrected for, and the leg of a chamfer against its elephant's foot, mm. */
export type FileWanted = CorrectionWanted & { readonly chamferMm?: number };

export interface CorrectedPart {
  readonly stl: Uint8Array<ArrayBuffer>;
  readonly watertight: boolean;
  /** undefined: too many facets to look. */
  readonly crossedFacets: number | undefined;
  readonly worstMissMm: number;
  readonly sizes: readonly CorrectedSize[];
  readonly notFound: MeasuredCorrection['notFound'];
  /** Everything recognised on the part, whether it is a feature of the job or not. */
  readonly proofs: readonly ResinTestLine[];
}

/** A recognised size: asked of the corrected file, and found there; mm. */
export interface ResinTestLine {
  readonly sort: FoundFeature['sort'];
  readonly nominalMm: number;
  readonly askedMm: number;
  /** undefined: not found again. */
  readonly afterMm?: number;
}

/** Facets that cross, with those that a chamfer turned over; unknown stays unknown while the chamfer turned none. */
function addTurned(crossed: number | undefined, turned: number): number | undefined {
  return crossed === undefined ? (turned === 0 ? undefined : turned) : crossed + turned;
}

/** What the worker can do, over the core; one part at a time. */
export class MeshApi {
  private mesh: Mesh | undefined;

  /** Reads, welds and checks a part of any format; progress is the share read. */
  load(bytes: Uint8Array, onProgress: Progress = () => {}, name = ''): Result<LoadedPart, MeshIssue> {
    const soup = readMesh(bytes, name, onProgress);
    if (!soup.ok) return fail(soup.issue);
    this.mesh = weldCorners(soup.value.corners);
    const { format, corners } = soup.value;
    return ok({
      check: checkMesh(this.mesh),
      units: format === '3mf' ? 'known' : 'taken',
      corners: corners instanceof Float32Array ? corners : Float32Array.from(corners),
      ...(format.startsWith('stl') ? {} : { stl: writeStl(this.mesh) }),
    });
  }

  get loaded(): Mesh {
    if (this.mesh === undefined) throw new RangeError('MeshApi: load a part first');
    return this.mesh;
  }

  /** The loaded part at another size: drawn in another unit. */
  scaled(by: number): Uint8Array<ArrayBuffer> {
    const { positions, facets } = this.loaded;
    return writeStl({ positions: positions.map((value) => value * by), facets });
  }

  /** The loaded part's outline seen from each side. */
  silhouettes(): Silhouette[] {
    return VIEWS.map((view) => silhouetteOf(this.loaded, view));
  }

  /**
   * Corrects the loaded part and measures its features before and after; then removes the elephant's foot by a chamfer,
   * if requested and if the part is higher than the chamfer.
   */
  correct({ chamferMm, ...wanted }: FileWanted, features: readonly AnchoredFeature[]): CorrectedPart {
    const { mesh: corrected, proofs, ...measured } = correctAndMeasure(this.loaded, wanted, features);
    const { min, max } = boundsOf(corrected.positions);
    const isHigher = chamferMm !== undefined && max[2] - min[2] > chamferMm;
    const chamfered = isHigher ? chamferFoot(corrected, chamferMm) : undefined;
    const mesh = chamfered?.mesh ?? corrected;
    return {
      ...measured,
      crossedFacets: addTurned(measured.crossedFacets, chamfered?.turnedFacets ?? 0),
      proofs: proofs.map(({ feature, askedMm, afterMm }) => ({
        sort: feature.sort,
        nominalMm: feature.nominalMm,
        askedMm,
        afterMm,
      })),
      stl: writeStl(mesh),
      watertight: checkMesh(mesh).watertight,
    };
  }
}
