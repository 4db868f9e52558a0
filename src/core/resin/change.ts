import { type Asked, type Check, isRated } from './check';
import { WATER_MOST_C } from './sag';
import { heatAt, type Evidence } from './evidence-of';
import { stressAllowing } from './deflection';
import { ASSUMED_STRESS_MPA, hottestOf, type Requirement } from './requirement';

/** What would have to change for a resin to pass: of the part, of the shop, or of what is known. */
export type Change =
  | { readonly code: 'coolerMoment'; readonly toC: number }
  | { readonly code: 'lessMargin'; readonly toK: number }
  | { readonly code: 'lessStress'; readonly toMPa: number }
  | { readonly code: 'stateStress'; readonly assumedMPa: number }
  | { readonly code: 'lessStrain'; readonly to: number }
  | { readonly code: 'gentler' }
  | { readonly code: 'thicker'; readonly times: number }
  | { readonly code: 'thinner'; readonly times: number }
  | { readonly code: 'warmerRoom'; readonly toC?: number }
  | { readonly code: 'largerFeature'; readonly toMm: number }
  | { readonly code: 'otherLiquid' }
  | { readonly code: 'otherPrinter' }
  | { readonly code: 'keepDry' }
  | { readonly code: 'blendIt' }
  | { readonly code: 'nothing'; readonly requirement: Asked }
  | { readonly code: 'prove'; readonly by: 'bend' | 'break' | 'bath' | 'oven' | 'drop' }
  | { readonly code: 'askSupplier'; readonly requirement: Asked };

function changeForHeat(check: Check, evidence: Evidence, wanted: Requirement): Change[] {
  const hottest = hottestOf(wanted)!;
  const stressMPa = wanted.stress_MPa ?? ASSUMED_STRESS_MPA;
  if (check.state === 'unknown') {
    const assumed: Change[] =
      wanted.stress_MPa === null ? [{ code: 'stateStress', assumedMPa: ASSUMED_STRESS_MPA }] : [];
    return [...assumed, { code: 'prove', by: check.need <= WATER_MOST_C ? 'bath' : 'oven' }];
  }
  const have = heatAt(evidence, stressMPa)!.low;
  const changes: Change[] = [];
  if (Number.isFinite(have)) changes.push({ code: 'coolerMoment', toC: have - wanted.margin_K });
  if (have > hottest) changes.push({ code: 'lessMargin', toK: have - hottest });
  const allowed = stressAllowing(evidence.quotedHeats, check.need);
  if (wanted.stress_MPa !== null && allowed !== undefined && allowed < stressMPa)
    changes.push({ code: 'lessStress', toMPa: allowed });
  if (wanted.stress_MPa === null) changes.push({ code: 'stateStress', assumedMPa: ASSUMED_STRESS_MPA });
  return changes;
}

/** Stiffness of a section in bending grows with the cube of its thickness. */
const thicknessTimes = (wanted: number, have: number) => Math.cbrt(wanted / have);

function changeForUnknown({ requirement }: Check): Change {
  if (isRated(requirement)) return { code: 'askSupplier', requirement };
  switch (requirement) {
    case 'strain':
      return { code: 'prove', by: 'break' };
    case 'impact':
      return { code: 'prove', by: 'drop' };
    case 'stiffnessLeast':
    case 'stiffnessMost':
      return { code: 'prove', by: 'bend' };
    case 'alone':
    case 'heat':
    case 'hardness':
    case 'clear':
    case 'wash':
    case 'room':
    case 'feature':
    case 'light':
    case 'water':
      return { code: 'askSupplier', requirement };
  }
}

function changeForFailure({ requirement, need, have }: Check): Change {
  if (isRated(requirement)) return { code: 'nothing', requirement };
  switch (requirement) {
    case 'strain':
      return { code: 'lessStrain', to: have! };
    case 'impact':
      return { code: 'gentler' };
    case 'stiffnessLeast':
      return { code: 'thicker', times: thicknessTimes(need, have!) };
    case 'stiffnessMost':
      return { code: 'thinner', times: thicknessTimes(have!, need) };
    case 'room':
      // Against a viscosity the wanted temperature is not known, against a least temperature it is.
      return need < 100 ? { code: 'warmerRoom', toC: need } : { code: 'warmerRoom' };
    case 'feature':
      return { code: 'largerFeature', toMm: have! };
    case 'wash':
      return { code: 'otherLiquid' };
    case 'light':
      return { code: 'otherPrinter' };
    case 'water':
      return { code: 'keepDry' };
    case 'alone':
      return { code: 'blendIt' };
    case 'heat':
    case 'hardness':
    case 'clear':
      return { code: 'nothing', requirement };
  }
}

/** What would make a check that does not pass pass. */
export function findChanges(check: Check, evidence: Evidence, wanted: Requirement): Change[] {
  if (check.state === 'pass') return [];
  if (check.requirement === 'heat') return changeForHeat(check, evidence, wanted);
  return [check.state === 'unknown' ? changeForUnknown(check) : changeForFailure(check)];
}
