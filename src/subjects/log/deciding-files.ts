import { postField } from '@/core/fit/gauges';
import type { TestName } from '@/core/log';
import { type Mesh, readMesh, weldCorners, writeStl } from '@/core/part/mesh';
import type { OpenBench } from '@/store';
import { queries } from '@/store';
import { buildJobFile, viewJobUnlearned } from '@/subjects/job/jobs';
import { bedOf } from '@/subjects/print/plate';
import { readMesh as readKeptMesh } from '@/subjects/workshop/records';

/** A file that a deciding test is made with. */
export interface DecidingFile {
  readonly name: string;
  readonly type: 'model/stl' | 'image/svg+xml';
  readonly body: Uint8Array<ArrayBuffer> | string;
}

const FINE_MM = 5;
const COARSE_MM = 10;

/** White lines every 5 mm on black, heavier every 10, as large as the plate: dead pixels and dark patches show between them. */
export function lightImage(widthMm: number, depthMm: number): string {
  const lines = (lengthMm: number, line: (at: number) => string) =>
    Array.from({ length: Math.floor(lengthMm / FINE_MM) + 1 }, (_, i) => {
      const at = i * FINE_MM;
      return `<path d="${line(at)}" stroke-width="${at % COARSE_MM === 0 ? 0.6 : 0.2}"/>`;
    }).join('');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${depthMm}mm" viewBox="0 0 ${widthMm} ${depthMm}">` +
    `<rect width="${widthMm}" height="${depthMm}" fill="#000"/><g stroke="#fff" fill="none">` +
    lines(widthMm, (x) => `M${x} 0V${depthMm}`) +
    lines(depthMm, (y) => `M0 ${y}H${widthMm}`) +
    '</g></svg>'
  );
}

/** Returns a part rotated by 180° about the vertical through its own zero. */
export function turnedByHalf({ positions, facets }: Mesh): Mesh {
  return { positions: positions.map((value, i) => (i % 3 === 2 ? value : 0 - value)), facets };
}

/** Returns the part that failed in a print, rotated by 180°; undefined if it has no file. */
async function turnedPart({ db, folder }: OpenBench, runId: number): Promise<DecidingFile | undefined> {
  const pieces = queries.listPieces(db, runId);
  const failed = queries.listFailures(db, [runId]).flatMap(({ pieceId }) => pieceId ?? []);
  const own = pieces.find(({ piece }) => failed.includes(piece.id)) ?? pieces[0];
  const view = own && viewJobUnlearned(db, own.job.id);
  if (view === undefined) return undefined;
  const hash = own.attempt.meshHash ?? view.job.meshHash;
  const bytes =
    hash === null
      ? await buildJobFile(view, 'newest', 'stl')
      : await readKeptMesh(folder, hash).catch(() => undefined);
  const soup = bytes && readMesh(bytes);
  if (soup === undefined || !soup.ok) return undefined;
  const body = writeStl(turnedByHalf(weldCorners(soup.value.corners)));
  return { name: `${view.job.name} rotated 180°.stl`, type: 'model/stl', body };
}

/** What a deciding test of a run is made with; undefined: there is no such run, or nothing to build for it. */
export async function decidingFile(
  bench: OpenBench,
  runId: number,
  test: TestName,
): Promise<DecidingFile | undefined> {
  const { db } = bench;
  if (queries.findRun(db, runId) === undefined) return undefined;
  if (test === 'turnPart') return turnedPart(bench, runId);
  const { widthMm, depthMm } = bedOf(db, runId);
  if (test === 'postField')
    return { name: 'posts.stl', type: 'model/stl', body: writeStl(postField([widthMm, depthMm])) };
  if (test === 'imageCheck')
    return { name: 'light image.svg', type: 'image/svg+xml', body: lightImage(widthMm, depthMm) };
  return undefined;
}
