import type { Material, Ruin, Wish } from '@/core/fits';

const WISH_WORDS: Readonly<Record<Wish, { name: string; means: string }>> = {
  grip: { name: 'grip', means: 'pressed in, stays by its own tightness' },
  push: { name: 'push', means: 'goes in by thumb, stays where it is put' },
  slide: { name: 'slide', means: 'moves by hand without shake' },
  turn: { name: 'turn', means: 'turns or runs freely' },
  loose: { name: 'loose', means: 'drops in, room to spare' },
};

export function describeWish(wish: Wish): { readonly name: string; readonly means: string } {
  return WISH_WORDS[wish];
}

const RUIN_WORDS: Readonly<Record<Ruin, string>> = {
  none: 'a miss either way costs one reprint',
  tightCosts: 'too tight costs a day',
  tightRuins: 'too tight breaks what cannot be replaced',
  looseRuins: 'too loose must not happen',
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
  other: 'something else',
};

export function describeMaterial(material: Material): string {
  return MATERIAL_WORDS[material];
}
