'use client';

import { formatMm } from '@/core/kit/wording';
import { completeTaper, facetErrorMm, leadInFor, sidesForTolerance, type Taper } from '@/core/fit/mating';
import { PlainField, Problem, useNumbers } from '@/ui';
import { NUMBERS_WANTED } from './strength-fields';

const TAPER_FIELDS = ['largeMm', 'smallMm', 'heightMm', 'angleDeg'] as const;

const STARTS = {
  lengthMm: '6',
  wallMm: '3',
  diameterMm: '10',
  toleranceMm: '0.1',
  sides: '32',
  largeMm: '10',
  smallMm: '',
  heightMm: '5',
  angleDeg: '5.71',
};

function taperOf({
  angleDeg,
  ...sizes
}: Partial<Record<(typeof TAPER_FIELDS)[number], number>>): Partial<Taper> {
  return angleDeg === undefined ? sizes : { ...sizes, halfAngleRad: (angleDeg * Math.PI) / 180 };
}

/** Entries that find their mate, tapers from any three of four, and how many sides a circle needs. */
export function RulesPanel() {
  const { valueOf, valuesOf, field, texts } = useNumbers(STARTS, { sides: 'number', angleDeg: 'angle' });
  const walled = valuesOf('lengthMm', 'wallMm');
  const lead =
    walled !== undefined && walled.lengthMm > 0 && walled.wallMm > 0
      ? leadInFor(walled.lengthMm, walled.wallMm)
      : undefined;
  const circle = valuesOf('diameterMm', 'toleranceMm');
  const sides = valueOf('sides');
  const filled = TAPER_FIELDS.filter((name) => texts[name].trim() !== '');
  const typed = valuesOf(...filled);
  const taper = typed && completeTaper(taperOf(typed));
  return (
    <div className="grid gap-8 lg:grid-cols-3">
      <div>
        <h3 className="text-base">Lead-in</h3>
        <div className="mt-1 grid grid-cols-2 gap-3">
          <PlainField label="Fit length" unit="mm" {...field('lengthMm')} />
          <PlainField label="Wall" unit="mm" {...field('wallMm')} />
        </div>
        {lead !== undefined && (
          <p className="mt-2">
            <span className="num">{formatMm(lead.depthMm)}</span> in over{' '}
            <span className="num">{formatMm(lead.lengthMm)}</span> mm
            {walled !== undefined &&
              lead.depthMm >= walled.wallMm / 4 - 1e-9 &&
              ' (limited to a quarter of the wall)'}
          </p>
        )}
        <p className="text-sm text-soft">
          15° over 20 % of the length, 0.5 to 2 mm: the lead-in guides the mate before it grips.
        </p>
      </div>
      <div>
        <h3 className="text-base">Facets of a circle</h3>
        <div className="mt-1 grid grid-cols-3 gap-3">
          <PlainField label="Diameter" unit="mm" {...field('diameterMm')} />
          <PlainField label="Tolerance" unit="mm" {...field('toleranceMm')} />
          <PlainField label="Sides" {...field('sides')} />
        </div>
        {circle !== undefined && circle.diameterMm > 0 && circle.toleranceMm > 0 && (
          <p className="mt-2">
            <span className="num">{sidesForTolerance(circle.diameterMm, circle.toleranceMm)}</span> sides keep
            the facet error below a tenth of the tolerance
            {sides !== undefined && sides >= 3 && (
              <>
                ; with <span className="num">{Math.round(sides)}</span> a hole drawn inside its circle is{' '}
                <span className="num">{formatMm(facetErrorMm(circle.diameterMm, Math.round(sides)), 3)}</span>{' '}
                mm too small
              </>
            )}
            .
          </p>
        )}
        <p className="text-sm text-soft">
          Parts built here draw holes outside the circle and shafts inside it.
        </p>
      </div>
      <div>
        <h3 className="text-base">Taper, enter three of four</h3>
        <div className="mt-1 grid grid-cols-2 gap-3">
          <PlainField label="Large end" unit="mm" {...field('largeMm')} />
          <PlainField label="Small end" unit="mm" {...field('smallMm')} />
          <PlainField label="Height" unit="mm" {...field('heightMm')} />
          <PlainField label="Half angle" unit="°" {...field('angleDeg')} />
        </div>
        {taper === undefined ? (
          <Problem>{NUMBERS_WANTED}</Problem>
        ) : taper.ok ? (
          <p className="num mt-2">
            {formatMm(taper.value.largeMm)} → {formatMm(taper.value.smallMm)} over{' '}
            {formatMm(taper.value.heightMm)}, {((taper.value.halfAngleRad * 180) / Math.PI).toFixed(2)}°
          </p>
        ) : (
          <Problem>
            {taper.issue.code === 'threeOfFour'
              ? 'enter three of the four values and leave one blank.'
              : taper.issue.code === 'taperEatsIt'
                ? `the taper ends before its full length (${formatMm(taper.issue.smallMm)} mm). Make it shorter or steeper.`
                : 'the large end must be larger than the small one, and the height above zero.'}
          </Problem>
        )}
      </div>
    </div>
  );
}
