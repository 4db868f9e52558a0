import type { Corner, Solid, Workshop } from '@/core/fit/solids';
import type { GapDirection, JointKind } from '@/core/fit/mating';
import { HOLE, PIN } from './block-pieces';
import { notchCutters, type Piece, type PieceFeature } from './piece';

/** Plate around captive pins, mm: low, to print quickly. */
const HIGH_MM = 6;
/** The first layers flare and would weld any gap: pins and holes step back from each other there. */
const FOOT_MM = 0.5;
/** A pin's bulge keeps it in its plate. */
const BULGE_MM = 0.5;
const TAN_22_5 = Math.SQRT2 - 1;

/** A pin with a bulge between slopes of 45°, corners (radius, z); `gapMm` around it gives its hole. */
function waistedOutline(pinMm: number, gapMm: number): Corner[] {
  const radius = pinMm / 2 + gapMm;
  const foot = gapMm > 0 ? FOOT_MM : -FOOT_MM;
  const end = gapMm > 0 ? 1 : 0;
  // Offsetting a corner of 135° by the gap shifts it along the axis by gap·tan 22.5°.
  const low = 2 - gapMm * TAN_22_5;
  const high = HIGH_MM - low;
  const wide = radius + BULGE_MM;
  return [
    [0, -end],
    [radius + foot, -end],
    [radius + foot, 0],
    [radius, FOOT_MM],
    [radius, low],
    [wide, low + BULGE_MM],
    [wide, high - BULGE_MM],
    [radius, high],
    [radius, HIGH_MM + end],
    [0, HIGH_MM + end],
  ];
}

/**
 * Steps from pole to pole, even so that the equator is met. Ball and socket lie on the same chords, so the gap between them
 * is the drawn one to half a micrometre; 192 steps made a file of 64 MB of the same ladder.
 */
const BALL_STEPS = 32;

/** A ball cut flat above and below, corners (radius, z). */
function ballOutline(ballMm: number, gapMm: number): Corner[] {
  const radius = ballMm / 2 + gapMm;
  const end = gapMm > 0 ? 1 : 0;
  const reach = Math.asin(Math.min(1, HIGH_MM / 2 / radius));
  const arc = Array.from({ length: BALL_STEPS + 1 }, (_, i): Corner => {
    const angle = -reach + (2 * reach * i) / BALL_STEPS;
    return [radius * Math.cos(angle), HIGH_MM / 2 + radius * Math.sin(angle)];
  });
  const first = arc[0][0];
  const relief = gapMm > 0 ? FOOT_MM : -FOOT_MM / 2;
  return [
    [0, -end],
    [first + relief, -end],
    [first + relief, 0],
    ...arc.filter(([, z]) => z > FOOT_MM),
    ...(gapMm > 0 ? ([[first, HIGH_MM + end]] as Corner[]) : []),
    [0, HIGH_MM + end],
  ];
}

/** A slot across the top of a pin, for a screwdriver. */
function driverSlot(shop: Workshop, acrossMm: number): Solid {
  return shop.move(shop.box(acrossMm, 1, 2), [0, 0, HIGH_MM - 1.2]);
}

/** A captive pin or ball in its square of plate; steps are in one row and join into one plate. */
function captivePiece(joint: 'hinge' | 'ball', pinMm: number, gapMm: number, rung: number): Piece {
  const outline = joint === 'hinge' ? waistedOutline : ballOutline;
  const side = pinMm + 2 * gapMm + 2 * BULGE_MM + 5;
  const middle = HIGH_MM / 2;
  const bulge = joint === 'hinge' ? 2 * BULGE_MM : 0;
  const size = (name: string, kind: PieceFeature['kind'], drawnMm: number): PieceFeature => ({
    feature: `step ${rung} ${name}`,
    kind,
    drawnMm,
    atMm: [0, 0],
    anchorMm: [drawnMm / 2, 0, middle],
  });
  return {
    lengthMm: side,
    widthMm: side + 3,
    features: [size('hole', HOLE, pinMm + 2 * gapMm + bulge), size('pin', PIN, pinMm + bulge)],
    build: (shop) => {
      // Squares overlap their neighbours, so that the row is one plate.
      const square = shop.box(side + 6, side + 3, HIGH_MM);
      const plate = shop.cut(square, [
        shop.turned(outline(pinMm, gapMm), true),
        ...notchCutters(shop, rung, -(side + 3) / 2, HIGH_MM),
      ]);
      const pin = shop.cut(shop.turned(outline(pinMm, 0)), [driverSlot(shop, pinMm)]);
      return { add: [plate, pin] };
    },
  };
}

/** A square frame lying in the XY plane, its middle at the origin; bars of square section. */
function frame(shop: Workshop, windowMm: readonly [number, number], barMm: number): Solid {
  const outer = shop.box(windowMm[0] + 2 * barMm, windowMm[1] + 2 * barMm, barMm);
  const window = shop.move(shop.box(windowMm[0], windowMm[1], barMm + 2), [0, 0, -1]);
  return shop.move(shop.cut(outer, [window]), [0, 0, -barMm / 2]);
}

/**
 * Two links through each other, leaning on the plate at 45° each way. Their end bars face each other at the gap; along
 * their sides they have 2 mm.
 */
function linkPiece(barMm: number, gapMm: number, rung: number): Piece {
  const window: readonly [number, number] = [3 * barMm + 4 * gapMm, barMm + 4];
  const half = (window[1] + 2 * barMm) / 2;
  const lift = (half + barMm / 2) / Math.SQRT2;
  // The end bar of the right one lies in the left one's window, the gap from its end bar.
  const apart = window[0] - gapMm;
  return {
    lengthMm: apart + window[0] + 2 * barMm,
    widthMm: 2 * lift,
    features: [],
    build: (shop) => {
      const one = (x: number, degrees: number, notched: boolean) => {
        const end = window[0] / 2 + barMm;
        const flat = frame(shop, window, barMm);
        const marked = notched
          ? shop.cut(
              flat,
              notchCutters(shop, rung, 0, barMm).map((cutter) =>
                shop.move(shop.turn(cutter, [0, 0, 90]), [-end, 0, -barMm / 2]),
              ),
            )
          : flat;
        return shop.move(shop.turn(marked, [degrees, 0, 0]), [x, 0, lift]);
      };
      return { add: [one(-apart / 2, 45, true), one(apart / 2, -45, false)] };
    },
  };
}

/** Section of a rail's channel or of the rail itself, drawn along X; standing, the gap lies between walls. */
function railOutline(railMm: number, gapMm: number): Corner[] {
  const [web, flange, neck, thick] = [railMm / 4 + gapMm, railMm / 2 + gapMm, 2.5, 2];
  const low = gapMm > 0 ? -thick - gapMm : -thick;
  const shoulder = gapMm > 0 ? gapMm : 0;
  const mouth = gapMm > 0 ? neck + 1 : neck;
  return [
    [-flange, low],
    [flange, low],
    [flange, shoulder],
    [web, shoulder],
    [web, mouth],
    [-web, mouth],
    [-web, shoulder],
    [-flange, shoulder],
  ];
}

/** A T-shaped rail standing in its channel; it slides up and out when the gap between the walls is free. */
function sliderPiece(railMm: number, gapMm: number, rung: number): Piece {
  const lengthMm = railMm + 2 * gapMm + 6;
  const widthMm = 10;
  const at: readonly [number, number, number] = [0, widthMm / 2 - 2.5, 0];
  const across: PieceFeature[] = [
    {
      feature: `step ${rung} gap`,
      kind: { sense: 'inside', shape: 'flat', axis: 'X' },
      drawnMm: gapMm,
      atMm: [0, at[1] - 1],
      anchorMm: [railMm / 2 + gapMm, at[1] - 1.5, HIGH_MM / 2],
    },
    {
      feature: `step ${rung} rail`,
      kind: { sense: 'outside', shape: 'flat', axis: 'X' },
      drawnMm: railMm,
      atMm: [0, at[1] - 1],
      anchorMm: [railMm / 2, at[1] - 1.5, HIGH_MM / 2],
    },
  ];
  return {
    lengthMm,
    widthMm,
    features: across,
    build: (shop) => {
      const channel = shop.move(shop.prism(railOutline(railMm, gapMm), HIGH_MM + 2), [at[0], at[1], -1]);
      const foot = shop.move(shop.prism(railOutline(railMm, gapMm + FOOT_MM), FOOT_MM + 1), [
        at[0],
        at[1],
        -1,
      ]);
      const block = shop.cut(shop.box(lengthMm + 6, widthMm, HIGH_MM), [
        channel,
        foot,
        ...notchCutters(shop, rung, -widthMm / 2, HIGH_MM),
      ]);
      const rail = shop.move(shop.prism(railOutline(railMm, 0), HIGH_MM + 1.5), at);
      return { add: [block, rail] };
    },
  };
}

/** Sides of a rail lying under a roof, mm: so wide that the height alone binds. */
const SIDE_MM = 0.8;

/**
 * A rail lying in a channel under two lips: the gap to be tried is the height below the lips. Rail and walls both stand
 * on the plate; the rail's front end is out, to be pulled by.
 */
function roofPiece(railMm: number, gapMm: number, rung: number): Piece {
  const [flange, lip] = [2, 1.5];
  const wide = railMm + 2 * SIDE_MM;
  const lengthMm = wide + 5;
  const neck = railMm / 3;
  const roof = flange + gapMm;
  return {
    lengthMm,
    widthMm: 20,
    features: [
      {
        feature: `step ${rung} under the lip`,
        kind: { sense: 'inside', shape: 'flat', axis: 'Z' },
        drawnMm: gapMm,
        atMm: [0, 2],
        anchorMm: [(neck / 2 + SIDE_MM + railMm / 2) / 2, 2, roof],
      },
    ],
    build: (shop) => {
      // Front to back: the rail's end from −10, the block from −4 to 10, its channel closed behind at 8.8.
      const block = shop.move(shop.box(lengthMm + 6, 14, roof + lip), [0, 3, 0]);
      const channel = shop.move(shop.box(wide, 13.8, roof + 1), [0, 1.9, -1]);
      const slit = shop.move(shop.box(neck + 2 * SIDE_MM, 13.8, lip + 2), [0, 1.9, roof - 0.5]);
      const marks = notchCutters(shop, rung, 10, roof + lip);
      const rail = shop.move(shop.box(railMm, 18, flange), [0, -1, 0]);
      const web = shop.move(shop.box(neck, 18, gapMm + lip + 0.5), [0, -1, flange - 0.1]);
      return { add: [shop.cut(block, [channel, slit, ...marks]), shop.join([rail, web])] };
    },
  };
}

/** Returns one step of a gap test for joints printed in place. */
export function jointPiece(
  joint: JointKind,
  direction: GapDirection,
  sizes: { readonly pinMm: number; readonly gapMm: number; readonly rung: number },
): Piece {
  const { pinMm, gapMm, rung } = sizes;
  if (direction === 'height') return roofPiece(pinMm, gapMm, rung);
  if (joint === 'links') return linkPiece(pinMm, gapMm, rung);
  if (joint === 'slider') return sliderPiece(pinMm, gapMm, rung);
  return captivePiece(joint, pinMm, gapMm, rung);
}
