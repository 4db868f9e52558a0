import { type Chance, type Clock, type Finding, momentOf, type Risk } from '@/core/part/findings';
import { formatMm } from '@/subjects/kit/shared';
import { STATION_WORDS } from './words-print-setup';

const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

export const RISK_WORDS: Readonly<Record<Risk, string>> = {
  printLost: 'print may fail',
  sizeOff: 'wrong size',
  surfaceMarred: 'damaged surface',
};

export const CHANCE_WORDS: Readonly<Record<Chance, string>> = {
  sure: 'almost certain',
  likely: 'likely',
  possible: 'possible',
};

/** A finding in words: what it is, what it does, what to do about it, and what that changes. */
interface FindingWords {
  readonly title: string;
  readonly does: string;
  readonly mend: string;
  readonly changes: string;
}

const area = (mm2: number) => `${mm2 < 10 ? mm2.toFixed(2) : Math.round(mm2)} mm²`;

const volume = (mm3 = 0) =>
  mm3 < 1000 ? `${mm3 < 10 ? mm3.toFixed(1) : Math.round(mm3)} mm³` : `${(mm3 / 1000).toFixed(1)} ml`;

const place = (at: Finding['atMm']) =>
  at === undefined ? '' : ` at ${at.map((value) => formatMm(value, 1)).join(', ')}`;

function describeTooLarge({ station = 'plate', measured }: Finding): FindingWords {
  const title = `Too large for the ${STATION_WORDS[station]} by ${formatMm(measured, 1)} mm`;
  if (station === 'plate')
    return {
      title,
      does: 'It cannot be printed in this orientation.',
      mend: 'Turn the part, split it in two, or make it smaller.',
      changes:
        'Orientation below shows which orientations fit. Two halves need a joint, so you design one more fit.',
    };
  return {
    title,
    does: 'A part that does not fit the bath or the lamp stays sticky or cures unevenly, and curing changes its sizes.',
    mend: 'Use a larger bath, turn the part by hand under the lamp, or print it in two pieces.',
    changes:
      'A part cured in two turns prints different sizes. Measure it so that the signature learns them.',
  };
}

function describeHollow({ code, measured, volumeMm3, ventMm }: Finding): FindingWords {
  const vent = ventMm === undefined ? '' : `${place(ventMm)}`;
  switch (code) {
    case 'cup':
      return {
        title: `Suction cup of ${area(measured)}`,
        does: `It traps ${volume(volumeMm3)} while it prints. Every lift pulls a vacuum that can tear a layer or the film.`,
        mend: `Drill or draw a vent of 2 mm or more${vent}. Or raise the part on supports where it opens toward the plate, or tilt it.`,
        changes: 'Resin can flow through the hole. Plug it afterwards if the part must be tight.',
      };
    case 'trap':
      return {
        title: `Traps ${volume(volumeMm3)} of resin while it hangs from the plate`,
        does: 'The resin drips when you remove the part. If it is not washed out, it cures on the surface.',
        mend: 'Tilt the part so that the resin runs out, or add a drain hole at its far end. Let it drip before you wash it.',
        changes:
          'Wear gloves and keep a tray under it: liquid resin runs out. You use less resin, and the inside washes clean.',
      };
    default:
      return {
        title: `Sealed void with ${volume(volumeMm3)} of resin`,
        does: 'Liquid resin stays inside permanently. It can crack the wall months later and leak onto hands.',
        mend: 'Fill the void in your CAD program, or add two holes so that you can wash it and close it.',
        changes: 'A solid part needs that much more resin. With holes, you can wash and cure the inside.',
      };
  }
}

function describeThin({ code, measured, limit = 0 }: Finding): FindingWords {
  const sizes = `${formatMm(measured, 2)} mm, minimum ${formatMm(limit, 2)} mm`;
  switch (code) {
    case 'thinWall':
      return {
        title: `Wall of ${sizes}`,
        does: 'A wall this thin prints one pixel too thick, one pixel too thin, or not at all.',
        mend: 'Draw the wall thicker, or scale the part up.',
        changes: 'A wall of whole pixels prints as drawn. Scale shows the size at which it prints.',
      };
    case 'bodiesFuse':
      return {
        title: measured < 0.005 ? 'Two bodies touch' : `Two bodies ${sizes} apart`,
        does: 'Stray light and edge growth close the gap, so the moving parts print as one piece.',
        mend: 'Move them apart, or set a joint gap in Fit that came free in a gap test.',
        changes: 'The joint gets more play. Fit shows the chance that it comes free.',
      };
    default:
      return {
        title: `Gap of ${sizes}`,
        does: 'Resin stays in the gap and cures, so the slot prints shallower or closed.',
        mend: 'Draw it wider. If it must be this narrow, print a gap test first.',
        changes: 'A wider gap stays open and washes out.',
      };
  }
}

function describeThroughHeight({ code, measured, limit = 0, atMm }: Finding): FindingWords {
  const sizes = `${formatMm(measured, 2)} mm, minimum ${formatMm(limit, 2)} mm`;
  switch (code) {
    case 'bodiesOverlap':
      return {
        title: `Two bodies overlap by ${volume(measured)}`,
        does: 'The two bodies overlap in the file, so they print as one piece.',
        mend: `Move them apart${place(atMm)}. If they belong together, join them in your CAD program.`,
        changes:
          'If you separate them, use the gap from Fit. If you join them, the check treats them as one body.',
      };
    case 'thinFloor':
      return {
        title: `Floor of ${sizes}`,
        does: 'A floor of only a few layers tears when it peels off the film, or prints one layer too thick.',
        mend: 'Draw it thicker, in whole layers, or turn the part so that the floor is vertical.',
        changes: 'A thicker floor needs more resin, and only the time of its own layers.',
      };
    case 'stackFuses':
      return {
        title: `One body ${sizes} above another`,
        does: 'Light passes through the upper body and cures the gap below it. The two bodies fuse.',
        mend: 'Increase the gap along Z, or print them side by side.',
        changes: 'Side by side they need more plate area but less height, so less time.',
      };
    default:
      return {
        title: `Gap of ${sizes} below a roof`,
        does: 'Light passes through the roof and cures the resin below it. The gap prints shallower or closed.',
        mend: 'Draw the gap higher, or turn the part so that the gap is vertical.',
        changes: 'In a vertical gap, edge growth closes the gap instead. The signature predicts that better.',
      };
  }
}

function describeArea({ code, measured, limit = 0 }: Finding, tipMm?: number): FindingWords {
  switch (code) {
    case 'largeArea':
      return {
        title: `One layer has ${area(measured)}; the limit is ${area(limit)}`,
        does: 'This much area peels at once, so the part may stick to the film instead of the plate.',
        mend: 'Tilt the part until no layer is that large, hollow it with vents, or lift more slowly.',
        changes: 'A tilted part needs more layers and supports. A slower lift adds hours.',
      };
    case 'areaJump':
      return {
        title: `The area grows by ${area(measured)} in one layer`,
        does: 'The peel force jumps there. It leaves a line on the surface and pulls on thin stems below.',
        mend: 'Tilt the part so that the face starts over many layers, or chamfer its edge.',
        changes: 'A chamfer spreads the step and needs no support.',
      };
    case 'overhang':
      return {
        title: `${area(measured)} of one layer overhangs without support`,
        does: 'Nothing holds the overhang while it cures. It sags, gets thicker below, or tears off.',
        mend: `Support it from below${describeTip(tipMm)}, tilt it past the self-supporting angle, or print it the other way up.`,
        changes: 'Supported faces grow downward. The signature learns by how much once you measure it.',
      };
    case 'smallContact':
      return {
        title: `Only ${area(measured)} touches the plate; at least ${area(limit)} is needed`,
        does: 'The peel force of larger layers pulls the part off the plate.',
        mend: 'Sink the part into the plate by a few layers, place it on another face, or put it on supports.',
        changes: 'The sunk layers are missing from the height. Add them to the drawing.',
      };
    default:
      return {
        title: `Only ${area(measured)} of the first layer touches the plate`,
        does: 'The plate has nothing to hold. A longer exposure does not help.',
        mend: 'Place the part on a face, sink it into the plate, or put it on supports.',
        changes: 'Supports leave marks. A sunk part prints lower by the sunk height.',
      };
  }
}

const describeTip = (tipMm: number | undefined) =>
  tipMm === undefined ? '' : ` with ${formatMm(tipMm, 2)} mm tips, as the resin datasheet asks`;

/** What one finding is, what it does, what to do, and what that changes. */
export function describeFinding(finding: Finding, tipMm?: number): FindingWords {
  const { code, measured } = finding;
  switch (code) {
    case 'tooLarge':
      return describeTooLarge(finding);
    case 'notClosed':
      return {
        title: `The mesh is not closed: ${plural(measured, 'edge', 'edges')}`,
        does: 'The slicer must guess what is inside, so layers can print empty or filled.',
        mend: 'Repair a copy below, or export the part again from your CAD program.',
        changes: 'The repair shows the change in volume before you accept it.',
      };
    case 'insideOut':
      return {
        title: `${plural(measured, 'shell is', 'shells are')} inside out`,
        does: 'A slicer may print the air around it, or nothing.',
        mend: 'Repair a copy below. The repair turns the shell right side out.',
        changes: 'The shape stays the same. Only inside and outside are swapped.',
      };
    case 'island':
      return {
        title: `Starts in mid-air: ${area(measured)}`,
        does: 'Nothing holds its first layer. It sticks to the film, or it floats in the vat and the next print hits it.',
        mend: `Support it${place(finding.atMm)}${describeTip(tipMm)}, or turn the part.`,
        changes: 'One more support, and a support mark to sand.',
      };
    case 'cup':
    case 'trap':
    case 'void':
      return describeHollow(finding);
    case 'thinWall':
    case 'bodiesFuse':
    case 'gapCloses':
      return describeThin(finding);
    case 'bodiesOverlap':
    case 'thinFloor':
    case 'roofCloses':
    case 'stackFuses':
      return describeThroughHeight(finding);
    default:
      return describeArea(finding, tipMm);
  }
}

/** Where a finding is: the printer's layer, its height above the plate and the time from the start. */
export function describeWhere({ layer, toLayer }: Finding, clock: Clock): string | undefined {
  if (layer === undefined) return undefined;
  const { printed, heightMm, minutes } = momentOf(layer, clock);
  const last = toLayer === undefined ? printed : momentOf(toLayer, clock).printed;
  const layers = last === printed ? `layer ${printed}` : `layers ${printed}–${last}`;
  return `${layers}, ${formatMm(heightMm, 2)} mm high, ${describeMinutes(Math.round(minutes))} after the start`;
}

function describeMinutes(minutes: number): string {
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

/** A finding that was decided, in its title; of old ones the words that were kept. */
export function describeDecided(
  finding: Finding | { readonly code: 'told'; readonly title: string },
): string {
  return finding.code === 'told' ? finding.title : describeFinding(finding).title;
}
