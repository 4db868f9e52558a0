import { formatMm } from '@/core/kit/wording';
import type { GaugeChoice, GaugeIssue } from '@/core/fit/gauges';

export function describeGaugeIssue(issue: GaugeIssue): string {
  switch (issue.code) {
    case 'noSizes':
      return 'a block needs at least one size. Choose one or more.';
    case 'rungCount':
      return `${issue.count} steps: this test takes ${issue.least} to ${issue.most}. Change the step or the count.`;
    case 'rungOrder':
      return 'each step must be larger than the one before. Check start and step.';
    case 'rungSize':
      return `a step of ${formatMm(issue.mm)} mm: this test takes ${issue.leastMm} to ${issue.mostMm} mm. Change start, step or count.`;
    case 'barSize':
      return `a bar ${formatMm(issue.mm)} mm thick: use ${issue.leastMm} to ${issue.mostMm} mm so that it bends well and fits a plate.`;
    case 'pinSize':
      return `a pin, ball, bar or rail of ${formatMm(issue.mm)} mm is out of range. Enter ${issue.leastMm} to ${issue.mostMm} mm.`;
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
    answers: 'the six most important sizes, measured in three minutes',
  },
  chosenBlock: {
    title: 'Signature block, custom sizes',
    answers: 'the most useful sizes for one job; you choose how many to measure',
  },
  control: {
    title: 'Control piece',
    answers: 'whether the process still does what its signature says, beside every print, in half a minute',
  },
  hinge: { title: 'Gap test, hinge', answers: 'the gap at which a pin comes free in its knuckles' },
  ball: { title: 'Gap test, ball joint', answers: 'the gap at which a ball comes free in its socket' },
  links: { title: 'Gap test, chain links', answers: 'the gap at which links print separate' },
  slider: { title: 'Gap test, slider', answers: 'the gap at which a captured rail slides' },
  roof: { title: 'Gap test, along Z', answers: 'the gap below a roof that does not cure shut' },
  pocket: {
    title: 'Pocket test',
    answers: 'the pocket size that holds a pushed-in bought part, such as a terminal',
  },
  hole: { title: 'Hole test', answers: 'the hole size that gives the fit you want on a pin, peg or bearing' },
  pin: { title: 'Pin test', answers: 'the pin size that gives the fit you want in a hole' },
  bar: {
    title: 'Bend bars',
    answers: 'stiffness, strain at break and heat resistance of the resin with your curing',
  },
};

export function describeGaugeChoice(choice: GaugeChoice): GaugeWords {
  return GAUGE_WORDS[choice];
}
