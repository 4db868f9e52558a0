import { formatMm } from '@/core/kit/wording';

interface PrinterFacts {
  readonly pixelMm: number | null;
  readonly lightNm: number | null;
  readonly layerSeconds: number | null;
  readonly simulatedSeed: number | null;
}

/** pixel 0.022 mm · 405 nm · 7.5 s a layer */
export function describePrinter({ pixelMm, lightNm, layerSeconds, simulatedSeed }: PrinterFacts): string {
  return [
    pixelMm === null ? 'pixel unknown' : `pixel ${formatMm(pixelMm, 3)} mm`,
    lightNm === null ? 'light unknown' : `${lightNm} nm`,
    layerSeconds === null ? '' : `${layerSeconds} s a layer`,
    simulatedSeed === null ? '' : 'simulated printer',
  ]
    .filter((part) => part !== '')
    .join(' · ');
}
