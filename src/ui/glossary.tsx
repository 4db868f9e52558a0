/** Terms of the program, and the few terms of the field that it depends on. */
const WORDS: readonly (readonly [word: string, means: string])[] = [
  ['job', 'one thing that must fit, with its requirements and acceptance test'],
  ['job steps', 'the steps of a job in working order, from Need to History'],
  ['attempt', 'one drawn version of a job. Reprints and copies belong to the same attempt.'],
  ['feature', 'a size that matters: a bore, a width, a height, a centre distance'],
  ['mate', 'the part that a feature must fit'],
  ['fit', 'how a feature and its mate go together: press, push, sliding, running or loose fit'],
  ['target', 'the size the finished part must have. The drawn size is the size in the file that you print.'],
  ['signature', 'the measured behaviour of one printer, resin and profile: shrinkage, edge growth, scatter'],
  [
    'repeatable deviation',
    'a deviation of one feature that is the same in every print; chance is what varies from print to print',
  ],
  ['block', 'a small test print of many sizes. The program learns a signature from it.'],
  ['gap test', 'a test print with gaps that grow in steps. It shows which gap comes free.'],
  ['profile', 'a printer, a resin and the print settings. Each profile has its own signature.'],
  ['decisions', 'the column on the right: the decisions in this job and the evidence for each'],
  ['U', 'expanded uncertainty. With 95 % confidence, the true size is within ± U.'],
  ['green', 'printed and not yet cured; cured, aged and coated come after'],
  ['island', 'a region that starts in mid-air, with nothing below to hold it'],
  ['suction cup', 'a closed hollow that pulls a vacuum on every lift'],
  ['elephant’s foot', 'the first layers are wider than drawn, so sizes near the plate measure too large'],
  [
    'reference piece',
    'a block, pin or ring of known size. It shows the error that the jaws of a caliper add.',
  ],
  [
    'control piece',
    'a small test piece printed beside every part. It shows when a signature is no longer valid.',
  ],
  [
    'related profile',
    'a profile with the same printer or the same resin. Its data improve the estimate here.',
  ],
  ['exposure gradient', 'the light is stronger on one side of the plate, so edges grow more there'],
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
