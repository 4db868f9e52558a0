import {
  afterTest,
  type ByCause,
  costedTests,
  type CostedTest,
  type FailureKind,
  type FailureSeen,
  gatherEvidence,
  namedCause,
  type PrintSeen,
  rankTests,
  readFailure,
  whereOnPlate,
} from '@/core/log';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import {
  circumstancesOf,
  drawStory,
  PLATE_OF_STORIES,
  printInTrouble,
  type Story,
  type Trouble,
} from '@/core/simulated';

/** A simulated story as far as somebody at the bench has seen it: some prints in trouble, the last of them in question. */
export interface Told {
  readonly story: Story;
  readonly seen: FailureSeen;
  /** Prints that were made in trouble. */
  readonly prints: number;
}

function asSeen(story: Story, nth: number): PrintSeen {
  const { pieces, bottomLayers } = printInTrouble(story, nth);
  return { pieces, bottomLayers, layerMm: PLATE_OF_STORIES.layerMm };
}

const hasFailure = ({ pieces }: PrintSeen) => pieces.some(({ failure }) => failure !== undefined);

/** A printer in trouble, after so many prints with a failure; undefined where its trouble does not show in twelve. */
export function tellStory(seed: number, prints: number): Told | undefined {
  const story = drawStory(seed);
  const all = Array.from({ length: 12 }, (_, nth) => asSeen(story, nth));
  const failing = all.filter(hasFailure).slice(0, prints);
  if (failing.length < prints) return undefined;
  const upTo = all.slice(0, all.indexOf(failing.at(-1)!) + 1);
  const kind = printInTrouble(story, upTo.length - 1).pieces.find(({ failure }) => failure !== undefined)!
    .failure!.kind as FailureKind;
  return {
    story,
    seen: {
      kind,
      evidence: gatherEvidence({
        prints: upTo,
        circumstances: circumstancesOf(story),
        where: whereOnPlate(upTo, PLATE_OF_STORIES.halfMm),
      }),
    },
    prints: upTo.length,
  };
}

/** How a printer's own chances differ from the table's: on the odds, by a factor e^±0.7. */
const UNLIKE = 0.7;

/** Outcome of a test on a printer in trouble; its chances are not those of the table. */
function outcomeOf(story: Story, { name, table }: CostedTest): string {
  const { uniform, normal } = seededRandom(seedFrom(story.seed, `test ${name}`));
  const [yes, no] = Object.keys(table);
  const p = Math.min(0.99, Math.max(0.01, table[yes][story.trouble]));
  const odds = (p / (1 - p)) * Math.exp(UNLIKE * normal());
  return uniform() < odds / (1 + odds) ? yes : no;
}

/** What it took until the trouble was put right. */
export interface Found {
  readonly prints: number;
  readonly hours: number;
}

const PRINT_HOURS = 3;
const MOST_STEPS = 30;
/** Tests that print the part itself again. */
const PRINTS: ReadonlySet<string> = new Set(['turnPart', 'sameAgain', 'warmer', 'otherFile']);

/**
 * By the program: while no cause is named, its best test; once one is, it is put right and printed again. Right: the story
 * ends; wrong: that cause is out, and on it goes.
 */
export function findByProgram({ story, seen }: Told): Found {
  let chances: ByCause = expectOk(readFailure(seen)).chances;
  const tests = new Map(costedTests({ printHours: PRINT_HOURS }).map((test) => [test.name, test]));
  let [prints, hours] = [0, 0];
  for (let step = 0; step < MOST_STEPS; step++) {
    const best = tests.size === 0 ? likeliest(chances) : namedCause(chances);
    if (best !== undefined) {
      [prints, hours] = [prints + 1, hours + PRINT_HOURS];
      if (best === story.trouble) break;
      chances = without(chances, best);
      continue;
    }
    const [{ name }] = rankTests(chances, [...tests.values()]);
    const test = tests.get(name)!;
    tests.delete(name);
    chances = afterTest(chances, test.table, outcomeOf(story, test)) ?? chances;
    [prints, hours] = [prints + (PRINTS.has(name) ? 1 : 0), hours + test.hours];
  }
  return { prints, hours };
}

function likeliest(chances: ByCause): string {
  return Object.entries(chances).reduce((a, b) => (b[1] > a[1] ? b : a))[0];
}

/** A cause that was fixed without effect: unlikely. */
function without(chances: ByCause, cause: string): ByCause {
  const left = { ...chances, [cause]: 0.02 * chances[cause] };
  const total = Object.values(left).reduce((sum, p) => sum + p, 0);
  return Object.fromEntries(Object.entries(left).map(([name, p]) => [name, p / total]));
}

/** What people try, in the usual order: each costs a print. */
export const USUAL_ORDER: readonly Trouble[] = [
  'exposure',
  'supports',
  'cold',
  'level',
  'dirtyPlate',
  'film',
  'island',
  'unmixed',
  'suction',
  'jump',
  'thin',
  'debris',
  'ranDry',
  'panel',
  'axis',
];

/** By changing one thing after another in the usual order, each with a print. */
export function findByGuesses({ story }: Told): Found {
  const prints = USUAL_ORDER.indexOf(story.trouble) + 1;
  return { prints, hours: prints * PRINT_HOURS };
}
