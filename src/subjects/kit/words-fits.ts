import type { Material, Ruin, Wish } from '@/core/fit/mating';

const WISH_WORDS: Readonly<Record<Wish, { name: string; means: string }>> = {
  grip: { name: 'press fit', means: 'pressed in, holds by itself' },
  push: { name: 'push fit', means: 'pushed in by thumb, stays in place' },
  slide: { name: 'sliding fit', means: 'moves by hand without play' },
  turn: { name: 'running fit', means: 'turns or slides freely' },
  loose: { name: 'loose fit', means: 'drops in with clearance' },
};

export function describeWish(wish: Wish): { readonly name: string; readonly means: string } {
  return WISH_WORDS[wish];
}

const RUIN_WORDS: Readonly<Record<Ruin, string>> = {
  none: 'any wrong fit costs one reprint',
  tightCosts: 'too tight costs one day',
  tightRuins: 'too tight breaks an irreplaceable part',
  looseRuins: 'too loose is not acceptable',
};

export function describeRuin(ruin: Ruin): string {
  return RUIN_WORDS[ruin];
}

const MATERIAL_WORDS: Readonly<Record<Material, string>> = {
  steel: 'steel',
  aluminium: 'aluminium',
  brass: 'brass',
  glass: 'glass or ceramic',
  hardPlastic: 'hard plastic',
  softPlastic: 'soft plastic',
  wood: 'wood',
  resin: 'printed resin',
  other: 'other',
};

export function describeMaterial(material: Material): string {
  return MATERIAL_WORDS[material];
}
