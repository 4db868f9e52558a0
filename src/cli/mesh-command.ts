import { quoted } from '@/core/kit/wording';
import { writeFileSync } from 'node:fs';
import { type LayerReading, MOST_LAYERS, peaksOf, READING_DEFAULTS, readLayers } from '@/core/part/layers';
import {
  type Bounds,
  boundsOf,
  checkMesh,
  listShells,
  correctAndProve,
  findFeatures,
  guessUnits,
  type Mesh,
  MM_IN,
  MOST_FEATURE_FACETS,
  type PartCorrection,
  readMesh,
  weldCorners,
  writeStl,
} from '@/core/part/mesh';
import type { ParameterName } from '@/core/signature';
import { describeMeshIssue, UNIT_WORDS } from '@/subjects/workshop/records/shared';
import { type Arguments, neededNumber, numberOption, textOption } from './arguments';
import { readBytes, readText } from './files';
import { progressOf, remark } from './progress';
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
  const soup = valueOrRefuse(
    readMesh(bytes, path, progressOf('Reading the file')),
    (issue) => `${path}: ${describeMeshIssue(issue)}`,
  );
  const parsed = performance.now();
  const mesh = weldCorners(soup.corners);
  return { mesh, format: soup.format, parseMs: parsed - start, weldMs: performance.now() - parsed };
}

/** A part of a strange size was drawn in another unit, most likely: said, and read as it is. */
function remarkUnits(bounds: Bounds, format: string): void {
  const [likely] = guessUnits(bounds);
  if (format === '3mf' || likely === 'mm') return;
  const sides = [0, 1, 2].map((axis) => Number((bounds.max[axis] - bounds.min[axis]).toPrecision(4)));
  remark(
    `Read as millimetres, the part is ${sides.join(' × ')} mm. Was it drawn in ${UNIT_WORDS[likely]}? If so, scale the file by ${MM_IN[likely]}.`,
  );
}

/** Length, width and height as `130x80x160`. */
function plateOf(given: Arguments): readonly number[] | undefined {
  const text = textOption(given, 'plate');
  if (text === undefined) return undefined;
  const sides = text.split('x').map(Number);
  if (sides.length !== 3 || !sides.every((side) => side > 0))
    throw new UsageError(
      `--plate: “${quoted(text)}” is not a plate size. Enter length, width and height, such as 130x80x160.`,
    );
  return sides;
}

/** Whether it fits on the plate unchanged, or rotated by 90°. */
function fitsPlate(
  { min, max }: Bounds,
  [length, width, height]: readonly number[],
  liftMm: number,
): boolean {
  const [x, y, z] = [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
  return z + liftMm <= height && ((x <= length && y <= width) || (x <= width && y <= length));
}

function readAsPrinted(mesh: Mesh, given: Arguments, liftMm: number): LayerReading {
  const heightMm = numberOption(given, 'layer', READING_DEFAULTS.heightMm);
  const pixelMm = numberOption(given, 'pixel', READING_DEFAULTS.pixelMm);
  const { min, max } = boundsOf(mesh.positions);
  if ((max[2] - min[2]) / heightMm > MOST_LAYERS)
    throw new UsageError(
      `--layer: ${heightMm} mm gives more than ${MOST_LAYERS} layers. Use a larger layer height.`,
    );
  const options = { heightMm, pixelMm, onSupports: liftMm > 0, bodyOf: listShells(mesh) };
  return readLayers(mesh, options, progressOf('Reading the layers'));
}

/** The fields of FORMATS for what the layers say. */
function layerFields(reading: LayerReading): object {
  const { count, heightMm, areaMm2, overhangMm2, islands, cups, traps, voids } = reading;
  const { peak, jump, firstMm2 } = peaksOf(reading);
  return {
    layers: {
      count,
      height_mm: heightMm,
      area_mm2: [...areaMm2],
      peak: { layer: peak.layer, area_mm2: peak.areaMm2 },
      jump: { layer: jump.layer, delta_mm2: jump.deltaMm2 },
      first_mm2: firstMm2,
    },
    islands: islands.map(({ layer, atMm, areaMm2: area_mm2 }) => ({
      layer,
      z_mm: atMm[2],
      x_mm: atMm[0],
      y_mm: atMm[1],
      area_mm2,
    })),
    overhang_mm2: [...overhangMm2],
    cups: cups.map(({ fromLayer, toLayer, volumeMm3, ventMm }) => ({
      fromLayer,
      toLayer,
      volume_mm3: volumeMm3,
      vent_mm: ventMm,
    })),
    traps: traps.map(({ volumeMm3 }) => ({ volume_mm3: volumeMm3 })),
    voids: voids.map(({ volumeMm3 }) => ({ volume_mm3: volumeMm3 })),
    smallestWall_mm: reading.smallestWall?.sizeMm ?? null,
    smallestGap_mm: reading.smallestGap?.sizeMm ?? null,
    smallestWallZ_mm: reading.smallestWallZ?.sizeMm ?? null,
    smallestGapZ_mm: reading.smallestGapZ?.sizeMm ?? null,
    overlaps: reading.overlaps.map(({ volumeMm3, middleMm: [x_mm, y_mm, z_mm] }) => ({
      volume_mm3: volumeMm3,
      x_mm,
      y_mm,
      z_mm,
    })),
  };
}

/** `mesh check FILE`: what the mesh is worth as a solid, and its layers. */
export function runMeshCheck(given: Arguments): object {
  const start = performance.now();
  const { mesh, format, parseMs, weldMs } = loadMesh(given.positionals[0]);
  const { volumeMm3, areaMm2, bounds, ...counts } = checkMesh(mesh);
  remarkUnits(bounds, format);
  const plate = plateOf(given);
  const liftMm = textOption(given, 'lift') === undefined ? 0 : neededNumber(given, 'lift', 0);
  const before = performance.now();
  const reading = readAsPrinted(mesh, given, liftMm);
  const layersMs = performance.now() - before;
  return {
    format,
    ...counts,
    volume_mm3: volumeMm3,
    area_mm2: areaMm2,
    bounds_mm: bounds,
    ...layerFields(reading),
    fitsPlate: plate === undefined ? null : fitsPlate(bounds, plate, liftMm),
    timing_ms: { parse: parseMs, weld: weldMs, layers: layersMs, total: performance.now() - start },
  };
}

function readCorrection(path: string): PartCorrection {
  const mend = 'Use the output of `signature … --json`.';
  let parsed: unknown;
  try {
    parsed = JSON.parse(readText(path));
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(`${path}: not valid JSON. ${mend}`);
  }
  const listed = (parsed as { parameters?: unknown } | null)?.parameters;
  if (!Array.isArray(listed)) throw new UsageError(`${path}: “parameters” is missing. ${mend}`);
  const valueOf = (name: ParameterName) => {
    const found = listed.find((each) => (each as { name?: unknown } | null)?.name === name) as
      { mean?: unknown } | undefined;
    if (typeof found?.mean !== 'number' || !Number.isFinite(found.mean)) {
      throw new UsageError(`${path}: the parameter ${name} needs a number “mean”. ${mend}`);
    }
    return found.mean;
  };
  return {
    epsilonX: valueOf('epsilonX'),
    epsilonY: valueOf('epsilonY'),
    skew: valueOf('skew'),
    epsilonZ: valueOf('epsilonZ'),
    edgeMm: valueOf('edge'),
    insideMm: valueOf('insideExtra'),
    roundMm2: valueOf('roundExtra'),
    zSupportedMm: valueOf('zSupported'),
    zPlateMm: valueOf('zPlate'),
  };
}

/** `mesh correct FILE --signature SIGNATURE.json -o OUT.stl`: writes the corrected part and tells what it did. */
export function runMeshCorrect(given: Arguments): object {
  const liftMm = textOption(given, 'lift') === undefined ? 0 : neededNumber(given, 'lift', 0);
  const [path] = given.positionals;
  const signaturePath = textOption(given, 'signature');
  const out = textOption(given, 'output');
  if (signaturePath === undefined) throw new UsageError('mesh correct needs --signature SIGNATURE.json.');
  if (out === undefined) throw new UsageError('mesh correct needs -o OUT.stl, the output file.');
  const by = readCorrection(signaturePath);
  const { mesh } = loadMesh(path);
  const corrected = correctAndProve(mesh, { by, onPlate: liftMm === 0 });
  try {
    writeFileSync(out, writeStl(corrected.mesh));
  } catch {
    throw new UsageError(`${out}: cannot write this file. Check the folder.`);
  }
  const { watertight, volumeMm3, bounds } = checkMesh(corrected.mesh);
  return {
    written: out,
    watertight,
    volume_mm3: volumeMm3,
    bounds_mm: bounds,
    crossedFacets: corrected.crossedFacets ?? null,
    worstMiss_mm: corrected.worstMissMm,
    features: corrected.proofs.map(({ feature, askedMm, afterMm }) => ({
      kind: feature.sort,
      nominal_mm: feature.nominalMm,
      asked_mm: askedMm,
      corrected_mm: afterMm ?? null,
    })),
  };
}

/** `mesh features FILE`: the sizes found on a mesh, as drawn in the file. */
export function runMeshFeatures({ positionals: [path] }: Arguments): object {
  const { mesh } = loadMesh(path);
  const count = mesh.facets.length / 3;
  if (count > MOST_FEATURE_FACETS)
    throw new UsageError(
      `${path}: ${count} facets; the limit for features is ${MOST_FEATURE_FACETS}. Export the part with a coarser mesh.`,
    );
  return {
    features: findFeatures(mesh).map(({ sort, kind, nominalMm, centreMm, direction, facetErrorMm }) => ({
      kind: sort,
      sense: kind.sense,
      shape: kind.shape,
      axis: kind.axis,
      ...(kind.angleRad === undefined ? {} : { angle_deg: (kind.angleRad * 180) / Math.PI }),
      ...(kind.base === undefined ? {} : { base: kind.base }),
      nominal_mm: nominalMm,
      centre_mm: centreMm,
      direction,
      ...(facetErrorMm === undefined ? {} : { facetError_mm: facetErrorMm }),
    })),
  };
}
