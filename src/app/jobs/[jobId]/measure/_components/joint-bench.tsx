'use client';

import { formatChance, formatMm } from '@/core/kit/wording';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { CutOffNote } from '@/app/_components/cut-off-note';
import { useOutbox } from '@/app/_components/use-outbox';
import { JOINT_OUTCOMES, type JointOutcome } from '@/core/fit/mating';
import { parseQuantity, PART_STATES, type PartState } from '@/core/measure';
import type { Result } from '@/core/kit';
import type { PrintedJoint } from '@/subjects/fit/mating';
import { describeJointFound, describeJointOutcome, type JointFoundInput } from '@/subjects/fit/mating/shared';
import { describeJoint } from '@/subjects/fit/gauges/shared';
import { describeQuantityIssue, GONE_WORDS } from '@/subjects/kit/shared';
import { buttonLook, Caution, Link, PlainChoice, PlainField, Problem, useShortcuts } from '@/ui';

interface JointBenchProps {
  readonly jobId: number;
  readonly printId: number;
  readonly printName: string;
  readonly joints: readonly PrintedJoint[];
}

type Play = { readonly playMm?: number; readonly playDeg?: number };

/** Joints printed in place, tried by the hand: what each does, and how much play is felt. */
export function JointBench({ jobId, printId, printName, joints }: JointBenchProps) {
  const router = useRouter();
  const [state, setState] = useState<PartState>(joints[0]?.joint.freed === 'cured' ? 'cured' : 'green');
  const [problem, setProblem] = useState<string | undefined>();
  // What was tapped here shows until the page shows it itself.
  const [tapped, setTapped] = useState<ReadonlyMap<number, JointFoundInput>>(new Map());
  const { waiting, isCutOff, add } = useOutbox<JointFoundInput, Result<void, { readonly code: 'gone' }>>({
    name: `mellow-joints-${printId}`,
    url: '/api/joints',
    onAnswer: ({ jointId }, result) => {
      const isKept = result?.ok === true;
      setProblem(isKept ? undefined : GONE_WORDS);
      if (!isKept) setTapped((before) => new Map([...before].filter(([id]) => id !== jointId)));
      router.refresh();
    },
  });
  const foundOf = ({ id, found }: PrintedJoint) =>
    waiting.findLast(({ jointId }) => jointId === id) ?? tapped.get(id) ?? found;
  const keep = (jointId: number, outcome: JointOutcome, play: Play) => {
    setProblem(undefined);
    const entry = { clientKey: uuid(), jobId, jointId, printId, outcome, state, ...play };
    setTapped((before) => new Map(before).set(jointId, entry));
    add(entry);
  };
  const open = joints.find((joint) => foundOf(joint) === undefined);
  useShortcuts(
    JOINT_OUTCOMES.map((outcome, i) => ({
      key: String(i + 1),
      does: `this joint is ${describeJointOutcome(outcome).name}`,
      run: () => open !== undefined && keep(open.id, outcome, {}),
      onEmptyField: true,
    })),
  );
  return (
    <section aria-labelledby="joints-title" className="max-w-3xl">
      <h2 id="joints-title" className="text-lg">
        Joints of print {printName}
      </h2>
      <p className="text-sm text-soft">
        Work each joint gently by hand and tap the result. The results count for every joint of this printer
        and resin.
      </p>
      <Caution>
        The gap holds uncured resin: wear gloves and eye protection, and keep the part over a tray. Do not
        force a fused joint: it snaps into sharp pieces.
      </Caution>
      <ul className="mt-2 border-t border-ink">
        {joints.map((joint) => (
          <JointRow
            key={joint.id}
            joint={joint}
            found={foundOf(joint)}
            isActive={joint.id === open?.id}
            onKeep={(outcome, play) => keep(joint.id, outcome, play)}
          />
        ))}
      </ul>
      {problem !== undefined && <Problem>{problem}</Problem>}
      {isCutOff && <CutOffNote waiting={waiting.length} what={waiting.length === 1 ? 'joint' : 'joints'} />}
      <div className="mt-3 max-w-60">
        <PlainChoice
          name="joint-state"
          label="State of the part"
          value={state}
          onChange={(event) => setState(event.target.value as PartState)}
          choices={PART_STATES.map((each) => ({ value: each, label: each }))}
        />
      </div>
      {open === undefined && joints.length > 0 && (
        <p className="mt-3 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
          <strong>All joints are tested.</strong>
          <Link href={`/jobs/${jobId}/story`} className={buttonLook('main')}>
            View history
          </Link>
        </p>
      )}
    </section>
  );
}

interface JointRowProps {
  readonly joint: PrintedJoint;
  readonly found: (Play & { readonly outcome: JointOutcome }) | undefined;
  readonly isActive: boolean;
  readonly onKeep: (outcome: JointOutcome, play: Play) => void;
}

function JointRow({ joint, found, isActive, onKeep }: JointRowProps) {
  const { name, gapMm, scale, free, floppy } = joint;
  return (
    <li className={`border-b border-hair px-2 py-2 ${isActive ? 'bg-wash' : ''}`}>
      <p>
        <span className="font-semibold">{name}</span>{' '}
        <span className="text-sm text-soft">
          {describeJoint(joint.joint.kind)}
          {gapMm !== undefined && (
            <>
              , drawn gap <span className="num">{formatMm(gapMm, 3)}</span> per side at{' '}
              {Math.round(100 * scale)} %
            </>
          )}
          {free !== undefined && (
            <>
              , expected chance to come free <span className="num">{formatChance(free)}</span>
            </>
          )}
        </span>
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-1.5" role="group" aria-label={name}>
        {JOINT_OUTCOMES.map((outcome, i) => {
          const words = describeJointOutcome(outcome);
          return (
            <button
              key={outcome}
              type="button"
              aria-pressed={found?.outcome === outcome}
              onClick={() => onKeep(outcome, {})}
              className={`min-h-10 rounded-[5px] border px-3 py-1 text-left max-lg:min-h-16 ${found?.outcome === outcome ? 'border-juniper bg-band font-semibold' : 'border-edge'}`}
            >
              {words.name} {isActive && <kbd className="max-lg:hidden">{i + 1}</kbd>}
              <span className="block text-sm font-normal text-soft">{words.means}</span>
            </button>
          );
        })}
      </div>
      {found !== undefined && (
        <>
          <p className="mt-1 text-sm">{describeJointFound(found, floppy)}</p>
          {(found.outcome === 'free' || found.outcome === 'stiff') && (
            <PlayFields
              id={joint.id}
              name={name}
              found={found}
              onKeep={(play) => onKeep(found.outcome, play)}
            />
          )}
        </>
      )}
    </li>
  );
}

/** Play as it is felt or measured: a shift, a wobble, or neither. */
interface PlayFieldsProps {
  readonly id: number;
  readonly name: string;
  readonly found: Play;
  readonly onKeep: (play: Play) => void;
}

function PlayFields({ id, name, found, onKeep }: PlayFieldsProps) {
  const [shift, setShift] = useState(found.playMm === undefined ? '' : String(found.playMm));
  const [wobble, setWobble] = useState(found.playDeg === undefined ? '' : String(found.playDeg));
  const [problem, setProblem] = useState<string | undefined>();
  const keep = () => {
    const [mm, deg] = [parseQuantity(shift, 'length'), parseQuantity(wobble, 'angle')];
    for (const [text, parsed] of [
      [shift, mm],
      [wobble, deg],
    ] as const)
      if (text.trim() !== '' && !parsed.ok) return setProblem(describeQuantityIssue(parsed.issue));
    setProblem(undefined);
    onKeep({ playMm: mm.ok ? mm.value.value : undefined, playDeg: deg.ok ? deg.value.value : undefined });
  };
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-2"
      aria-label={`Play of ${name}`}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <PlainField
        name={`play-mm-${id}`}
        label="Sideways play, mm"
        value={shift}
        onChange={(event) => setShift(event.target.value)}
      />
      <PlainField
        name={`play-deg-${id}`}
        label="Wobble, °"
        value={wobble}
        onChange={(event) => setWobble(event.target.value)}
      />
      <button type="submit" className={buttonLook('plain')}>
        Save play
      </button>
      {problem !== undefined && <Problem>{problem}</Problem>}
    </form>
  );
}
