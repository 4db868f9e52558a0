import type { Manifold, ManifoldToplevel } from 'manifold-3d';
import type { Mesh } from '@/core/part/mesh';

/** The solid kernel, loaded by whoever calls (a worker, a route handler, a script). */
export type SolidKernel = Pick<ManifoldToplevel, 'CrossSection' | 'Manifold'>;
export type Solid = Manifold;
export type Corner = readonly [number, number];

/** Sides of a circle so that the facet error on the diameter, D(1 − cos π/n), stays under a micrometre. */
export function sidesOfCircle(diameterMm: number): number {
  const most = Math.PI / Math.acos(1 - 0.001 / diameterMm);
  return 8 * Math.ceil(Math.max(48, most) / 8);
}

/**
 * The shapes that parts are put together from. Solids live in the kernel's own memory: every one made here is kept
 * track of and given back by `buildMesh`.
 */
export class Workshop {
  private readonly made: Solid[] = [];

  constructor(private readonly kernel: SolidKernel) {}

  private keep(solid: Solid): Solid {
    this.made.push(solid);
    return solid;
  }

  /** Shafts are inscribed: their corners lie on the true circle. A cone when `topMm` differs; stands on z = 0. */
  shaft(diameterMm: number, heightMm: number, topMm = diameterMm): Solid {
    const sides = sidesOfCircle(Math.max(diameterMm, topMm));
    return this.keep(this.kernel.Manifold.cylinder(heightMm, diameterMm / 2, topMm / 2, sides));
  }

  /** Hole cutters are circumscribed: their sides touch the true circle, so a pin of that size goes in. */
  hole(diameterMm: number, heightMm: number, topMm = diameterMm): Solid {
    const sides = sidesOfCircle(Math.max(diameterMm, topMm));
    const out = 1 / Math.cos(Math.PI / sides);
    return this.keep(
      this.kernel.Manifold.cylinder(heightMm, (diameterMm / 2) * out, (topMm / 2) * out, sides),
    );
  }

  /** Standing on z = 0, its middle over the origin. */
  box(xMm: number, yMm: number, zMm: number): Solid {
    return this.move(this.keep(this.kernel.Manifold.cube([xMm, yMm, zMm], true)), [0, 0, zMm / 2]);
  }

  /** A prism over a closed outline of corners, counter-clockwise, standing on z = 0. */
  prism(outline: readonly Corner[], heightMm: number): Solid {
    const section = new this.kernel.CrossSection([outline.map(([x, y]) => [x, y])], 'NonZero');
    const solid = section.extrude(heightMm);
    section.delete();
    return this.keep(solid);
  }

  /** A body of revolution about Z over corners (radius, z); `inside`: circumscribed, to be cut away. */
  turned(outline: readonly Corner[], inside = false): Solid {
    const widest = 2 * Math.max(...outline.map(([radius]) => radius));
    const sides = sidesOfCircle(widest);
    const out = inside ? 1 / Math.cos(Math.PI / sides) : 1;
    const section = new this.kernel.CrossSection([outline.map(([r, z]) => [r * out, z])], 'NonZero');
    const solid = section.revolve(sides);
    section.delete();
    return this.keep(solid);
  }

  move(solid: Solid, by: readonly [number, number, number]): Solid {
    return this.keep(solid.translate([...by]));
  }

  turn(solid: Solid, degrees: readonly [number, number, number]): Solid {
    return this.keep(solid.rotate([...degrees]));
  }

  join(solids: readonly Solid[]): Solid {
    return this.keep(this.kernel.Manifold.union([...solids]));
  }

  cut(from: Solid, cutters: readonly Solid[]): Solid {
    return cutters.length === 0 ? from : this.keep(from.subtract(this.join(cutters)));
  }

  giveBack(): void {
    this.made.forEach((solid) => solid.delete());
    this.made.length = 0;
  }
}

function toMesh(solid: Solid): Mesh {
  const { vertProperties, triVerts, numProp } = solid.getMesh();
  const count = vertProperties.length / numProp;
  const positions = new Float64Array(3 * count);
  for (let vertex = 0; vertex < count; vertex++) {
    for (let i = 0; i < 3; i++) positions[3 * vertex + i] = vertProperties[vertex * numProp + i];
  }
  return { positions, facets: Uint32Array.from(triVerts) };
}

/** Puts a part together and gives its memory back; the mesh is closed and counter-clockwise from outside. */
export function buildMesh(kernel: SolidKernel, make: (shop: Workshop) => Solid): Mesh {
  const shop = new Workshop(kernel);
  try {
    return toMesh(make(shop));
  } finally {
    shop.giveBack();
  }
}
