import { writeFileSync } from 'node:fs';
import {
  boundsOf,
  checkMesh,
  correctMesh,
  readMesh,
  weldCorners,
  writeStl,
  type Bounds,
  type Mesh,
  type PartCorrection,
} from '@/core/mesh';
import { MOST_LAYERS, peaksOf, SWEEP_DEFAULTS, sweepLayers } from '@/core/layers';
import { PARAMETER_NAMES, type ParameterName } from '@/core/signature';
import { describeMeshIssue } from '@/words';
import { numberOption, onePath, parseArguments, textOption, type Arguments } from './arguments';
import { readBytes, readText } from './files';
import { UsageError, valueOrRefuse } from './usage-error';

interface TimedMesh {
  readonly mesh: Mesh;
  readonly format: string;
  readonly parseMs: number;
  readonly weldMs: number;
}

function loadMesh(path: string): TimedMesh {
  const bytes = readBytes(path);
  const start = performance.now();
  const soup = valueOrRefuse(readMesh(bytes, path), (issue) => `${path}: ${describeMeshIssue(issue)}`);
  const parsed = performance.now();
  const mesh = weldCorners(soup.corners);
  return { mesh, format: soup.format, parseMs: parsed - start, weldMs: performance.now() - parsed };
}

/** Length, width and height as `130x80x160`. */
function plateOf(given: Arguments): readonly number[] | undefined {
  const text = textOption(given, 'plate');
  if (text === undefined) return undefined;
  const sides = text.split('x').map(Number);
  if (sides.length !== 3 || !sides.every((side) => side > 0))
    throw new UsageError(`--plate: “${text}” is no plate. Give length, width and height such as 130x80x160.`);
  return sides;
}

/** Lies it on the plate as it is, or turned by a quarter? */
function fitsPlate({ min, max }: Bounds, [length, width, height]: readonly number[]): boolean {
  const [x, y, z] = [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
  return z <= height && ((x <= length && y <= width) || (x <= width && y <= length));
}

function layersOf(mesh: Mesh, heightMm: number) {
  const bounds = boundsOf(mesh.positions);
  if ((bounds.max[2] - bounds.min[2]) / heightMm > MOST_LAYERS)
    throw new UsageError(`--layer: ${heightMm} mm makes more than ${MOST_LAYERS} layers. Make them thicker.`);
  const sweep = sweepLayers(mesh, { heightMm });
  const { peak, jump, firstMm2 } = peaksOf(sweep);
  return {
    count: sweep.count,
    height_mm: heightMm,
    area_mm2: [...sweep.areaMm2],
    peak: { layer: peak.layer, area_mm2: peak.areaMm2 },
    jump: { layer: jump.layer, delta_mm2: jump.deltaMm2 },
    first_mm2: firstMm2,
  };
}

/** `mesh check FILE`: what the mesh is worth as a solid, and its layers. */
export function runMeshCheck(words: readonly string[]): object {
  const given = parseArguments(words, ['layer', 'lift', 'plate', 'pixel', 'json']);
  const start = performance.now();
  const { mesh, format, parseMs, weldMs } = loadMesh(onePath(given, 'mesh check'));
  const { volumeMm3, areaMm2, bounds, ...counts } = checkMesh(mesh);
  const heightMm = numberOption(given, 'layer', SWEEP_DEFAULTS.heightMm);
  const plate = plateOf(given);
  const before = performance.now();
  const layers = layersOf(mesh, heightMm);
  const layersMs = performance.now() - before;
  return {
    format,
    ...counts,
    volume_mm3: volumeMm3,
    area_mm2: areaMm2,
    bounds_mm: bounds,
    layers,
    ...(plate === undefined ? {} : { fitsPlate: fitsPlate(bounds, plate) }),
    timing_ms: { parse: parseMs, weld: weldMs, layers: layersMs, total: performance.now() - start },
  };
}

function readCorrection(path: string): PartCorrection {
  const mend = 'Give the file that `signature … --json` printed.';
  let parsed: unknown;
  try {
    parsed = JSON.parse(readText(path));
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(`${path}: this is not JSON. ${mend}`);
  }
  const listed = (parsed as { parameters?: unknown } | null)?.parameters;
  if (!Array.isArray(listed)) throw new UsageError(`${path}: no “parameters” in it. ${mend}`);
  const valueOf = (name: ParameterName) => {
    const found = listed.find((each) => (each as { name?: unknown } | null)?.name === name) as
      { mean?: unknown } | undefined;
    if (typeof found?.mean !== 'number' || !Number.isFinite(found.mean)) {
      throw new UsageError(`${path}: the parameter ${name} has no number “mean”. ${mend}`);
    }
    return found.mean;
  };
  const [epsilonX, epsilonY, skew, epsilonZ, edgeMm, , , zSupportedMm, zPlateMm] =
    PARAMETER_NAMES.map(valueOf);
  return { epsilonX, epsilonY, skew, epsilonZ, edgeMm, zSupportedMm, zPlateMm };
}

/** `mesh correct FILE --signature SIGNATURE.json -o OUT.stl`: writes the corrected part and tells what it did. */
export function runMeshCorrect(words: readonly string[]): object {
  const given = parseArguments(words, ['signature', 'json']);
  const path = onePath(given, 'mesh correct');
  const signaturePath = textOption(given, 'signature');
  const out = textOption(given, 'output');
  if (signaturePath === undefined) throw new UsageError('mesh correct needs --signature SIGNATURE.json.');
  if (out === undefined) throw new UsageError('mesh correct needs -o OUT.stl, the file to write.');
  const by = readCorrection(signaturePath);
  const { mesh } = loadMesh(path);
  const corrected = correctMesh(mesh, by);
  try {
    writeFileSync(out, writeStl(corrected.mesh));
  } catch {
    throw new UsageError(`${out}: cannot be written there. Check the folder.`);
  }
  const { watertight, volumeMm3, bounds } = checkMesh(corrected.mesh);
  return {
    written: out,
    watertight,
    volume_mm3: volumeMm3,
    bounds_mm: bounds,
    crossedFacets: corrected.crossedFacets,
    worstMiss_mm: corrected.worstMissMm,
  };
}
