import type { SpanRows } from './span-rows';

/** Stretches of one row, as pairs from–to. */
type Stretches = number[];

/** What is left of some stretches when one from `low` to `high` is taken away. */
function without(stretches: Stretches, low: number, high: number): Stretches {
  const left: Stretches = [];
  for (let i = 0; i < stretches.length; i += 2) {
    const [from, to] = [stretches[i], stretches[i + 1]];
    if (high <= from || low >= to) left.push(from, to);
    else {
      if (low > from) left.push(from, low);
      if (high < to) left.push(high, to);
    }
  }
  return left;
}

/** The stretches less all solid of one row of the layer below, grown by `reachMm` on either side. */
function withoutRow(stretches: Stretches, below: SpanRows, row: number, reachMm: number): Stretches {
  let rest = stretches;
  const end = below.firstOf[row + 1];
  for (let i = below.firstOf[row]; i < end && rest.length > 0; i++) {
    if (below.left[i] - reachMm > rest[rest.length - 1]) break;
    if (below.right[i] + reachMm < rest[0]) continue;
    rest = without(rest, below.left[i] - reachMm, below.right[i] + reachMm);
  }
  return rest;
}

/**
 * Area of a layer that lies further than `stepMm` beside all of the layer below, mm². Exact along the rows, a disc of
 * whole rows across; stretches narrower than the step never hang.
 */
export function overhangArea(here: SpanRows, below: SpanRows, stepMm: number): number {
  let length = 0;
  for (let row = here.rowFrom; row < here.rowTo; row++) {
    let near = below.firstOf[row];
    const end = below.firstOf[row + 1];
    for (let i = here.firstOf[row]; i < here.firstOf[row + 1]; i++) {
      // Both rows ascend: what ends before this stretch ends before all that follow.
      while (near < end && below.right[near] + stepMm < here.left[i]) near++;
      // Most stretches grow by less than the step over one of below: told without a list.
      const held =
        near < end &&
        below.left[near] - stepMm <= here.left[i] &&
        below.right[near] + stepMm >= here.right[i];
      if (!held) length += hangingLength(here, i, below, row, stepMm);
    }
  }
  return length * here.grid.pitchMm;
}

/** Does the only stretch of a row below, grown by `reachMm`, hold all of a span? */
function holdsAlone(
  below: SpanRows,
  row: number,
  { left, right }: { readonly left: number; readonly right: number },
  reachMm: number,
): boolean {
  const first = below.firstOf[row];
  return (
    below.firstOf[row + 1] - first === 1 &&
    below.left[first] - reachMm <= left &&
    below.right[first] + reachMm >= right
  );
}

/** The part of one stretch that nothing of the layer below is near to, in its own row and those within the step. */
function hangingLength(here: SpanRows, span: number, below: SpanRows, row: number, stepMm: number): number {
  const { count, pitchMm } = here.grid;
  const rowsWithin = Math.floor(stepMm / pitchMm + 1e-9);
  // At the rim of a part that widens, a neighbouring row holds all of it: told without a list.
  if (rowsWithin > 0) {
    const stretch = { left: here.left[span], right: here.right[span] };
    const reach = Math.sqrt(Math.max(0, stepMm * stepMm - pitchMm * pitchMm));
    if (row > 0 && holdsAlone(below, row - 1, stretch, reach)) return 0;
    if (row + 1 < count && holdsAlone(below, row + 1, stretch, reach)) return 0;
  }
  let rest = withoutRow([here.left[span], here.right[span]], below, row, stepMm);
  for (let off = 1; off <= rowsWithin && rest.length > 0; off++) {
    const reach = Math.sqrt(Math.max(0, stepMm * stepMm - (off * pitchMm) ** 2));
    if (row >= off) rest = withoutRow(rest, below, row - off, reach);
    if (row + off < count) rest = withoutRow(rest, below, row + off, reach);
  }
  let length = 0;
  for (let k = 0; k < rest.length; k += 2) length += rest[k + 1] - rest[k];
  return length;
}
