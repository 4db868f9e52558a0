import { keysOf, mapRecord } from '@/core/kit';
import { PRACTICE_DEFINITIONS, type PracticeDefinition, type PracticeGroup } from './practice-definitions';

type Definitions = typeof PRACTICE_DEFINITIONS;
export type Practice = keyof Definitions;
type SideOf<Name extends Practice> = keyof Definitions[Name]['sides'];
/** The side of each practice that a workshop works by. */
export type Practices = { readonly [Name in Practice]: SideOf<Name> };

const ALL = PRACTICE_DEFINITIONS as Readonly<Record<Practice, PracticeDefinition<string>>>;

/** The practices of a group, in the order of the work. */
export const practicesOf = (group: PracticeGroup): Practice[] =>
  keysOf(ALL).filter((name) => ALL[name].group === group);

/** The sides of each practice. */
export const PRACTICES = mapRecord(ALL, ({ sides }) => Object.keys(sides)) as unknown as {
  readonly [Name in Practice]: readonly [SideOf<Name>, ...SideOf<Name>[]];
};

export const DEFAULT_PRACTICES = Object.freeze(mapRecord(ALL, ({ standard }) => standard)) as Practices;

/** How a shop works, with the reason, and what other shops do. */
export function reasonsOfPractice<Name extends Practice>(name: Name, side: SideOf<Name>): string {
  const { sides } = ALL[name];
  const say = (each: string) => `${sides[each].label} (${sides[each].reason})`;
  const others = Object.keys(sides).filter((each) => each !== side);
  return `Shop practice: ${say(side as string)}. Alternatives: ${others.map(say).join('; ')}.`;
}
