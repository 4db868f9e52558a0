import { expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import { RuleStrip, type StripTone } from '../rule-strip';

const VALUES = { lowerDeviationMm: -0.05, upperDeviationMm: 0.05, resolutionMm: 0.01 };
const draw = (tone: StripTone, rest: object = {}, width = 330) =>
  renderToStaticMarkup(
    <RuleStrip {...VALUES} {...rest} tone={tone} words={`words of ${tone}`} initialWidthPx={width} />,
  );
const count = (markup: string, part: string) => markup.split(part).length - 1;

test('the strip says in words what it shows, to those who see it and those who do not', () => {
  const markup = draw('in', { measuredMm: 0.01, expandedU_mm: 0.02 });
  expect(markup).toContain('aria-label="words of in"');
  expect(markup).toContain('>words of in</span>');
});

test('words can stand beside it alone', () => {
  const markup = renderToStaticMarkup(<RuleStrip {...VALUES} tone="in" words="in" showWords={false} />);
  expect(markup).not.toContain('>in</span>');
  expect(markup).toContain('aria-label="in"');
});

test('a prediction is a hollow pointer, a measurement a solid one with a whisker', () => {
  const predicted = draw('none', { predictedMm: 0.01, predictedHalfMm: 0.03 });
  const measured = draw('in', { measuredMm: 0.01, expandedU_mm: 0.02 });
  expect(predicted).toContain('fill-ground');
  expect(predicted).toContain('stroke-dasharray');
  expect(predicted).not.toContain('fill-current');
  expect(measured).toContain('fill-current');
  expect(measured).not.toContain('fill-ground');
});

test('under and over carry notches of opposite directions besides their colours', () => {
  const under = draw('under', { measuredMm: -0.09, expandedU_mm: 0.01 });
  const over = draw('over', { measuredMm: 0.09, expandedU_mm: 0.01 });
  expect(under).toContain('l5 5l5 -5');
  expect(over).toContain('l5 -5l5 5');
  expect(under).toContain('text-plum');
  expect(over).toContain('text-teal');
});

test('nothing known draws the tolerance alone', () => {
  const markup = draw('none');
  expect(markup).toContain('fill-band');
  expect(markup).not.toContain('fill-current');
});

test.each([160, 330, 900])('at %d px it has ends and ticks, and never a number that is none', (width) => {
  const markup = draw('in', { measuredMm: 0.01, expandedU_mm: 0.02, predictedMm: -0.01 }, width);
  expect(markup).not.toContain('NaN');
  expect(count(markup, '<text')).toBe(width >= 240 ? 3 : 2);
  expect(count(markup, '<path')).toBeGreaterThan(8);
});

test('a size far outside is marked as beyond the strip', () => {
  expect(draw('over', { measuredMm: 3, expandedU_mm: 0.01 })).toContain('l4 3l-4 3');
});
