import { formatMm } from '@/core/kit/wording';
import {
  type LimitSource,
  type OrientationName,
  type PrintSetup,
  type Station,
  STATION_WORDS,
  STATIONS,
} from '@/core/part/findings';

export const SOURCE_WORDS: Readonly<Record<LimitSource, string>> = {
  printer: 'printer setting',
  resin: 'resin datasheet',
  ladder: 'gap test',
  house: 'shop setting',
  assumed: 'assumed',
};

/** Stations that a part goes into and those that it does not. */
export function describeFits(fits: Partial<Record<Station, boolean>>): string {
  const known = STATIONS.filter((station) => fits[station] !== undefined);
  if (known.length === 0) return 'sizes unknown';
  return known
    .map((station) => `${fits[station] === true ? '' : 'not '}${STATION_WORDS[station]}`)
    .join(', ');
}

export function describePrintSetup(stance: PrintSetup): string {
  switch (stance.kind) {
    case 'plate':
      return 'flat on the plate';
    case 'supports':
      return `on supports, ${formatMm(stance.liftMm, 1)} mm high`;
    case 'inFile':
      return 'on the supports in the file';
  }
}

export function describeOrientation(pose: OrientationName): string {
  switch (pose.kind) {
    case 'asIs':
      return 'not turned';
    case 'face':
      return pose.face === '-Z' ? 'upside down' : `${pose.face.replace('-', '−')} up`;
    case 'tilt':
      return `tilted ${pose.deg}° about ${pose.about}`;
    case 'search':
      return 'found by search';
  }
}
