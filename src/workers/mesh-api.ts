import { fail, ok, type Result } from '@/core/result';
import {
  checkMesh,
  correctAndMeasure,
  readStl,
  weldCorners,
  writeStl,
  type AnchoredFeature,
  type CorrectedSize,
  type MeasuredCorrection,
  type Mesh,
  type MeshCheck,
  type PartCorrection,
  type Progress,
  type StlIssue,
} from '@/core/mesh';

/** A part as the page shows it. */
export interface LoadedPart {
  readonly check: MeshCheck;
  /** Nine coordinates a facet, mm, ready for drawing. */
  readonly corners: Float32Array;
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

  /** Reads, welds and checks an STL; progress is the share read. */
  load(bytes: Uint8Array, onProgress: Progress = () => {}): Result<LoadedPart, StlIssue> {
    const soup = readStl(bytes, onProgress);
    if (!soup.ok) return fail(soup.issue);
    this.mesh = weldCorners(soup.value.corners);
    return ok({ check: checkMesh(this.mesh), corners: soup.value.corners });
  }

  /** Corrects the loaded part and measures its features before and after. */
  correct(by: PartCorrection, features: readonly AnchoredFeature[]): CorrectedPart {
    if (this.mesh === undefined) throw new RangeError('MeshApi.correct: load a part first');
    const { mesh, ...measured } = correctAndMeasure(this.mesh, by, features);
    return { ...measured, stl: writeStl(mesh), watertight: checkMesh(mesh).watertight };
  }
}
