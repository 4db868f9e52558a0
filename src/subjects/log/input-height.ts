import { parseLength } from '@/core/measure';

/** A plate as far as heights are read on it. */
export interface Layered {
  readonly layers: number;
  readonly layerMm: number;
  /** Planned, s. */
  readonly plannedS: number;
}

/** A layer with its height and when it is printed, after the start. */
export interface LayerRead {
  readonly layer: number;
  readonly heightMm: number;
  readonly clockS: number;
}

const CLOCK = /^(\d{1,2}):([0-5]\d)$/;
const WHOLE = /^\d{1,5}$/;

/**
 * A layer as somebody says it: 212 is a layer, 10.6 mm a height, 2:10 hours and minutes after the start. undefined: none of
 * them. The clock goes evenly over the layers: near enough to find a place again.
 */
export function readLayer(text: string, { layers, layerMm, plannedS }: Layered): LayerRead | undefined {
  const typed = text.trim();
  const of = (layer: number): LayerRead | undefined =>
    layer >= 1 && layer <= layers
      ? { layer, heightMm: layer * layerMm, clockS: (plannedS * layer) / layers }
      : undefined;
  const clock = CLOCK.exec(typed);
  if (clock !== null)
    return of(Math.round((layers * (3600 * Number(clock[1]) + 60 * Number(clock[2]))) / plannedS));
  if (WHOLE.test(typed)) return of(Number(typed));
  const height = parseLength(typed);
  return height.ok ? of(Math.max(1, Math.ceil(height.value.valueMm / layerMm - 1e-9))) : undefined;
}

/** 212, 10.60 mm, 2:10 after the start */
export function describeLayer({ layer, heightMm, clockS }: LayerRead): string {
  const minutes = Math.round(clockS / 60);
  const clock = `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
  return `layer ${layer}, ${heightMm.toFixed(2)} mm high, ${clock} after the start`;
}
