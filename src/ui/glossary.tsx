/** The house's own words and the few terms of the field that the program leans on. */
const WORDS: readonly (readonly [word: string, means: string])[] = [
  ['job', 'one thing that must fit, with what it must do and the test it must pass'],
  ['thread', 'the steps of a job in the order of the work, from Need to Story'],
  ['attempt', 'one drawn version of a job; printed again or in copies it stays the same attempt'],
  ['feature', 'a size that matters: a bore, a width, a height, a distance between centres'],
  ['mate', 'the body that a feature must fit'],
  ['wish', 'what should happen where a feature meets its mate: grip, push, slide, turn or drop in'],
  ['target', 'the size the finished part must have; drawn: the size in the file that is printed'],
  [
    'signature',
    'how one printer with one resin and one profile really prints: shrinkage, edge growth, scatter',
  ],
  ['habit', 'what a feature does in every print; chance is what differs from print to print'],
  ['block', 'a small test piece of many sizes from which a signature is learned'],
  ['ladder', 'a test piece whose rungs have gaps in steps: it shows which gap comes free'],
  ['profile', 'a printer with a resin and its settings; a signature belongs to one'],
  ['ledger', 'the column at the right: what was decided in this job, and by what evidence'],
  ['U', 'expanded uncertainty: the true size lies within ± U with 95 %'],
  ['green', 'printed and not yet cured; cured, aged and coated come after'],
  ['island', 'a region that starts in mid-air, with nothing below to hold it'],
  ['suction cup', 'a hollow closed off while it prints, so that each lift pulls a vacuum'],
  ['foot', 'the flare of the first layers, which read too wide'],
  ['check piece', 'a block, pin or ring of known size: it shows what the jaws of a caliper add'],
  ['control piece', 'a small piece beside every part: it shows when a signature no longer holds'],
  ['relative', 'a profile of the same printer or resin, which lends what it was seen to do'],
  ['lean', 'light that is stronger on one side of the plate: edges grow more there'],
];

/** What the words mean, a line each. */
export function Glossary() {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
      {WORDS.map(([word, means]) => (
        <div key={word} className="contents">
          <dt className="font-semibold">{word}</dt>
          <dd>{means}</dd>
        </div>
      ))}
    </dl>
  );
}
