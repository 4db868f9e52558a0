'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import { formatChance, formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { valueIn } from '@/core/measure';
import type { ChainView, LinkInput } from '@/subjects/fit/mating';
import { Button, PlainChoice, PlainField, Problem } from '@/ui';
import { askChain } from '../actions';

interface ChainPanelProps {
  readonly jobId: number;
  readonly features: readonly { readonly id: number; readonly name: string }[];
}

type Row = { readonly key: string; readonly name: string; readonly link: LinkInput };

function lengthOf(data: FormData, name: string): number | undefined {
  return valueIn(String(data.get(name) ?? ''));
}

/** The links that stand in the chain, and what they come to at its end. */
function useChain(jobId: number) {
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [chain, setChain] = useState<ChainView | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const [limits, setLimits] = useState<{ lowMm: number; highMm: number } | undefined>();
  const ask = async (next: readonly Row[], between = limits) => {
    setProblem(undefined);
    setLimits(between);
    setRows(next);
    const links = next.map(({ link }) => link);
    setChain(await askChain(jobId, links, between));
  };
  const add = (name: string, link: LinkInput) => void ask([...rows, { key: uuid(), name, link }]);
  const takeOut = (key: string) => void ask(rows.filter((row) => row.key !== key));
  const limit = (between: { lowMm: number; highMm: number }) => void ask(rows, between);
  return { rows, chain, problem, setProblem, add, takeOut, limit };
}

/** Sizes in a row: what is left at the end, at worst, likely, and as this printer errs; and who contributes most. */
export function ChainPanel({ jobId, features }: ChainPanelProps) {
  const { rows, chain, problem, setProblem, add, takeOut, limit } = useChain(jobId);
  return (
    <div className="space-y-3">
      <LinkForm features={features} onAdd={add} onProblem={setProblem} />
      {problem !== undefined && <Problem>{problem}</Problem>}
      {rows.length === 0 && (
        <p className="text-soft">
          Add the sizes in a row, such as the groove (opens the gap) and the washer (closes it). The result is
          the remaining gap.
        </p>
      )}
      <ul className="flex flex-wrap gap-2">
        {rows.map(({ key, name, link }) => (
          <li key={key} className="flex items-center gap-2 border border-hair px-2 py-0.5 text-sm">
            {link.direction === 1 ? '+' : '−'} {name}
            <button
              type="button"
              className="min-h-6 text-soft underline"
              aria-label={`Remove ${name} from the chain`}
              onClick={() => takeOut(key)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      {chain !== undefined && <ChainEnd chain={chain} />}
      <LimitsForm onLimit={limit} onProblem={setProblem} />
    </div>
  );
}

interface LinkFormProps extends Pick<ChainPanelProps, 'features'> {
  readonly onAdd: (name: string, link: LinkInput) => void;
  readonly onProblem: (problem: string) => void;
}

/** A size of the job, or a bought part with its tolerance. */
function LinkForm({ features, onAdd, onProblem }: LinkFormProps) {
  const add = (form: HTMLFormElement) => {
    const data = new FormData(form);
    const direction = data.get('direction') === 'opens' ? 1 : -1;
    const featureId = Number(data.get('feature'));
    const feature = features.find(({ id }) => id === featureId);
    if (feature !== undefined) return onAdd(feature.name, { featureId, direction });
    const [sizeMm, halfMm] = [lengthOf(data, 'boughtMm'), lengthOf(data, 'halfMm')];
    const name = String(data.get('boughtName') ?? '').trim() || 'bought part';
    if (sizeMm === undefined || halfMm === undefined || sizeMm <= 0 || halfMm < 0)
      return onProblem('a bought part needs its size and half of its tolerance, such as 8 and 0.05.');
    onAdd(name, { name, sizeMm, halfMm, direction });
  };
  return (
    <form
      aria-label="Add a size to the chain"
      className="grid items-end gap-3 sm:grid-cols-6"
      onSubmit={(event) => {
        event.preventDefault();
        add(event.currentTarget);
      }}
    >
      <PlainChoice
        name="feature"
        label="Size of this job"
        choices={[
          { value: '', label: 'none (bought part)' },
          ...features.map(({ id, name }) => ({ value: String(id), label: name })),
        ]}
      />
      <PlainField name="boughtName" label="or a bought part" />
      <PlainField name="boughtMm" label="Size" unit="mm" />
      <PlainField name="halfMm" label="± half the tolerance" unit="mm" />
      <PlainChoice
        name="direction"
        label="It"
        choices={[
          { value: 'opens', label: 'opens the gap' },
          { value: 'closes', label: 'closes the gap' },
        ]}
      />
      <Button type="submit">Add</Button>
    </form>
  );
}

function ChainEnd({ chain }: { chain: ChainView }) {
  return (
    <div className="bg-sheet px-3 py-2">
      <p>
        remaining gap <span className="num text-xl font-semibold">{formatMm(chain.gapMm, 3)}</span> mm; worst
        case ± <span className="num">{formatMm(chain.worstMm, 3)}</span>, likely ±{' '}
        <span className="num">{formatMm(chain.likelyMm, 3)}</span>
        {chain.joint !== undefined && (
          <>
            ; in one print of this printer with the current drawn sizes,{' '}
            <span className="num">{formatMm(chain.joint.meanMm, 3)}</span> ±{' '}
            <span className="num">{formatMm(halfWidth95(chain.joint.sdMm), 3)}</span>
          </>
        )}
        {chain.chance !== undefined && (
          <>
            ; within the limits with <span className="num">{formatChance(chain.chance)}</span>
          </>
        )}
      </p>
      <ul className="mt-1" aria-label="Contributions to the spread">
        {chain.shares.map(({ name, share }, i) => (
          <li
            key={i}
            className="grid grid-cols-[minmax(0,12rem)_minmax(0,1fr)_3rem] items-center gap-3 text-sm"
          >
            <span>{name}</span>
            <span className="h-2.5 border border-hair" aria-hidden>
              <span className="block h-full bg-juniper" style={{ width: `${share * 100}%` }} />
            </span>
            <span className="num text-right">{Math.round(share * 100)} %</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface LimitsFormProps {
  readonly onLimit: (limits: { lowMm: number; highMm: number }) => void;
  readonly onProblem: (problem: string) => void;
}

function LimitsForm({ onLimit, onProblem }: LimitsFormProps) {
  const ask = (form: HTMLFormElement) => {
    const data = new FormData(form);
    const [lowMm, highMm] = [lengthOf(data, 'endLow'), lengthOf(data, 'endHigh')];
    if (lowMm !== undefined && highMm !== undefined && lowMm < highMm) onLimit({ lowMm, highMm });
    else onProblem('the minimum gap must be below the maximum.');
  };
  return (
    <form
      aria-label="Limits of the gap"
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        ask(event.currentTarget);
      }}
    >
      <PlainField name="endLow" label="Minimum gap" unit="mm" />
      <PlainField name="endHigh" label="Maximum gap" unit="mm" />
      <Button type="submit">Calculate chance</Button>
    </form>
  );
}
