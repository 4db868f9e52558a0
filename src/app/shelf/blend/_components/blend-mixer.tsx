'use client';

import { useMemo, useState } from 'react';
import { valueIn } from '@/core/measure';
import {
  batchOf,
  type BlendPart,
  blendSheet,
  describeLiquid,
  findBlendIssue,
  type ResinFile,
} from '@/core/resin';
import {
  describeBlendIssue,
  describeProperty,
  describeQuote,
  blendForm,
} from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Caution, Choice, PlainField, Problem, TextField } from '@/ui';
import { keepBlend } from '../../actions';
import { BlendChart } from './blend-chart';

const PARTS = [1, 2, 3] as const;

type Part = { readonly resin: string; readonly percent: string };

const tidy = (value: number) => String(Number(value.toFixed(2)));

/** Start of a blend: a stiff resin, with 25 % of one that may only be a share, if the workshop has both. */
function startOf(resins: readonly ResinFile[]): Part[] {
  const additive = resins.find(({ sheet }) => sheet.alone === 'creeps' || sheet.alone === 'no') ?? resins[1];
  const base =
    resins.find(({ name, sheet }) => name !== additive.name && sheet.family === 'general') ?? resins[0];
  return [
    { resin: base.name, percent: '75' },
    { resin: base.name === additive.name ? resins[1].name : additive.name, percent: '25' },
    { resin: '', percent: '' },
  ];
}

/** Two or three resins by volume: what is known of the mixture, how to measure it out, and what must be tested. */
export function BlendMixer({ resins }: { resins: readonly ResinFile[] }) {
  const [parts, setParts] = useState<readonly Part[]>(() => startOf(resins));
  const [batch, setBatch] = useState('200');
  const change = (at: number, some: Partial<Part>) =>
    setParts(
      parts.map((part, i) => {
        if (i === at) return { ...part, ...some };
        // With two parts the other share follows.
        const two = parts[2].resin === '' && at < 2 && i < 2 && some.percent !== undefined;
        const typed = two ? valueIn(some.percent ?? '', 'percent') : undefined;
        const rest = 100 - (typed ?? Infinity);
        return rest >= 0 ? { ...part, percent: tidy(rest) } : part;
      }),
    );
  const chosen = useMemo(
    () =>
      parts.flatMap(({ resin, percent }): BlendPart[] => {
        const found = resins.find(({ name }) => name === resin);
        return found === undefined
          ? []
          : [{ resin: found, fraction: (valueIn(percent, 'percent') ?? 0) / 100 }];
      }),
    [parts, resins],
  );
  const issue = findBlendIssue(chosen);
  const sheet = useMemo(() => blendSheet(chosen), [chosen]);
  const totalMl = valueIn(batch, 'volume');
  const name = chosen
    .map(({ resin, fraction }) => `${Math.round(fraction * 100)} ${resin.name}`)
    .join(' + ')
    .slice(0, 60);
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <ActionForm form={blendForm} action={keepBlend} label="A blend" className="grid content-start gap-3">
        {PARTS.map((number, i) => (
          <div key={number} className="grid grid-cols-[minmax(0,1fr)_7rem] gap-3">
            <Choice
              name={`resin_${number}`}
              value={parts[i].resin}
              onChange={(event) => change(i, { resin: event.target.value })}
              choices={[
                ...(i === 2 ? [{ value: '', label: 'none' }] : []),
                ...resins.map((resin) => ({ value: resin.name, label: resin.name })),
              ]}
            />
            <TextField
              name={`percent_${number}`}
              label="Volume"
              value={parts[i].percent}
              onChange={(event) => change(i, { percent: event.target.value })}
            />
          </div>
        ))}
        {issue !== undefined && <Problem>{describeBlendIssue(issue)}</Problem>}
        <Caution>
          Off-label: no supplier guarantees a mixture, and the safety data sheets of its parts no longer
          apply. Wear gloves and open a window. Mix only what you need, label it, and keep it out of the
          original bottles.
        </Caution>
        <TextField key={name} name="name" defaultValue={name} maxLength={60} />
        <Button type="submit" weight="main" className="justify-self-start">
          Add blend to resins
        </Button>
        <p className="text-sm text-soft">
          A blend starts without measurements. Its signature does not come from its parts.
        </p>
      </ActionForm>
      <div className="min-w-0 space-y-6">
        <section aria-labelledby="batch-title">
          <h2 id="batch-title" className="text-lg">
            Batch sheet
          </h2>
          <div className="my-2 max-w-40">
            <PlainField
              name="batch"
              label="Total"
              unit="ml"
              inputMode="decimal"
              value={batch}
              onChange={(event) => setBatch(event.target.value)}
            />
          </div>
          <BatchTable parts={chosen} totalMl={totalMl} />
        </section>
        {chosen.length === 2 && <BlendChart first={chosen[0]} second={chosen[1]} />}
        <section aria-labelledby="known-title">
          <h2 id="known-title" className="text-lg">
            Known, estimated, and to be tested
          </h2>
          {sheet.ok && (
            <ul>
              {sheet.value.quotes.map((quote) => (
                <li key={quote.property} className="border-b border-hair py-1">
                  <span className="text-soft">
                    {quote.property === 'density_g_ml' || quote.property === 'price_litre'
                      ? 'known'
                      : 'estimated'}
                    , {describeProperty(quote.property).toLowerCase()}:{' '}
                  </span>
                  <span className="num">{describeQuote(quote)}</span>
                </li>
              ))}
              <li className="border-b border-hair py-1">
                <span className="text-soft">washes in: </span>
                {sheet.value.washLiquids === undefined
                  ? 'not stated for all parts'
                  : sheet.value.washLiquids.length === 0
                    ? 'no liquid suits all parts'
                    : sheet.value.washLiquids.map(describeLiquid).join(', ')}
              </li>
              <li className="border-b border-hair py-1 font-semibold">
                to be tested: heat resistance, elongation at break, impact, hardness, printability, and
                whether it stays mixed
              </li>
            </ul>
          )}
        </section>
      </div>
    </div>
  );
}

function BatchTable({ parts, totalMl }: { parts: readonly BlendPart[]; totalMl: number | undefined }) {
  if (totalMl === undefined || totalMl <= 0) return <Problem>enter the total volume in millilitres.</Problem>;
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">Millilitres and grams of each part</caption>
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th scope="col" className="font-normal">
            Resin
          </th>
          <th scope="col" className="text-right font-normal">
            ml
          </th>
          <th scope="col" className="text-right font-normal">
            g
          </th>
        </tr>
      </thead>
      <tbody>
        {batchOf(parts, totalMl).map(({ resin, ml, grams }, i) => (
          <tr key={`${resin}-${i}`} className="border-b border-hair">
            <th scope="row" className="py-1 text-left font-normal">
              {resin}
            </th>
            <td className="num text-right">{Number.isFinite(ml) ? ml.toFixed(1) : '–'}</td>
            <td className="text-right">
              {grams === undefined || !Number.isFinite(grams) ? (
                <span className="text-sm text-soft">density unknown</span>
              ) : (
                <span className="num">{grams.toFixed(1)}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
