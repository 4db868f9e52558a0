'use client';

import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { WANTED_FREE } from '@/core/fits';
import type { JointView, LadderSource } from '@/subjects/fit';
import { describeJoint } from '@/subjects/gauge/shared';
import { formatChance, formatMm, formatSigned } from '@/subjects/language/shared';
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
          <Plus size={16} aria-hidden /> A joint
        </Button>
      </div>
      {views === undefined && (
        <p className="mt-2 text-soft">
          How a gap prints depends on the printer and resin. Choose them under Need first.
        </p>
      )}
      {views?.length === 0 && (
        <p className="mt-2 max-w-prose text-soft">
          A hinge, a ball in its socket, chain links or a captured slider that come off the plate already
          together.
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

function sourceText(source: LadderSource): string {
  if (source.from === 'assumed') return 'assumed: no ladder of this printer and resin yet';
  if (source.from === 'otherPrinter')
    return `from ${source.rungs} rungs on ${source.printer}, carried over at equal printed gaps`;
  const which = source.from === 'thisJoint' ? 'tried of this joint' : 'of other joints';
  const state = source.otherState ? ', tried in the other state' : '';
  const moved =
    Math.abs(source.movedMm) < 0.0005
      ? ''
      : `; tried before the exposure changed: they count ${formatMm(Math.abs(source.movedMm), 3)} mm ${source.movedMm > 0 ? 'wider' : 'narrower'}`;
  return `from ${source.rungs} rungs ${which} on this printer and resin${state}${moved}`;
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
              , {describeJoint(joint.kind)}, wanted at <span className="num">{percent}</span>
            </span>
          </h3>
          <span className="flex gap-2">
            <Button onClick={onChange} aria-label={`Change ${joint.name}`}>
              Change
            </Button>
            <Button
              onClick={() => void dropJoint(newKey(), jobId, joint.id)}
              aria-label={`Put away ${joint.name}`}
            >
              Put away
            </Button>
          </span>
        </div>
        <p
          className={`mt-1 text-lg font-semibold ${fuses ? 'text-plum' : wanted.floppy ? 'text-honey' : 'text-juniper'}`}
        >
          At {percent} it frees itself with <span className="num">{formatChance(wanted.free)}</span>
          {wanted.floppy ? ', but is floppy' : fuses ? ': too likely fused' : ''}
        </p>
        <dl className="mt-1 text-sm">
          <Line term="drawn gap per side at this scale">
            <N>{formatMm(design.gapMm * joint.scale, 3)}</N> in plane
            {design.heightGapMm !== undefined && (
              <>
                , <N>{formatMm(design.heightGapMm * joint.scale, 3)}</N> through height
              </>
            )}
          </Line>
          <Line term="printed gap per side">
            <N>{spread(wanted.plane)}</N> in plane
            {wanted.height !== undefined && (
              <>
                , <N>{spread(wanted.height)}</N> through height
              </>
            )}
          </Line>
          <Line term="play">
            <N>{formatMm(wanted.lateralMm, 3)}</N> sideways, <N>{degrees(wanted.angleRad, 2)}</N> wobble over{' '}
            <N>{formatMm(design.spanMm * joint.scale, 1)}</N>{' '}
            <span className="text-soft">
              (floppy over <N>{'angleRad' in limit ? degrees(limit.angleRad, 1) : limit.lateralMm}</N>)
            </span>
          </Line>
          <Line term="scales that work">{describeWindow(window)}</Line>
          <Line term="gap to draw per side">
            <N>{formatMm(recommendedMm.plane, 3)}</N> in plane
            {design.heightGapMm !== undefined && (
              <>
                , <N>{formatMm(recommendedMm.height, 3)}</N> through height
              </>
            )}{' '}
            <span className="text-soft">
              comes free with <N>95 %</N>
            </span>
          </Line>
          <Line term={`offset of every wall after scaling to ${percent}`}>
            <N>{formatSigned(-offsetMm, 3)}</N>{' '}
            <span className="text-soft">
              ({offsetMm > 0 ? 'material off' : 'material on'}): prints{' '}
              <N>{formatMm(restored.printedMm, 3)}</N>, play <N>{formatMm(2 * restored.printedMm, 3)}</N>,
              frees with <N>{formatChance(restored.free)}</N>
            </span>
          </Line>
          <Line term="least distance between copies and links">
            <N>{formatMm(spacingMm, 2)}</N>
          </Line>
        </dl>
        <p className="mt-1 text-sm text-soft">
          In plane {sourceText(sources.plane)}
          {design.heightGapMm !== undefined && `; through height ${sourceText(sources.height)}`}.
        </p>
        {sources.plane.from === 'assumed' && profileId !== undefined && (
          <Link
            className={`${buttonLook('main')} mt-2`}
            href={`/gauges?profile=${profileId}&choice=${joint.kind}&pin=${design.pinMm}`}
          >
            Print a ladder for it
          </Link>
        )}
        <p className="mt-2 text-sm">
          {joint.freed === 'green'
            ? 'Freed green, before the cure: walls still give and break loose easily, but they mark, and what is bent then stays bent. Work it through its range, wash again, then cure in mid position.'
            : 'Freed after the cure: surfaces and sizes are safe, but what bridged has hardened: it takes more force and may crack. Widen the gap by a step if it must never crack.'}{' '}
          <span className="text-soft">Rungs tried in the same state count first.</span>
        </p>
        <Caution>
          Uncured resin sits in the gap: gloves on while it is worked free, and wash and cure the gap open, or
          it seeps out for weeks.
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
  return `${formatMm(meanMm, 3)} ± ${formatMm(1.96 * sdMm, 3)}`;
}

function degrees(angleRad: number, digits: number): string {
  return `${((angleRad * 180) / Math.PI).toFixed(digits)}°`;
}

function describeWindow({ leastScale, mostScale }: JointView['window']): string {
  if (leastScale === undefined) return 'none to 1000 %: it fuses';
  if (mostScale !== undefined && mostScale < leastScale)
    return `none: under ${Math.round(leastScale * 100)} % it fuses, over ${Math.round(mostScale * 100)} % it is floppy; the offset below sets the gap by itself`;
  const most = mostScale === undefined ? '1000 % and over' : `${Math.round(mostScale * 100)} %`;
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
