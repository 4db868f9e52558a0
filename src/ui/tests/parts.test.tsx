import { describe, expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import { RuleStrip } from '../rule-strip';
import { Tabs } from '../tabs';

describe('the rule under a clearance', () => {
  const labels = (lowerDeviationMm: number, upperDeviationMm: number, predictedMm: number) =>
    [...strip(lowerDeviationMm, upperDeviationMm, predictedMm).matchAll(/<text[^>]*>([^<]*)<\/text>/g)].map(
      ([, text]) => text,
    );
  const strip = (lowerDeviationMm: number, upperDeviationMm: number, predictedMm: number) =>
    renderToStaticMarkup(
      <RuleStrip
        lowerDeviationMm={lowerDeviationMm}
        upperDeviationMm={upperDeviationMm}
        predictedMm={predictedMm}
        resolutionMm={0.01}
        words="w"
        tone="none"
      />,
    );

  test('writes nought where the bodies just touch', () => {
    expect(labels(-0.05, 0.11, 0.04)).toEqual(['−0.12', '0.00', '+0.18']);
  });

  test('leaves it out where it lies beyond the rule, instead of writing it over an end', () => {
    expect(labels(0.17, 0.34, 0.25)).not.toContain('0.00');
    expect(labels(0.17, 0.34, 0.25)).toHaveLength(2);
  });

  test('leaves it out where it would touch the label of an end', () => {
    expect(labels(0.02, 0.12, 0.07)).toHaveLength(2);
  });
});

test('tabs open on the first, under a name of their own', () => {
  const markup = renderToStaticMarkup(
    <Tabs
      label="ways"
      tabs={[
        { id: 'a', label: 'First', content: <p>one</p> },
        { id: 'b', label: 'Second', content: <p>two</p> },
      ]}
    />,
  );
  expect(markup).toContain('aria-label="ways"');
  expect(markup).toContain('one');
  expect(markup).not.toContain('two');
  expect(markup.match(/role="tab"/g)).toHaveLength(2);
});
