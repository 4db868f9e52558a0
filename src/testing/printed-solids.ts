import type { Manifold } from 'manifold-3d';
import { weldCorners, type Mesh } from '@/core/part/mesh';
import type { SolidKernel } from '@/core/fit/solids';

/** The mesh of a solid, seated with its lowest point at z = 0. */
export function seatedMesh(solid: Manifold): Mesh {
  const { numProp, vertProperties, triVerts } = solid.getMesh();
  const corners = new Float64Array(3 * triVerts.length);
  triVerts.forEach((vertex, at) => {
    for (let axis = 0; axis < 3; axis++) corners[3 * at + axis] = vertProperties[numProp * vertex + axis];
  });
  const lowest = corners.reduce(
    (least, value, i) => (i % 3 === 2 ? Math.min(least, value) : least),
    Infinity,
  );
  return weldCorners(corners.map((value, i) => (i % 3 === 2 ? value - lowest : value)));
}

/** Solids whose layers are known beforehand; lengths mm. */
export function printedSolids({ Manifold }: Pick<SolidKernel, 'Manifold'>) {
  const block = (size: readonly number[], from: readonly number[]) =>
    Manifold.cube([size[0], size[1], size[2]]).translate([from[0], from[1], from[2]]);
  const rod = (radius: number, height: number, from: readonly number[]) =>
    Manifold.cylinder(height, radius, radius, 128).translate([from[0], from[1], from[2]]);
  /** Inner radius 8, depth 10 below a floor of 2, wall 1.5: open at z = 0. */
  const mouthDown = rod(9.5, 12, [0, 0, 0]).subtract(rod(8, 10, [0, 0, 0]));
  const bowl = rod(9.5, 12, [0, 0, 0]).subtract(rod(8, 10, [0, 0, 2]));
  const legs = [
    [0, 0],
    [17, 0],
    [0, 17],
    [17, 17],
  ].map(([x, y]) => block([3, 3, 10], [x, y, 0]));
  const table = legs
    .reduce((all, leg) => all.add(leg), block([20, 20, 2], [0, 0, 10]))
    .add(block([2, 2, 4], [9, 9, 6]));
  const frame = block([20, 20, 3], [0, 0, 0]).subtract(block([14, 14, 3], [3, 3, 0]));
  return {
    box: block([20, 12, 8], [0, 0, 0]),
    mouthDown,
    /** A hole in the wall beside the plate, 3 wide and 2 high. */
    notched: mouthDown.subtract(block([20, 3, 2], [0, -1.5, 0])),
    bowl,
    hollow: block([16, 14, 12], [0, 0, 0]).subtract(block([8, 6, 5], [4, 4, 3])),
    /** Legs of 3 × 3, a top of 20 × 20 × 2 at 10, a peg of 2 × 2 hanging from it down to 6. */
    table,
    apart: block([8, 10, 6], [0, 0, 0]).add(block([8, 10, 6], [8.3, 0, 0])),
    cone: Manifold.cylinder(10, 0, 5, 128),
    /** One frame flat at 8.5, the other upright through it: 2.5 of air beside the bar that goes through. */
    rings: frame.translate([0, 0, 8.5]).add(frame.rotate([90, 0, 0]).translate([-11.5, 11.5, 0])),
  };
}
