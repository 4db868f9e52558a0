'use client';

import { dayOf } from '@/core/kit/wording';
import { useTap } from '@/app/_components/use-tap';
import type { StockView } from '@/subjects/log';
import { describeStock, stockForm } from '@/subjects/log/shared';
import { ActionForm, Button, Problem, TextField } from '@/ui';
import { dropStock, saveStock } from '../stock-actions';

/** Film, gloves, filters, wash liquid: what is left, how long it lasts, and when to order more. */
export function StockPanel({ stock }: { stock: readonly StockView[] }) {
  const { problem, isBusy, tap } = useTap();
  return (
    <section aria-labelledby="stock-title" className="mt-8">
      <h2 id="stock-title" className="text-lg">
        Consumables
      </h2>
      <p className="max-w-prose text-sm text-soft">
        Film, gloves, filters, wash liquid. Count each item once; the program subtracts what each print uses.
      </p>
      <ul className="mt-2 border-t border-hair">
        {stock.map((item) => (
          <li key={item.id} className={`border-b border-hair py-2 ${item.isDue ? 'bg-wash px-2' : ''}`}>
            <p className="flex flex-wrap items-baseline justify-between gap-3">
              <span>
                <strong>{item.name}</strong> {describeStock(item, item)}
                <span className="text-sm text-soft">, counted {dayOf(item.countedAt)}</span>
              </span>
              <Button disabled={isBusy} onClick={() => tap((key) => dropStock(key, item.id))}>
                Remove<span className="sr-only">: {item.name}</span>
              </Button>
            </p>
            <details>
              <summary className="text-sm underline">
                Update count<span className="sr-only">: {item.name}</span>
              </summary>
              <StockFields item={item} />
            </details>
          </li>
        ))}
      </ul>
      {problem !== '' && <Problem>{problem}</Problem>}
      <details className="mt-3">
        <summary className="font-semibold">Add item</summary>
        <StockFields />
      </details>
    </section>
  );
}

function StockFields({ item }: { item?: StockView }) {
  return (
    <ActionForm
      // A new count starts with what is left now.
      key={item?.countedAt.getTime()}
      form={stockForm}
      action={saveStock}
      label={item?.name ?? 'Add item'}
      className="mt-2 grid gap-3 sm:grid-cols-3"
    >
      {item !== undefined && (
        <>
          <input type="hidden" name="stockId" value={item.id} />
          <input type="hidden" name="revision" value={item.revision} />
        </>
      )}
      <TextField name="name" defaultValue={item?.name} placeholder="Thin gloves" />
      <TextField name="unit" defaultValue={item?.unit} placeholder="pairs" />
      <TextField
        name="counted"
        defaultValue={item === undefined ? '' : Number(item.left.toPrecision(2))}
        inputMode="decimal"
      />
      <TextField name="perPrint" defaultValue={item?.perPrint} inputMode="decimal" />
      <TextField name="leadDays" defaultValue={item?.leadDays} inputMode="decimal" />
      <Button type="submit" className="self-end justify-self-start">
        Save count
      </Button>
    </ActionForm>
  );
}
