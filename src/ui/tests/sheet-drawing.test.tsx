import { describe, expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import { SHEET_KINDS, workOutSheet, type SheetKind } from '@/core/job/sheets';
import { SheetDrawing } from '../sheet/sheet-drawing';

const UNREAD = (measure: string) => ({ text: measure, read: false });

function draw(kind: SheetKind, activeMeasure?: string, textOf = UNREAD): string {
  const { drawing } = workOutSheet({ kind, options: {}, wishes: {}, bodies: new Map() });
  return renderToStaticMarkup(
    <SheetDrawing
      drawing={drawing}
      textOf={textOf}
      activeMeasure={activeMeasure}
      label={`drawing of ${kind}`}
    />,
  );
}

describe('a sheet’s drawing', () => {
  test.each(SHEET_KINDS)(
    '%s has a name, stays finite, and writes at each dimension what is to be read',
    (kind) => {
      const markup = draw(kind);
      expect(markup).toContain(`aria-label="drawing of ${kind}"`);
      expect(markup).not.toMatch(/NaN|Infinity|undefined/);
      const { drawing } = workOutSheet({ kind, options: {}, wishes: {}, bodies: new Map() });
      for (const { measure } of drawing.dimensions) expect(markup).toContain(`data-measure="${measure}"`);
    },
  );

  test('an unread size is dashed, a read one and the one to be read now are not', () => {
    const dashes = (markup: string) => markup.split('stroke-dasharray').length - 1;
    expect(dashes(draw('ring'))).toBe(3);
    expect(dashes(draw('ring', 'bore'))).toBe(2);
    const read = (measure: string) => ({ text: '⌀ 16.00', read: measure !== 'depth' });
    expect(dashes(draw('ring', undefined, read))).toBe(1);
    expect(draw('ring', undefined, read)).toContain('⌀ 16.00');
  });

  test('a long label beside an upright size is broken into lines and stays in the drawing', () => {
    const label = () => ({ text: 'Depth of the seat', read: false });
    const lines = [...draw('ring', undefined, label).matchAll(/<tspan[^>]*>([^<]*)<\/tspan>/g)].map(
      ([, text]) => text,
    );
    expect(lines).toEqual(['Depth of', 'the seat']);
  });

  test('a size of nothing stands upright: the second hole of a plate as high as the first', () => {
    const { drawing } = workOutSheet({ kind: 'plate', options: {}, wishes: {}, bodies: new Map() });
    const level = drawing.dimensions.find(({ measure }) => measure === 'up2')!;
    expect(level.from).toEqual([level.from[0], level.to[1]]);
    expect(draw('plate')).toContain('data-measure="up2"');
  });

  test('a shaft is seen in its hole: drawn after the air around it', () => {
    const markup = draw('dShaft');
    expect(markup.indexOf('fill-sheet')).toBeGreaterThan(-1);
    expect(markup.indexOf('fill="url(#neighbour-hatch)"')).toBeGreaterThan(markup.indexOf('fill-sheet'));
    // Screws of a plate are rounds themselves, and lie on the plate.
    const plate = draw('plate');
    expect(plate.indexOf('<circle')).toBeGreaterThan(plate.indexOf('fill-band'));
  });

  test('the part and its neighbours are told apart by more than a colour', () => {
    const markup = draw('ring');
    expect(markup).toContain('url(#neighbour-hatch)');
    expect(markup).toContain('fill-band');
  });
});
