/** A layer of a plate: how large it is, and by how much it grew. */
export interface LayerFacts {
  readonly layer: number;
  readonly areaMm2: number;
  /** Area gained from the layer below, mm². */
  readonly gainMm2: number;
  /** Share of the layers of this plate that are as large, and that gain as much, or less. */
  readonly largerThan: number;
  readonly gainsMoreThan: number;
}

/** What a layer pulls at the film with, against the other layers of its plate; layers from 1. Undefined: there is none such. */
export function factsOfLayer(areasMm2: readonly number[], layer: number): LayerFacts | undefined {
  const area = areasMm2[layer - 1];
  if (area === undefined) return undefined;
  const gains = areasMm2.map((each, i) => (i === 0 ? 0 : each - areasMm2[i - 1]));
  const gain = gains[layer - 1];
  const share = (values: readonly number[], value: number) =>
    values.filter((each) => each <= value).length / values.length;
  return {
    layer,
    areaMm2: area,
    gainMm2: gain,
    largerThan: share(areasMm2, area),
    gainsMoreThan: share(gains, gain),
  };
}

/** Pull and gain of two layers differ by more than this share, or the comparison says nothing. */
const ALIKE = 0.15;

/** How a failed layer pulls against that of a region like it: harder, easier, or alike. */
export function comparePull(failed: LayerFacts, twin: LayerFacts): 'harder' | 'easier' | 'alike' {
  const ratio = failed.areaMm2 / Math.max(1e-9, twin.areaMm2);
  if (ratio > 1 + ALIKE || failed.gainMm2 > twin.gainMm2 + ALIKE * failed.areaMm2) return 'harder';
  return ratio < 1 - ALIKE && failed.gainMm2 <= twin.gainMm2 ? 'easier' : 'alike';
}
