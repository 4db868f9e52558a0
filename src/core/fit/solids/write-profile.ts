import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { Corner } from './kernel';
import type { Profile } from './profile';

/** The profile as a DXF drawing in millimetres: closed polylines and circles on one layer. */
export function profileToDxf({ loops, circles }: Profile): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const loop of loops)
    dxf.addLWPolyline(
      loop.map(([x, y]) => ({ point: point2d(x, y) })),
      { flags: LWPolylineFlags.Closed },
    );
  for (const { centre, diameterMm } of circles)
    dxf.addCircle(point3d(centre[0], centre[1], 0), diameterMm / 2);
  return dxf.stringify();
}

const MARGIN_MM = 2;

/** The rectangle that holds a profile, mm. */
export function extentOfProfile({ loops, circles }: Pick<Profile, 'loops' | 'circles'>): {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
} {
  const points = [
    ...loops.flat(),
    ...circles.flatMap(({ centre: [x, y], diameterMm }): Corner[] => [
      [x - diameterMm / 2, y - diameterMm / 2],
      [x + diameterMm / 2, y + diameterMm / 2],
    ]),
  ];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

/** The profile as an SVG at true size: user units are millimetres, Y runs down as SVG has it. */
export function profileToSvg({ loops, circles }: Profile): string {
  const extent = extentOfProfile({ loops, circles });
  const [left, right] = [extent.left - MARGIN_MM, extent.right + MARGIN_MM];
  const [low, high] = [extent.low - MARGIN_MM, extent.high + MARGIN_MM];
  const mm = (value: number) => String(Number(value.toFixed(4)));
  const paths = loops.map((loop) => `<path d="M${loop.map(([x, y]) => `${mm(x)} ${mm(-y)}`).join('L')}Z"/>`);
  const rounds = circles.map(
    ({ centre, diameterMm }) =>
      `<circle cx="${mm(centre[0])}" cy="${mm(-centre[1])}" r="${mm(diameterMm / 2)}"/>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(right - left)}mm" height="${mm(high - low)}mm" viewBox="${mm(left)} ${mm(-high)} ${mm(right - left)} ${mm(high - low)}"><g fill="none" stroke="black" stroke-width="0.1">${[...paths, ...rounds].join('')}</g></svg>\n`;
}
