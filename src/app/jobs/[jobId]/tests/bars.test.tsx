import { describe, expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import { ChanceBar } from '../fit/_components/chance-bar';
import { UseBar } from '../fit/_components/strength-fields';

describe('small bars', () => {
  test('chances are told in words and numbers beside the bar, and never as a flat nought', () => {
    const markup = renderToStaticMarkup(<ChanceBar tight={0.13} right={0.87} loose={0.0001} />);
    expect(markup).toMatch(/tight <span class="num">13 %/);
    expect(markup).toMatch(/right <span class="num">87 %/);
    expect(markup).toMatch(/loose <span class="num">&lt; 1 %/);
    expect(markup).toContain('width:13%');
  });

  test('a limit used more than once over fills its bar and says by how much', () => {
    const markup = renderToStaticMarkup(<UseBar share={1.4} label="of its strength" />);
    expect(markup).toContain('width:100%');
    expect(markup).toContain('140 %');
    expect(markup).toContain('bg-plum');
    expect(renderToStaticMarkup(<UseBar share={0.9} label="l" />)).toContain('bg-honey');
    expect(renderToStaticMarkup(<UseBar share={0.5} label="l" />)).toContain('bg-juniper');
    expect(renderToStaticMarkup(<UseBar share={NaN} label="l" />)).toContain('–');
  });
});
