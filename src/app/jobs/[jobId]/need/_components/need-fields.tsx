'use client';

import { type ReactNode, useState } from 'react';
import { type Side, SIDES } from '@/core/part/findings';
import { DECISION_RULES, type PartState } from '@/core/measure';
import { ACCEPTANCE_TESTS, type Claim, claimOf, CLAIMS } from '@/core/job/need';
import { describeRule } from '@/subjects/kit/shared';
import { claimFieldName, FIT_STATES, needForm, sideFieldName } from '@/subjects/job/need/shared';
import { ActionForm, Button, Caution, Choice, TextArea, TextField, Tick } from '@/ui';
import { saveNeed } from '../actions';

interface NeedFieldsProps {
  readonly jobId: number;
  readonly job: {
    readonly name: string;
    readonly need: string;
    readonly acceptance: string;
    readonly profileId: number | null;
    readonly rule: 'guarded' | 'shared';
    readonly quantity: number;
    readonly dueOn: string;
    readonly seenFaces: string;
    readonly seenSides: readonly Side[];
    readonly fitState: PartState;
    readonly hottestC: number | null;
    readonly hottestWhen: string;
    readonly fitC: number | null;
    readonly loadWords: string;
    readonly loadN: number | null;
    readonly claims: readonly Claim[];
    readonly revision: number;
  };
  readonly profiles: readonly { readonly id: number; readonly label: string }[];
}

/** What the part is for, in whose hands, and how it will be judged. */
export function NeedFields({ jobId, job, profiles }: NeedFieldsProps) {
  return (
    <ActionForm
      form={needForm}
      action={saveNeed.bind(null, jobId)}
      label="Requirements"
      className="grid gap-3"
      key={job.profileId}
    >
      <input type="hidden" name="revision" value={job.revision} />
      <TextField name="name" defaultValue={job.name} />
      <TextArea name="need" defaultValue={job.need} />
      <AcceptanceField acceptance={job.acceptance} />
      <Choice
        name="profileId"
        defaultValue={job.profileId ?? ''}
        choices={[
          { value: '', label: 'not chosen yet' },
          ...profiles.map(({ id, label }) => ({ value: String(id), label })),
        ]}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="quantity" defaultValue={job.quantity} />
        <TextField name="dueOn" type="date" defaultValue={job.dueOn} />
        <Choice
          name="fitState"
          defaultValue={job.fitState}
          choices={FIT_STATES.map((state) => ({ value: state, label: state }))}
        />
      </div>
      <Later title="Visible faces" said={job.seenSides.length > 0 || job.seenFaces !== ''}>
        <SeenFields sides={job.seenSides} words={job.seenFaces} />
      </Later>
      <Later title="Heat and load" said={job.hottestC !== null || job.fitC !== null || job.loadWords !== ''}>
        <div className="grid gap-3 sm:grid-cols-3">
          <TextField name="hottestC" defaultValue={job.hottestC ?? ''} />
          <div className="sm:col-span-2">
            <TextField
              name="hottestWhen"
              placeholder="in a parked van, forming over it, steam"
              defaultValue={job.hottestWhen}
            />
          </div>
          <TextField name="fitC" placeholder="20" defaultValue={job.fitC ?? ''} />
          <TextField name="loadWords" defaultValue={job.loadWords} />
          <TextField name="loadN" defaultValue={job.loadN ?? ''} />
        </div>
      </Later>
      <Later title="Contact, safety and ratings" said={job.claims.length > 0}>
        <ClaimTicks claims={job.claims} />
      </Later>
      <Later title="Decision rule" said={false}>
        <Choice
          name="rule"
          defaultValue={job.rule}
          choices={DECISION_RULES.map((rule) => ({ value: rule, label: describeRule(rule) }))}
        />
      </Later>
      <Button type="submit" className="justify-self-start">
        Save requirements
      </Button>
    </ActionForm>
  );
}

/** Fields that are rarely needed; open if something was entered. */
function Later({ title, said, children }: { title: string; said: boolean; children: ReactNode }) {
  return (
    <details open={said} className="border-t border-hair pt-2">
      <summary className="font-semibold">{title}</summary>
      <div className="mt-2">{children}</div>
    </details>
  );
}

/** Sides of the part that are looked at, so that supports keep away from them. */
function SeenFields({ sides, words }: { sides: readonly Side[]; words: string }) {
  return (
    <>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1.5">
        <legend className="mb-1 text-sm text-soft">
          For the current orientation of the file. Check ranks orientations with supports on these faces
          lower.
        </legend>
        {SIDES.map((side) => (
          <Tick key={side} name={sideFieldName(side)} defaultChecked={sides.includes(side)} />
        ))}
      </fieldset>
      <div className="mt-2">
        <TextField name="seenFaces" defaultValue={words} />
      </div>
    </>
  );
}

/** The test that everybody will recognise afterwards; the usual ones are one click away. */
function AcceptanceField({ acceptance }: { acceptance: string }) {
  const [text, setText] = useState(acceptance);
  const add = (sentence: string) =>
    setText(text.trim() === '' ? `${sentence}.` : `${text.trim()} ${sentence}.`);
  return (
    <div>
      <TextArea name="acceptance" value={text} onChange={(event) => setText(event.target.value)} />
      <div className="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="Common tests">
        {Object.entries(ACCEPTANCE_TESTS).map(([test, words]) => (
          <button
            key={test}
            type="button"
            className="rounded-[5px] min-h-7 border border-hair px-2 py-0.5 text-sm hover:border-edge"
            onClick={() => add(words)}
          >
            {words}
          </button>
        ))}
      </div>
    </div>
  );
}

function ClaimTicks({ claims }: { claims: readonly Claim[] }) {
  const [ticked, setTicked] = useState<readonly Claim[]>(claims);
  const toggle = (claim: Claim) =>
    setTicked(ticked.includes(claim) ? ticked.filter((each) => each !== claim) : [...ticked, claim]);
  return (
    <fieldset>
      <legend className="sr-only">Contact, safety and ratings</legend>
      <div className="flex flex-wrap gap-x-5 gap-y-1.5">
        {CLAIMS.map((claim) => (
          <Tick
            key={claim}
            name={claimFieldName(claim)}
            checked={ticked.includes(claim)}
            onChange={() => toggle(claim)}
          />
        ))}
      </div>
      <div className="mt-2 space-y-2">
        {CLAIMS.filter((claim) => ticked.includes(claim)).map((claim) => (
          <Caution key={claim}>{claimOf(claim).caution}</Caution>
        ))}
      </div>
    </fieldset>
  );
}
