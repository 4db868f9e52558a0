import { fail, ok, type Result } from '@/core/result';
import {
  checkMesh,
  correctAndMeasure,
  readMesh,
  weldCorners,
  writeStl,
  type AnchoredFeature,
  type CorrectedSize,
  type MeasuredCorrection,
  type Mesh,
  type MeshCheck,
  type PartCorrection,
  type Progress,
  type MeshIssue,
} from '@/core/mesh';

/** A part as the page shows it. */
export interface LoadedPart {
  readonly check: MeshCheck;
  /** Nine coordinates a facet, mm, ready for drawing. */
  readonly corners: Float32Array;
  /** The part as binary STL where it came as something else: parts are kept as STL. */
  readonly stl?: Uint8Array<ArrayBuffer>;
}

export interface CorrectedPart {
  readonly stl: Uint8Array<ArrayBuffer>;
  readonly watertight: boolean;
  readonly crossedFacets: number;
  readonly worstMissMm: number;
  readonly sizes: readonly CorrectedSize[];
  readonly notFound: MeasuredCorrection['notFound'];
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
      corners: corners instanceof Float32Array ? corners : Float32Array.from(corners),
      ...(format.startsWith('stl') ? {} : { stl: writeStl(this.mesh) }),
    });
  }

  /** Corrects the loaded part and measures its features before and after. */
  correct(by: PartCorrection, features: readonly AnchoredFeature[]): CorrectedPart {
    if (this.mesh === undefined) throw new RangeError('MeshApi.correct: load a part first');
    const { mesh, ...measured } = correctAndMeasure(this.mesh, by, features);
    return { ...measured, stl: writeStl(mesh), watertight: checkMesh(mesh).watertight };
  }
}
