import type { GaugeChoice, GaugeIssue } from '@/core/gauges';
import { formatMm } from '@/subjects/language/shared';

export function describeGaugeIssue(issue: GaugeIssue): string {
  switch (issue.code) {
    case 'noSizes':
      return 'a block without a size tells nothing. Choose at least one.';
    case 'rungCount':
      return `${issue.count} rungs: a ladder takes ${issue.least} to ${issue.most}. Choose another step or count.`;
    case 'rungOrder':
      return 'each rung must be larger than the one before. Check start and step.';
    case 'rungSize':
      return `a rung of ${formatMm(issue.mm)} mm: this ladder takes ${issue.leastMm} to ${issue.mostMm} mm. Change start, step or count.`;
    case 'barSize':
      return `a bar ${formatMm(issue.mm)} mm thick: ${issue.leastMm} to ${issue.mostMm} mm bend well and fit a plate.`;
    case 'pinSize':
      return `a pin, ball, bar or rail of ${formatMm(issue.mm)} mm: this ladder takes ${issue.leastMm} to ${issue.mostMm} mm.`;
  }
}

interface GaugeWords {
  readonly title: string;
  readonly answers: string;
}

const GAUGE_WORDS: Readonly<Record<GaugeChoice, GaugeWords>> = {
  block: {
    title: 'Signature block, 24 sizes',
    answers:
      'what this printer does with this resin: outsides, holes, slots, heights and skew. Ten minutes with a caliper',
  },
  shortBlock: {
    title: 'Signature block, six sizes',
    answers: 'the most important half of it in three minutes',
  },
  chosenBlock: {
    title: 'Signature block, sizes chosen',
    answers: 'the sizes that tell most about a job, as many as you want to measure',
  },
  control: {
    title: 'Control piece',
    answers: 'whether the process still does what its signature says, beside every print, in half a minute',
  },
  hinge: { title: 'Ladder for a hinge', answers: 'the gap at which a pin comes free in its knuckle' },
  ball: { title: 'Ladder for a ball', answers: 'the gap at which a ball comes free in its socket' },
  links: { title: 'Ladder for chain links', answers: 'the gap at which links come off apart' },
  slider: { title: 'Ladder for a slider', answers: 'the gap at which a captured rail runs' },
  roof: { title: 'Ladder through height', answers: 'the gap below a roof that does not cure shut' },
  pocket: { title: 'Pocket ladder', answers: 'the pocket that a bought terminal pushes into and stays' },
  hole: { title: 'Hole ladder', answers: 'the hole that gives a pin, peg or bearing the fit you want' },
  pin: { title: 'Pin ladder', answers: 'the peg that gives the fit you want in a hole' },
  bar: {
    title: 'Bars for bending',
    answers: 'stiffness, strain at break and heat of the resin as you cure it',
  },
};

export function describeGaugeChoice(choice: GaugeChoice): GaugeWords {
  return GAUGE_WORDS[choice];
}
