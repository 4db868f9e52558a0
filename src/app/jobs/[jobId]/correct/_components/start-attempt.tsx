'use client';

import { formatChance } from '@/core/kit/wording';
import { Download } from 'lucide-react';
import type { BlockGain } from '@/subjects/fit/gauges';
import { ActionForm, Button, buttonLook, Link, TextField } from '@/ui';
import { drawNext } from '../actions';
import { attemptForm } from '@/subjects/job/correct/shared';

interface StartAttemptProps {
  readonly jobId: number;
  readonly nextNumber: number;
  /** Chance that every feature is in tolerance; undefined where the job has joints only. */
  readonly joint?: number;
  readonly jointUnchanged?: number;
  /** Copies wanted, and the chance that all of them are right. */
  readonly copies?: { readonly wanted: number; readonly chance: number };
  readonly features: number;
  readonly nextReading?: { readonly name: string; readonly sdShare: number };
  /** What checking the caliper on a known piece would lift the chance to. */
  readonly check?: { readonly instrument: string; readonly jaw: string; readonly joint: number };
  /** What a block of sizes chosen for this job would bring, printed and read first. */
  readonly block?: BlockGain;
  readonly profileId: number;
  readonly hasSolid: boolean;
}

function hours(value: number): string {
  return value < 10 ? `${value.toFixed(1)} h` : `${Math.round(value)} h`;
}

/** Print a small block first, or the part at once? Compares the time of both. */
function BlockFirst({ jobId, profileId, block }: { jobId: number; profileId: number; block: BlockGain }) {
  return (
    <p className="mt-1">
      A block of {block.sizes} sizes chosen for this job would raise the chance to{' '}
      <span className="num font-semibold">{formatChance(block.after)}</span>. Printing and measuring it takes
      about {hours(block.hours)}. It pays off if one print of the part takes longer than{' '}
      <span className="num">{hours(block.paysBeyondHours)}</span>.{' '}
      <Link href={`/gauges?profile=${profileId}&choice=chosenBlock&job=${jobId}`} className="underline">
        Create block
      </Link>
    </p>
  );
}

/** The chance of the whole part, the corrected file, and the start of the next attempt with its reason. */
export function StartAttempt({
  jobId,
  nextNumber,
  joint,
  jointUnchanged,
  copies,
  features,
  nextReading,
  check,
  block,
  profileId,
  hasSolid,
}: StartAttemptProps) {
  return (
    <div className="bottom-0 mt-3 sm:sticky bg-wash px-3 py-3">
      <p>
        {joint !== undefined && (
          <>
            <strong>{features === 1 ? 'Within limits' : `All ${features} within limits`}:</strong>{' '}
            <span className="num font-semibold">{formatChance(joint)}</span>
          </>
        )}
        {jointUnchanged !== undefined && (
          <span className="text-soft">
            {' '}
            (reprinted unchanged: <span className="num">{formatChance(jointUnchanged)}</span>)
          </span>
        )}
        {copies !== undefined && (
          <span>
            {' '}
            All {copies.wanted} copies within limits:{' '}
            <span className="num font-semibold">{formatChance(copies.chance)}</span>.
          </span>
        )}
        {nextReading !== undefined && (
          <span>
            {' '}
            One more set of readings of <strong>{nextReading.name}</strong> reduces this uncertainty by{' '}
            {Math.round(100 * nextReading.sdShare)} %.
          </span>
        )}
        {check !== undefined && joint !== undefined && (
          <span>
            {' '}
            Check the {check.jaw} jaws of {check.instrument} with three readings of a reference piece to raise
            this to <span className="num font-semibold">{formatChance(check.joint)}</span>:{' '}
            <Link href="/house#calipers" className="underline">
              {' '}
              Check caliper{' '}
            </Link>
            .
          </span>
        )}
      </p>
      {block !== undefined && <BlockFirst jobId={jobId} profileId={profileId} block={block} />}
      <ActionForm
        form={attemptForm}
        action={drawNext.bind(null, jobId)}
        label={`Start attempt ${nextNumber}`}
        className="mt-2"
      >
        <div className="flex flex-wrap items-end gap-3">
          <div className="min-w-56 flex-1">
            <TextField
              name="reason"
              label={
                nextNumber === 1
                  ? 'Reason for the change, if any'
                  : 'Reason, one line (the program finds what changed)'
              }
              placeholder={nextNumber === 1 ? '' : 'bore too tight; edges grow'}
            />
          </div>
          {hasSolid && (
            <a href={`/api/jobs/${jobId}/part?drawn=next&save`} download className={buttonLook('plain')}>
              <Download size={16} aria-hidden /> Part with these sizes, STL
            </a>
          )}
          <Button type="submit" weight="large">
            Start attempt {nextNumber}
          </Button>
        </div>
      </ActionForm>
    </div>
  );
}
