export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** Circle through points of a plane, least squares. Source: I. Kåsa, IEEE Trans. Instrum. Meas. 25 (1976) 8. */
export function circleThrough(points: readonly (readonly [number, number])[]): Circle | undefined {
  const count = points.length;
  const mx = points.reduce((sum, [x]) => sum + x, 0) / count;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / count;
  let [suu, svv, suv, su, sv, ss] = [0, 0, 0, 0, 0, 0];
  for (const [x, y] of points) {
    const [u, v] = [x - mx, y - my];
    const square = u * u + v * v;
    suu += u * u;
    svv += v * v;
    suv += u * v;
    su += u * square;
    sv += v * square;
    ss += square;
  }
  const determinant = suu * svv - suv * suv;
  if (Math.abs(determinant) < 1e-12 * (suu + svv) ** 2) return undefined;
  const cx = (su * svv - sv * suv) / (2 * determinant);
  const cy = (sv * suu - su * suv) / (2 * determinant);
  return { x: mx + cx, y: my + cy, radius: Math.sqrt(cx * cx + cy * cy + ss / count) };
}
