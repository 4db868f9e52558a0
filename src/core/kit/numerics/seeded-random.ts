/** A repeatable source of chance; the same seed gives the same sequence on every machine. */
export interface SeededRandom {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
}

/** Generator with 32 bits of state and full period (Weyl sequence with a mixing function); normals by the polar method. */
export function seededRandom(seed: number): SeededRandom {
  let state = seed >>> 0;
  let spare: number | undefined;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (): number => {
    if (spare !== undefined) {
      const value = spare;
      spare = undefined;
      return value;
    }
    for (;;) {
      const u = 2 * uniform() - 1;
      const v = 2 * uniform() - 1;
      const square = u * u + v * v;
      if (square === 0 || square >= 1) continue;
      const scale = Math.sqrt((-2 * Math.log(square)) / square);
      spare = v * scale;
      return u * scale;
    }
  };
  return { uniform, normal };
}

/** A seed of its own for each name under a parent seed (FNV-1a), so that streams do not shift when one grows. */
export function seedFrom(parent: number, name: string): number {
  let hash = (2166136261 ^ parent) >>> 0;
  for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 16777619) >>> 0;
  return hash;
}
