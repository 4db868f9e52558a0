'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { WANTED_FREE } from '@/core/fit/mating';
import type { JointView, GapTestSource } from '@/subjects/fit/mating';
import { describeJoint } from '@/subjects/fit/gauges/shared';
import { Button, buttonLook, Caution, Link } from '@/ui';
import { dropJoint } from '../actions';
import { JointChart } from './joint-chart';
import { JointDialog } from './joint-dialog';

interface JointsProps {
  readonly jobId: number;
  readonly views?: readonly JointView[];
  readonly profileId?: number;
}

/** Joints printed in place: gap, chance to come free, play, and what a scale does to all three. */
export function Joints({ jobId, views, profileId }: JointsProps) {
  const [editing, setEditing] = useState<JointView | 'new' | undefined>();
  return (
    <section aria-labelledby="joints-title">
      <div className="flex flex-wrap items-center justify-between gap-2 border-b border-ink pb-1">
        <h2 id="joints-title" className="text-lg">
          Joints printed in place
        </h2>
        <Button onClick={() => setEditing('new')} disabled={views === undefined}>
          <Plus size={16} aria-hidden /> Add joint
        </Button>
      </div>
      {views === undefined && (
        <p className="mt-2 text-soft">
          The printed gap depends on the printer and resin. Choose them in Need first.
        </p>
      )}
      {views?.length === 0 && (
        <p className="mt-2 max-w-prose text-soft">
          A hinge, ball joint, chain or slider that comes off the plate assembled.
        </p>
      )}
      {views?.map((view) => (
        <JointCard
          key={view.joint.id}
          jobId={jobId}
          view={view}
          profileId={profileId}
          onChange={() => setEditing(view)}
        />
      ))}
      {editing !== undefined && (
        <JointDialog
          jobId={jobId}
          joint={editing === 'new' ? undefined : editing.joint}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  );
}

function sourceText(source: GapTestSource): string {
  if (source.from === 'assumed') return 'assumed: no gap test of this printer and resin yet';
  if (source.from === 'otherPrinter')
    return `from ${source.rungs} steps on ${source.printer}, applied at equal printed gaps`;
  const which = source.from === 'thisJoint' ? 'of this joint' : 'of other joints';
  const state = source.otherState ? ', tested in the other state' : '';
  const moved =
    Math.abs(source.movedMm) < 0.0005
      ? ''
      : `; tested before the exposure changed: shifted by ${formatMm(Math.abs(source.movedMm), 3)} mm ${source.movedMm > 0 ? 'wider' : 'narrower'}`;
  return `from ${source.rungs} steps ${which} on this printer and resin${state}${moved}`;
}

interface JointCardProps {
  readonly jobId: number;
  readonly view: JointView;
  readonly profileId?: number;
  readonly onChange: () => void;
}

function JointCard({ jobId, view, profileId, onChange }: JointCardProps) {
  const { joint, wanted, window, recommendedMm, offsetMm, restored, spacingMm, sources, limit, design } =
    view;
  const percent = `${Math.round(joint.scale * 100)} %`;
  const fuses = wanted.free < WANTED_FREE;
  return (
    <article
      className="mt-3 grid gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]"
      aria-label={joint.name}
    >
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h3 className="text-base">
            {joint.name}
            <span className="font-sans font-normal text-soft">
              , {describeJoint(joint.kind)}, target scale <span className="num">{percent}</span>
            </span>
          </h3>
          <span className="flex gap-2">
            <Button onClick={onChange} aria-label={`Edit ${joint.name}`}>
              Edit
            </Button>
            <Button
              onClick={() => void dropJoint(newKey(), jobId, joint.id)}
              aria-label={`Remove ${joint.name}`}
            >
              Remove
            </Button>
          </span>
        </div>
        <p
          className={`mt-1 text-lg font-semibold ${fuses ? 'text-plum' : wanted.floppy ? 'text-honey' : 'text-juniper'}`}
        >
          Chance to come free at {percent}: <span className="num">{formatChance(wanted.free)}</span>
          {wanted.floppy ? ', but too loose' : fuses ? ', probably fused' : ''}
        </p>
        <dl className="mt-1 text-sm">
          <Line term="drawn gap per side at this scale">
            <N>{formatMm(design.gapMm * joint.scale, 3)}</N> in plane
            {design.heightGapMm !== undefined && (
              <>
                , <N>{formatMm(design.heightGapMm * joint.scale, 3)}</N> along Z
              </>
            )}
          </Line>
          <Line term="printed gap per side">
            <N>{spread(wanted.plane)}</N> in plane
            {wanted.height !== undefined && (
              <>
                , <N>{spread(wanted.height)}</N> along Z
              </>
            )}
          </Line>
          <Line term="play">
            <N>{formatMm(wanted.lateralMm, 3)}</N> sideways, <N>{degrees(wanted.angleRad, 2)}</N> wobble over{' '}
            <N>{formatMm(design.spanMm * joint.scale, 1)}</N>{' '}
            <span className="text-soft">
              (too loose above <N>{'angleRad' in limit ? degrees(limit.angleRad, 1) : limit.lateralMm}</N>)
            </span>
          </Line>
          <Line term="usable scales">{describeWindow(window)}</Line>
          <Line term="gap to draw per side">
            <N>{formatMm(recommendedMm.plane, 3)}</N> in plane
            {design.heightGapMm !== undefined && (
              <>
                , <N>{formatMm(recommendedMm.height, 3)}</N> along Z
              </>
            )}{' '}
            <span className="text-soft">
              chance to come free <N>95 %</N>
            </span>
          </Line>
          <Line term={`wall offset after scaling to ${percent}`}>
            <N>{formatSigned(-offsetMm, 3)}</N>{' '}
            <span className="text-soft">
              ({offsetMm > 0 ? 'remove material' : 'add material'}): prints{' '}
              <N>{formatMm(restored.printedMm, 3)}</N>, play <N>{formatMm(2 * restored.printedMm, 3)}</N>,
              chance to come free <N>{formatChance(restored.free)}</N>
            </span>
          </Line>
          <Line term="minimum distance between copies and links">
            <N>{formatMm(spacingMm, 2)}</N>
          </Line>
        </dl>
        <p className="mt-1 text-sm text-soft">
          In plane {sourceText(sources.plane)}
          {design.heightGapMm !== undefined && `; along Z ${sourceText(sources.height)}`}.
        </p>
        {sources.plane.from === 'assumed' && profileId !== undefined && (
          <Link
            className={`${buttonLook('main')} mt-2`}
            href={`/gauges?profile=${profileId}&choice=${joint.kind}&pin=${design.pinMm}`}
          >
            Print a gap test
          </Link>
        )}
        <p className="mt-2 text-sm">
          {joint.freed === 'green'
            ? 'Freed green (before curing): walls are still flexible and break loose easily, but they mark, and a bent part stays bent. Move it through its full range, wash again, then cure it in mid position.'
            : 'Freed after curing: surfaces and sizes are safe, but bridged resin has hardened. It needs more force and may crack. If it must never crack, make the gap one step wider.'}{' '}
          <span className="text-soft">Steps tested in the same state have priority.</span>
        </p>
        <Caution>
          The gap holds uncured resin. Wear gloves while you work the joint free, and wash and cure the gap
          open. Otherwise resin seeps out for weeks.
        </Caution>
      </div>
      <JointChart view={view} />
    </article>
  );
}

function N({ children }: { children: ReactNode }) {
  return <span className="num">{children}</span>;
}

function spread({ meanMm, sdMm }: { readonly meanMm: number; readonly sdMm: number }): string {
  return `${formatMm(meanMm, 3)} ± ${formatMm(halfWidth95(sdMm), 3)}`;
}

function degrees(angleRad: number, digits: number): string {
  return `${((angleRad * 180) / Math.PI).toFixed(digits)}°`;
}

function describeWindow({ leastScale, mostScale }: JointView['window']): string {
  if (leastScale === undefined) return 'No usable scale up to 1000 %: the joint fuses.';
  if (mostScale !== undefined && mostScale < leastScale)
    return `No usable scale. The joint fuses below ${Math.round(leastScale * 100)} % and is too loose above ${Math.round(mostScale * 100)} %. Use the wall offset below to set the gap.`;
  const most = mostScale === undefined ? '1000 % or more' : `${Math.round(mostScale * 100)} %`;
  return `${Math.round(leastScale * 100)} % to ${most}`;
}

function Line({ term, children }: { term: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,13rem)_minmax(0,1fr)] gap-x-3 border-b border-dotted border-hair py-1">
      <dt className="text-soft">{term}</dt>
      <dd>{children}</dd>
    </div>
  );
}
