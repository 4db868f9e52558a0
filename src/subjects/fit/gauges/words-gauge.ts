import { formatMm } from '@/core/kit/wording';
import type { GaugeIssue } from '@/core/fit/gauges';

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
