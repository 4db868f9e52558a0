/** A callout's anchor on the page, px. */
interface ProjectedAnchor {
  readonly id: number;
  /** Its number in the list beside the picture. */
  readonly number?: number;
  readonly label: string;
  readonly at: readonly [number, number];
}

export interface PlacedCallout {
  readonly id: number;
  readonly label: string;
  readonly from: readonly [number, number];
  /** Where the leader line bends; the label stands on the piece from here to x = `end`. */
  readonly to: readonly [number, number];
  readonly end: number;
  /** Too many for leader lines: only its number stands at the anchor. */
  readonly isBadge: boolean;
}

interface CalloutFrame {
  readonly middle: readonly [number, number];
  readonly width: number;
  readonly height: number;
}

const ROW_PX = 24;
const MARGIN_PX = 8;
const PX_PER_LETTER = 7.2;

/**
 * Sets labels in two columns, left and right of the part, each on the side of its anchor; rows at least 24 px apart in
 * the order of the anchors, so that leader lines do not cross. Where they are too many for that, their numbers stand at
 * their anchors.
 */
export function layOutCallouts(anchors: readonly ProjectedAnchor[], frame: CalloutFrame): PlacedCallout[] {
  const isLeft = ({ at }: ProjectedAnchor) => at[0] < frame.middle[0];
  const columns = [anchors.filter(isLeft), anchors.filter((anchor) => !isLeft(anchor))];
  const rows = Math.max(...columns.map(({ length }) => length));
  if (rows * ROW_PX + 2 * MARGIN_PX > frame.height && anchors.every(({ number }) => number !== undefined))
    return anchors.map(badgeOf);
  return columns.flatMap((column, side) => {
    const ordered = [...column].sort((a, b) => a.at[1] - b.at[1]);
    let row = MARGIN_PX;
    return ordered.map((anchor, i): PlacedCallout => {
      const below = (ordered.length - 1 - i) * ROW_PX;
      row = Math.max(row + ROW_PX, Math.min(anchor.at[1] - ROW_PX, frame.height - MARGIN_PX - below));
      const label = anchor.number === undefined ? anchor.label : `${anchor.number}  ${anchor.label}`;
      const length = PX_PER_LETTER * label.length + 8;
      const outer = side === 0 ? MARGIN_PX : frame.width - MARGIN_PX;
      return {
        id: anchor.id,
        label,
        from: anchor.at,
        to: [side === 0 ? outer + length : outer - length, row],
        end: outer,
        isBadge: false,
      };
    });
  });
}

function badgeOf({ id, number, at }: ProjectedAnchor): PlacedCallout {
  return { id, label: String(number), from: at, to: at, end: at[0], isBadge: true };
}
