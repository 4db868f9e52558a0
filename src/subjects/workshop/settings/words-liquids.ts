import type { WashLiquid } from '@/core/resin';

const LIQUID_WORDS: Readonly<Record<WashLiquid, string>> = {
  alcohol: 'alcohol',
  water: 'water',
  washerFluid: 'windscreen washer fluid',
  soapyWater: 'soapy water',
};

export const describeLiquid = (liquid: WashLiquid): string => LIQUID_WORDS[liquid];
