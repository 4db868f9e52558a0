import { type Chance, type Clock, type Finding, momentOf, type Risk } from '@/core/findings';
import { formatMm } from '@/subjects/language/shared';
import { STATION_WORDS } from './words-stance';

const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

export const RISK_WORDS: Readonly<Record<Risk, string>> = {
  printLost: 'print lost',
  sizeOff: 'size off',
  surfaceMarred: 'surface marred',
};

export const CHANCE_WORDS: Readonly<Record<Chance, string>> = {
  sure: 'nearly sure',
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
  const title = `Too large for the ${STATION_WORDS[station]}, by ${formatMm(measured, 1)} mm`;
  if (station === 'plate')
    return {
      title,
      does: 'It cannot be printed standing like this.',
      mend: 'Turn it, cut it in two, or make it smaller.',
      changes:
        'Orientation below shows which poses fit; two halves need a joint, which is one more fit to design.',
    };
  return {
    title,
    does: 'A part that does not fit the bath or the lamp stays sticky or cures unevenly, and its sizes change with the cure.',
    mend: 'Use a larger bath, turn the part by hand under the lamp, or print it in two pieces.',
    changes: 'A part cured in two turns prints other sizes: measure it, so that the signature learns it.',
  };
}

function describeHollow({ code, measured, volumeMm3, ventMm }: Finding): FindingWords {
  const vent = ventMm === undefined ? '' : `${place(ventMm)}`;
  switch (code) {
    case 'cup':
      return {
        title: `A suction cup of ${area(measured)}`,
        does: `It closes off ${volume(volumeMm3)} while it prints. Every lift pulls a vacuum that can tear a layer or the film.`,
        mend: `Drill or draw a hole of 2 mm or more${vent}, stand it on supports where it is open to the plate, or tilt it.`,
        changes: 'Resin can flow through the hole. Plug it afterwards if the part must be tight.',
      };
    case 'trap':
      return {
        title: `Traps ${volume(volumeMm3)} of resin while it hangs from the plate`,
        does: 'The trapped resin drips when the part comes off, and cures on the surface if it is not washed out.',
        mend: 'Tilt the part so that the resin runs out, or add a drain hole at its far end. Let it drip before the wash.',
        changes:
          'Wear gloves and keep a tray under it: liquid resin runs out. You use less resin and the inside washes clean.',
      };
    default:
      return {
        title: `A sealed void holds ${volume(volumeMm3)}`,
        does: 'Liquid resin stays inside for good. It can crack the wall months later and leak onto hands.',
        mend: 'Fill it in the modeller, or give it two holes that can be washed and closed.',
        changes: 'A solid part takes that much more resin. With holes it can be washed and cured inside.',
      };
  }
}

function describeThin({ code, measured, limit = 0 }: Finding): FindingWords {
  const sizes = `${formatMm(measured, 2)} mm, least ${formatMm(limit, 2)}`;
  switch (code) {
    case 'thinWall':
      return {
        title: `A wall of ${sizes}`,
        does: 'A wall of so few pixels comes out a whole pixel too thick or too thin, or not at all.',
        mend: 'Draw it thicker, or enlarge the part.',
        changes: 'A wall of whole pixels prints as drawn. The scale study shows the size at which it holds.',
      };
    case 'bodiesFuse':
      return {
        title: `Two bodies ${sizes} apart`,
        does: 'Stray light and edge growth bridge the gap, so what should move comes out as one piece.',
        mend: 'Move them apart, or widen the joint under Fit to a gap that came free on its ladder.',
        changes: 'The joint gets more play. Fit shows the chance that it comes free.',
      };
    default:
      return {
        title: `A gap of ${sizes}`,
        does: 'Resin stays in it and cures, so the slot comes out shallower or closed.',
        mend: 'Draw it wider, or try a gap ladder if it must be that narrow.',
        changes: 'A wider gap stays open and washes out.',
      };
  }
}

function describeThroughHeight({ code, measured, limit = 0, atMm }: Finding): FindingWords {
  const sizes = `${formatMm(measured, 2)} mm, least ${formatMm(limit, 2)} mm`;
  switch (code) {
    case 'bodiesOverlap':
      return {
        title: `Two bodies share ${volume(measured)}`,
        does: 'They are drawn into one another, so they print as one piece.',
        mend: `Move them apart${place(atMm)}, or join them in the modeller if they are meant to be one.`,
        changes: 'Apart, they need the gap that Fit gives. Joined, the check reads them as one body.',
      };
    case 'thinFloor':
      return {
        title: `A floor of ${sizes}`,
        does: 'A few layers alone tear when they peel off the film, or they come out a whole layer thicker.',
        mend: 'Draw it thicker, in whole layers, or turn the part so that the floor stands upright.',
        changes: 'A thicker floor takes more resin and no more time than its layers.',
      };
    case 'stackFuses':
      return {
        title: `One body ${sizes} above another`,
        does: 'Light passes through the upper body and cures the gap below it. The two fuse.',
        mend: 'Move them further apart along Z, or print them side by side.',
        changes: 'Side by side they take more of the plate and less height, so less time.',
      };
    default:
      return {
        title: `A gap of ${sizes} below a roof`,
        does: 'Light passes through the roof and cures the resin below it. The gap is shallower or closed.',
        mend: 'Draw the gap higher, or turn the part so that the gap stands upright.',
        changes: 'Upright, the gap is closed by edge growth instead, which the signature knows better.',
      };
  }
}

function describeArea({ code, measured, limit = 0 }: Finding, tipMm?: number): FindingWords {
  switch (code) {
    case 'largeArea':
      return {
        title: `One layer of ${area(measured)}, over ${area(limit)}`,
        does: 'So much surface peels at once that the part may stick to the film instead of the plate.',
        mend: 'Tilt it until no layer is that large, hollow it with vents, or lift more slowly.',
        changes: 'Tilting takes more layers and supports. A slower lift adds hours.',
      };
    case 'areaJump':
      return {
        title: `The area grows by ${area(measured)} in one layer`,
        does: 'The peel force jumps there. It leaves a line and pulls on thin stems below.',
        mend: 'Tilt the part so that the face starts over many layers, or chamfer its edge.',
        changes: 'A chamfer spreads the step and needs no support.',
      };
    case 'overhang':
      return {
        title: `${area(measured)} of one layer overhang without support`,
        does: 'Nothing holds the overhang while it cures. It sags, grows thick below, or tears off.',
        mend: `Support it from below${describeTip(tipMm)}, tilt it beyond its angle, or print it the other way up.`,
        changes: 'Supported faces grow downward. The signature knows by how much once it was measured.',
      };
    case 'smallContact':
      return {
        title: `Only ${area(measured)} touch the plate, least ${area(limit)}`,
        does: 'The peel of larger layers pulls it off the plate.',
        mend: 'Sink it into the plate by a few layers, stand it on another face, or on supports.',
        changes: 'What you sink into the plate is missing from the height, so add it to the drawing.',
      };
    default:
      return {
        title: `It stands on a point of ${area(measured)}`,
        does: 'The plate has nothing to hold. More exposure does not help.',
        mend: 'Stand it on a face, sink it into the plate, or lift it onto supports.',
        changes: 'Supports leave marks. A sunk part comes out that much lower.',
      };
  }
}

const describeTip = (tipMm: number | undefined) =>
  tipMm === undefined ? '' : ` with tips of ${formatMm(tipMm, 2)} mm, as the resin’s sheet asks`;

/** What one finding is, what it does, what to do, and what that changes. */
export function describeFinding(finding: Finding, tipMm?: number): FindingWords {
  const { code, measured } = finding;
  switch (code) {
    case 'tooLarge':
      return describeTooLarge(finding);
    case 'notClosed':
      return {
        title: `The mesh is not closed: ${plural(measured, 'edge', 'edges')}`,
        does: 'The slicer has to guess what is inside, so layers can come out empty or filled.',
        mend: 'Mend a copy below, or export it again from the modeller.',
        changes: 'A mend says what it changed in volume before you take it.',
      };
    case 'insideOut':
      return {
        title: `${plural(measured, 'shell is', 'shells are')} inside out`,
        does: 'A slicer may print the air around it, or nothing.',
        mend: 'Mend a copy below: the mend turns it right side out.',
        changes: 'The shape stays the same. Only inside and outside are swapped.',
      };
    case 'island':
      return {
        title: `Starts in mid-air: ${area(measured)}`,
        does: 'Nothing holds its first layer. It sticks to the film or floats in the vat, where the next print hits it.',
        mend: `Support it there${place(finding.atMm)}${describeTip(tipMm)}, or turn the part.`,
        changes: 'One more support, and its mark to sand down.',
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
  return `${layers}, ${formatMm(heightMm, 2)} mm up, ${describeMinutes(Math.round(minutes))} in`;
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
