import { causeOf, type Losses, type LossSum } from '@/core/log';

interface LossRow extends LossSum {
  readonly name: string;
}

/** What failures took, by cause and by month. */
export function LossTables({ losses: { total, byCause, byMonth } }: { losses: Losses }) {
  return (
    <section aria-labelledby="losses-title">
      <h2 id="losses-title" className="text-lg">
        Losses
      </h2>
      {total.prints === 0 ? (
        <p className="text-soft">No losses recorded.</p>
      ) : (
        <>
          <p>
            <span className="num">{total.hours.toFixed(1)}</span> hours of the printer,{' '}
            <span className="num">{Math.round(total.ml)}</span> ml and{' '}
            <span className="num">{total.money.toFixed(0)}</span> in your currency, labour included.
          </p>
          <LossTable
            title="by cause"
            rows={byCause.map(({ cause, ...sum }) => ({
              ...sum,
              name: cause === undefined ? 'not found yet' : causeOf(cause).words,
            }))}
          />
          <LossTable title="by month" rows={byMonth.map(({ month, ...sum }) => ({ ...sum, name: month }))} />
        </>
      )}
    </section>
  );
}

function LossTable({ title, rows }: { title: string; rows: readonly LossRow[] }) {
  return (
    <table className="mt-2 w-full border-collapse">
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th className="py-1 pr-3 font-normal">{title}</th>
          {['prints', 'hours', 'ml', 'money'].map((head) => (
            <th key={head} className="w-16 py-1 pl-3 text-right font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, 12).map(({ name, prints, hours, ml, money }) => (
          <tr key={name} className="border-b border-hair">
            <th scope="row" className="py-1 pr-3 text-left font-normal">
              {name}
            </th>
            <td className="num py-1 pl-3 text-right">{prints}</td>
            <td className="num py-1 pl-3 text-right">{hours.toFixed(1)}</td>
            <td className="num py-1 pl-3 text-right">{Math.round(ml)}</td>
            <td className="num py-1 pl-3 text-right">{money.toFixed(0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
