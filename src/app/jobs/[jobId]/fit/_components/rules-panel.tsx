'use client';

import { completeTaper, facetErrorMm, leadInFor, sidesForTolerance } from '@/core/fits';
import { formatMm } from '@/subjects/language/shared';
import { PlainField, Problem } from '@/ui';
import { useNumbers } from './use-numbers';

const TAPER_FIELDS = ['largeMm', 'smallMm', 'heightMm', 'angleDeg'] as const;

/** Entries that find their mate, tapers from any three of four, and how many sides a circle needs. */
export function RulesPanel() {
  const { valueOf, field, texts } = useNumbers({
    lengthMm: '6',
    wallMm: '3',
    diameterMm: '10',
    toleranceMm: '0.1',
    sides: '32',
    largeMm: '10',
    smallMm: '',
    heightMm: '5',
    angleDeg: '5.71',
  });
  const [length, wall] = [valueOf('lengthMm'), valueOf('wallMm')];
  const [diameter, tolerance, sides] = [valueOf('diameterMm'), valueOf('toleranceMm'), valueOf('sides')];
  const lead = length > 0 && wall > 0 ? leadInFor(length, wall) : undefined;
  const given = Object.fromEntries(
    TAPER_FIELDS.flatMap((name) =>
      texts[name].trim() === ''
        ? []
        : [
            [
              name === 'angleDeg' ? 'halfAngleRad' : name,
              valueOf(name) * (name === 'angleDeg' ? Math.PI / 180 : 1),
            ],
          ],
    ),
  );
  const taper = completeTaper(given);
  return (
    <div className="grid gap-8 lg:grid-cols-3">
      <div>
        <h3 className="text-base">Lead-in</h3>
        <div className="mt-1 grid grid-cols-2 gap-3">
          <PlainField label="Length that fits" unit="mm" {...field('lengthMm')} />
          <PlainField label="Wall" unit="mm" {...field('wallMm')} />
        </div>
        {lead !== undefined && (
          <p className="mt-2">
            <span className="num">{formatMm(lead.depthMm)}</span> in over{' '}
            <span className="num">{formatMm(lead.lengthMm)}</span> mm
            {lead.depthMm >= wall / 4 - 1e-9 && ' (held to a quarter of the wall)'}
          </p>
        )}
        <p className="text-sm text-soft">
          15° over a fifth of the length, 0.5 to 2 mm: the entry finds its mate before it has to grip it.
        </p>
      </div>
      <div>
        <h3 className="text-base">Sides of a circle</h3>
        <div className="mt-1 grid grid-cols-3 gap-3">
          <PlainField label="Diameter" unit="mm" {...field('diameterMm')} />
          <PlainField label="Tolerance" unit="mm" {...field('toleranceMm')} />
          <PlainField label="Sides" {...field('sides')} />
        </div>
        {diameter > 0 && tolerance > 0 && (
          <p className="mt-2">
            <span className="num">{sidesForTolerance(diameter, tolerance)}</span> sides keep the facet error
            under a tenth of the tolerance
            {sides >= 3 && (
              <>
                ; with <span className="num">{Math.round(sides)}</span> a hole drawn inside its circle is{' '}
                <span className="num">{formatMm(facetErrorMm(diameter, Math.round(sides)), 3)}</span> mm small
              </>
            )}
            .
          </p>
        )}
        <p className="text-sm text-soft">
          Our own solids draw holes round their circle and shafts inside it.
        </p>
      </div>
      <div>
        <h3 className="text-base">Taper, any three of four</h3>
        <div className="mt-1 grid grid-cols-2 gap-3">
          <PlainField label="Large end" unit="mm" {...field('largeMm')} />
          <PlainField label="Small end" unit="mm" {...field('smallMm')} />
          <PlainField label="Height" unit="mm" {...field('heightMm')} />
          <PlainField label="Half angle" unit="°" {...field('angleDeg')} />
        </div>
        {taper.ok ? (
          <p className="num mt-2">
            {formatMm(taper.value.largeMm)} → {formatMm(taper.value.smallMm)} over{' '}
            {formatMm(taper.value.heightMm)}, {((taper.value.halfAngleRad * 180) / Math.PI).toFixed(2)}°
          </p>
        ) : (
          <Problem>
            {taper.issue.code === 'threeOfFour'
              ? 'give three of the four and leave the one to be found blank.'
              : taper.issue.code === 'taperEatsIt'
                ? `the taper runs out before its end (${formatMm(taper.issue.smallMm)} mm): make it shorter or steeper.`
                : 'the large end must be larger than the small one, and the height above zero.'}
          </Problem>
        )}
      </div>
    </div>
  );
}
