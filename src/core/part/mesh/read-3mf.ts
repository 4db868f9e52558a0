import { unzipSync } from 'fflate';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { fail, ok, type Result } from '@/core/kit';
import { FacetList, type FacetIssue } from './facet-list';
import type { FacetSoup } from './mesh';

export type ThreeMfIssue =
  | FacetIssue
  | { readonly code: 'notPackage' }
  | { readonly code: 'packageTooLarge'; readonly bytes: number; readonly limitBytes: number }
  | { readonly code: 'pathOutside'; readonly path: string }
  | { readonly code: 'noModel' }
  | { readonly code: 'badXml'; readonly detail: string }
  | { readonly code: 'entities' }
  | { readonly code: 'unknownUnit'; readonly unit: string }
  | { readonly code: 'badAttribute'; readonly element: string; readonly attribute: string }
  | { readonly code: 'objectMissing'; readonly id: string }
  | { readonly code: 'cyclicComponent'; readonly id: string }
  | { readonly code: 'noFacets' };

/** Unpacked, the model may have so many bytes: a small package that grows beyond is made to do harm. */
const LARGEST_MODEL_BYTES = 400 * 1024 * 1024;
const RELS = '_rels/.rels';
const MODEL_TYPE = 'http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel';
/** Millimetres of each unit that the core specification knows. */
const UNITS: Readonly<Record<string, number>> = {
  micron: 0.001,
  millimeter: 1,
  centimeter: 10,
  inch: 25.4,
  foot: 304.8,
  meter: 1000,
};
const IDENTITY = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0] as const;

/** Thrown inside of the XML parser's handlers, which cannot return; never leaves this file. */
class Refused extends Error {
  constructor(readonly issue: ThreeMfIssue) {
    super(issue.code);
  }
}

interface Placed {
  readonly id: string;
  readonly transform: readonly number[];
}

interface ModelObject {
  readonly mesh: FacetList;
  readonly components: Placed[];
}

interface Model {
  readonly scaleMm: number;
  readonly objects: ReadonlyMap<string, ModelObject>;
  readonly items: readonly Placed[];
}

/** Unpacks the parts that are wanted and no others; sizes are those the package states, held to the limit. */
function unpack(
  bytes: Uint8Array,
  wanted: (name: string) => boolean,
): Result<Record<string, Uint8Array>, ThreeMfIssue> {
  let tooLarge = 0;
  try {
    const parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!wanted(name)) return false;
        if (originalSize > LARGEST_MODEL_BYTES) tooLarge = originalSize;
        return originalSize <= LARGEST_MODEL_BYTES;
      },
    });
    return tooLarge > 0
      ? fail({ code: 'packageTooLarge', bytes: tooLarge, limitBytes: LARGEST_MODEL_BYTES })
      : ok(parts);
  } catch {
    return fail({ code: 'notPackage' });
  }
}

/** Runs a parser over XML; document types are refused whole, and with them every entity of their own. */
function parseXml(
  bytes: Uint8Array,
  onTag: (tag: SaxesTagPlain) => void,
  onClose: (name: string) => void = () => {},
): ThreeMfIssue | undefined {
  const parser = new SaxesParser();
  parser.on('doctype', () => {
    throw new Refused({ code: 'entities' });
  });
  parser.on('error', (error) => {
    throw new Refused({ code: 'badXml', detail: error.message });
  });
  parser.on('opentag', (tag) => onTag(tag));
  parser.on('closetag', ({ name }) => onClose(name));
  try {
    const piece = 1 << 20;
    const decoder = new TextDecoder();
    for (let at = 0; at < bytes.length; at += piece)
      parser.write(decoder.decode(bytes.subarray(at, at + piece), { stream: true }));
    parser.close();
    return undefined;
  } catch (error) {
    if (error instanceof Refused) return error.issue;
    throw error;
  }
}

/** A path of the package without its leading slash; undefined when it leaves the package. */
function insidePath(target: string): string | undefined {
  const segments: string[] = [];
  for (const segment of target.replace(/^\//, '').split('/')) {
    if (segment === '..' && segments.length === 0) return undefined;
    if (segment === '..') segments.pop();
    else if (segment !== '.' && segment !== '') segments.push(segment);
  }
  return /[\\:]/.test(target) ? undefined : segments.join('/');
}

function findModelPath(bytes: Uint8Array): Result<string, ThreeMfIssue> {
  const rels = unpack(bytes, (name) => name === RELS);
  if (!rels.ok) return rels;
  let target: string | undefined;
  const part = rels.value[RELS];
  if (part === undefined) return fail({ code: 'notPackage' });
  const issue = parseXml(part, ({ name, attributes }) => {
    if (name.endsWith('Relationship') && attributes.Type === MODEL_TYPE) target = attributes.Target;
  });
  if (issue !== undefined) return fail(issue);
  if (target === undefined) return fail({ code: 'noModel' });
  const path = insidePath(target);
  return path === undefined ? fail({ code: 'pathOutside', path: target.slice(0, 80) }) : ok(path);
}

function numberOf(tag: SaxesTagPlain, attribute: string): number {
  const text = tag.attributes[attribute];
  const value = Number(text);
  if (text === undefined || text.trim() === '' || !Number.isFinite(value))
    throw new Refused({ code: 'badAttribute', element: tag.name, attribute });
  return value;
}

function transformOf(tag: SaxesTagPlain): readonly number[] {
  const text = tag.attributes.transform;
  if (text === undefined) return IDENTITY;
  const numbers = text.trim().split(/\s+/).map(Number);
  if (numbers.length !== 12 || !numbers.every(Number.isFinite))
    throw new Refused({ code: 'badAttribute', element: tag.name, attribute: 'transform' });
  return numbers;
}

/** Names without their namespace prefix: the core's own may carry one. */
const localName = (name: string) => name.slice(name.indexOf(':') + 1);

function parseModel(bytes: Uint8Array): Result<Model, ThreeMfIssue> {
  const objects = new Map<string, ModelObject>();
  const items: Placed[] = [];
  let scaleMm = 1;
  let current: ModelObject | undefined;
  const issue = parseXml(
    bytes,
    (tag) => {
      switch (localName(tag.name)) {
        case 'model': {
          const unit = tag.attributes.unit ?? 'millimeter';
          if (UNITS[unit] === undefined) throw new Refused({ code: 'unknownUnit', unit: unit.slice(0, 30) });
          scaleMm = UNITS[unit];
          return;
        }
        case 'object':
          current = { mesh: new FacetList(), components: [] };
          objects.set(tag.attributes.id ?? '', current);
          return;
        case 'vertex':
          current?.mesh.addVertex(numberOf(tag, 'x'), numberOf(tag, 'y'), numberOf(tag, 'z'));
          return;
        case 'triangle': {
          const added = current?.mesh.addPolygon(['v1', 'v2', 'v3'].map((corner) => numberOf(tag, corner)));
          if (added?.ok === false) throw new Refused(added.issue);
          return;
        }
        case 'component':
          current?.components.push({ id: tag.attributes.objectid ?? '', transform: transformOf(tag) });
          return;
        case 'item':
          items.push({ id: tag.attributes.objectid ?? '', transform: transformOf(tag) });
      }
    },
    (name) => {
      if (localName(name) === 'object') current = undefined;
    },
  );
  return issue === undefined ? ok({ scaleMm, objects, items }) : fail(issue);
}

/** First `inner`, then `outer`: row vectors times 4 × 3 matrices. */
function compose(inner: readonly number[], outer: readonly number[]): number[] {
  const result: number[] = [];
  for (let row = 0; row < 4; row++)
    for (let column = 0; column < 3; column++) {
      let sum = row === 3 ? outer[9 + column] : 0;
      for (let k = 0; k < 3; k++) sum += inner[3 * row + k] * outer[3 * k + column];
      result.push(sum);
    }
  return result;
}

/** Places an object and all that it is made of; an object within itself is refused. */
function place(
  model: Model,
  { id, transform }: Placed,
  into: FacetList,
  within: readonly string[] = [],
): ThreeMfIssue | undefined {
  const object = model.objects.get(id);
  if (object === undefined) return { code: 'objectMissing', id };
  if (within.includes(id)) return { code: 'cyclicComponent', id };
  const added = into.addMoved(object.mesh, transform);
  if (!added.ok) return added.issue;
  for (const component of object.components) {
    const placed = { id: component.id, transform: compose(component.transform, transform) };
    const issue = place(model, placed, into, [...within, id]);
    if (issue !== undefined) return issue;
  }
  return undefined;
}

/** Components of components may double at each step: so many placements are more than any part has. */
const MOST_PLACEMENTS = 100_000;

function countPlacements(model: Model): number {
  const known = new Map<string, number>();
  const count = (id: string, depth: number): number => {
    if (depth > model.objects.size) return 0;
    const seen = known.get(id);
    if (seen !== undefined) return seen;
    const parts = model.objects.get(id)?.components ?? [];
    const total = parts.reduce((sum, part) => sum + count(part.id, depth + 1), 1);
    known.set(id, total);
    return total;
  };
  return model.items.reduce((sum, { id }) => sum + count(id, 0), 0);
}

/**
 * Reads what a 3MF builds: units to millimetres, components and build transforms applied. Only the model part is
 * unpacked. Refuses packages that grow beyond 400 MB, paths that leave the package, entities, objects within themselves.
 * Source: 3MF Core Specification 1.3.
 */
export function read3mf(bytes: Uint8Array): Result<FacetSoup, ThreeMfIssue> {
  const path = findModelPath(bytes);
  if (!path.ok) return path;
  const parts = unpack(bytes, (name) => name === path.value);
  if (!parts.ok) return parts;
  const part = parts.value[path.value];
  if (part === undefined) return fail({ code: 'noModel' });
  const model = parseModel(part);
  if (!model.ok) return model;
  const { items, scaleMm } = model.value;
  if (countPlacements(model.value) > MOST_PLACEMENTS)
    return fail({ code: 'tooManyFacets', limit: MOST_PLACEMENTS });
  const placed = new FacetList();
  for (const item of items) {
    const issue = place(model.value, item, placed);
    if (issue !== undefined) return fail(issue);
  }
  const corners = placed.done();
  if (corners.length === 0) return fail({ code: 'noFacets' });
  if (scaleMm !== 1) for (let i = 0; i < corners.length; i++) corners[i] *= scaleMm;
  return ok({ format: '3mf', corners });
}
