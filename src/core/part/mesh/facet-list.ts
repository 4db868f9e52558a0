import earcut, { flatten } from 'earcut';
import { fail, ok, type Result } from '@/core/kit';

/** More facets than any printer's file needs; components multiply, so that a small file may ask for more. */
const MOST_FACETS = 20_000_000;

/** A face with more corners is no face of a part, and cutting it into triangles could take minutes. */
const MOST_CORNERS = 20_000;

/** A growing array of coordinates. */
class CoordinateList {
  private values = new Float64Array(96);
  length = 0;

  push(value: number): void {
    if (this.length === this.values.length) {
      const larger = new Float64Array(2 * this.values.length);
      larger.set(this.values);
      this.values = larger;
    }
    this.values[this.length++] = value;
  }

  at(index: number): number {
    return this.values[index];
  }

  done(): Float64Array {
    return this.values.slice(0, this.length);
  }
}

/** Why a facet cannot be taken. */
export type FacetIssue =
  | {
      readonly code: 'indexOutOfRange';
      readonly facet: number;
      readonly index: number;
      readonly vertices: number;
    }
  | { readonly code: 'tooManyFacets'; readonly limit: number }
  | {
      readonly code: 'manyCorners';
      readonly facet: number;
      readonly corners: number;
      readonly limit: number;
    };

/** Vertices by index and the facets over them, as a file gives them; polygons become triangles. */
export class FacetList {
  private readonly points = new CoordinateList();
  private readonly corners = new CoordinateList();
  private polygons = 0;

  get vertices(): number {
    return this.points.length / 3;
  }

  get facets(): number {
    return this.corners.length / 9;
  }

  addVertex(x: number, y: number, z: number): void {
    this.points.push(x);
    this.points.push(y);
    this.points.push(z);
  }

  /** Adds a polygon by its vertices, counted from zero; fewer than three corners are not a facet and are skipped. */
  addPolygon(indices: readonly number[]): Result<void, FacetIssue> {
    this.polygons++;
    if (indices.length > MOST_CORNERS)
      return fail({
        code: 'manyCorners',
        facet: this.polygons,
        corners: indices.length,
        limit: MOST_CORNERS,
      });
    const { vertices } = this;
    const wrong = indices.find((index) => !(Number.isInteger(index) && index >= 0 && index < vertices));
    if (wrong !== undefined)
      return fail({ code: 'indexOutOfRange', facet: this.polygons, index: wrong, vertices });
    if (this.facets + indices.length > MOST_FACETS)
      return fail({ code: 'tooManyFacets', limit: MOST_FACETS });
    if (indices.length === 3) this.addTriangle(indices[0], indices[1], indices[2]);
    else if (indices.length > 3) this.cut(indices);
    return ok(undefined);
  }

  private addTriangle(a: number, b: number, c: number): void {
    for (const index of [a, b, c])
      for (let axis = 0; axis < 3; axis++) this.corners.push(this.points.at(3 * index + axis));
  }

  /** Cuts a polygon into triangles in the plane that it faces most; winding is kept. */
  private cut(indices: readonly number[]): void {
    const points = indices.map((index) => [0, 1, 2].map((axis) => this.points.at(3 * index + axis)));
    // Newell's normal: twice the area over each plane.
    const normal = [0, 0, 0];
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length];
      for (let axis = 0; axis < 3; axis++) {
        const [u, v] = [(axis + 1) % 3, (axis + 2) % 3];
        normal[axis] += (p[u] - q[u]) * (p[v] + q[v]);
      }
    });
    const axis = [0, 1, 2].reduce((best, each) =>
      Math.abs(normal[each]) > Math.abs(normal[best]) ? each : best,
    );
    const [u, v] = [(axis + 1) % 3, (axis + 2) % 3];
    const { vertices, holes, dimensions } = flatten([points.map((p) => [p[u], p[v]])]);
    const cuts = earcut(vertices, holes, dimensions);
    // The cutter winds as it likes: turn its triangles the way the polygon runs.
    for (let i = 0; i < cuts.length; i += 3) {
      const [a, b, c] = [points[cuts[i]], points[cuts[i + 1]], points[cuts[i + 2]]];
      const area = (b[u] - a[u]) * (c[v] - a[v]) - (c[u] - a[u]) * (b[v] - a[v]);
      const turned = area * normal[axis] >= 0;
      const [second, third] = turned ? [cuts[i + 1], cuts[i + 2]] : [cuts[i + 2], cuts[i + 1]];
      this.addTriangle(indices[cuts[i]], indices[second], indices[third]);
    }
  }

  /** Adds the facets of another list, moved by a 3MF transform (row vectors, 4 × 3). */
  addMoved(other: FacetList, transform: readonly number[]): Result<void, FacetIssue> {
    if (this.facets + other.facets > MOST_FACETS) return fail({ code: 'tooManyFacets', limit: MOST_FACETS });
    const t = transform;
    const mirrored =
      t[0] * (t[4] * t[8] - t[5] * t[7]) -
        t[1] * (t[3] * t[8] - t[5] * t[6]) +
        t[2] * (t[3] * t[7] - t[4] * t[6]) <
      0;
    for (let facet = 0; facet < other.facets; facet++) {
      for (const corner of mirrored ? [0, 2, 1] : [0, 1, 2]) {
        const from = 9 * facet + 3 * corner;
        const [x, y, z] = [other.corners.at(from), other.corners.at(from + 1), other.corners.at(from + 2)];
        for (let axis = 0; axis < 3; axis++)
          this.corners.push(x * t[axis] + y * t[3 + axis] + z * t[6 + axis] + t[9 + axis]);
      }
    }
    return ok(undefined);
  }

  done(): Float64Array {
    return this.corners.done();
  }
}
