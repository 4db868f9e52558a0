import { formatMm } from '@/core/kit/wording';
import { BEARINGS, DOWEL_PINS_MM, NUTS } from '@/core/fit/mating';

const CELL = 'num py-0.5 pr-4 text-right';

/** Sizes that standards fix, to start from; a part at hand is better measured. */
export function StandardPartsPanel() {
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <table className="border-collapse text-sm">
        <caption className="text-left text-soft">
          Nuts, style 1 (ISO 4032:2012); coarse pitch (ISO 261); clearance holes (ISO 273); mm
        </caption>
        <thead>
          <tr className="border-b border-ink text-soft">
            {['thread', 'pitch', 'flats', 'corners', 'thick', 'hole, fine', 'medium'].map((head) => (
              <th key={head} className="py-0.5 pr-4 text-right font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {NUTS.map(({ thread, pitchMm, flatsMm, cornersMm, thicknessMm, fineHoleMm, mediumHoleMm }) => (
            <tr key={thread} className="border-b border-hair">
              <th scope="row" className="py-0.5 pr-4 text-right">
                {thread}
              </th>
              {[pitchMm, flatsMm, cornersMm, thicknessMm, fineHoleMm, mediumHoleMm].map((mm, i) => (
                <td key={i} className={CELL}>
                  {formatMm(mm)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="space-y-4">
        <table className="border-collapse text-sm">
          <caption className="text-left text-soft">
            Small ball bearings (ISO 15:2017); bore and outside 0/−0.008 (ISO 492, normal class); mm
          </caption>
          <thead>
            <tr className="border-b border-ink text-soft">
              {['series', 'bore', 'outside', 'width'].map((head) => (
                <th key={head} className="py-0.5 pr-4 text-right font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {BEARINGS.map(({ series, boreMm, outerMm, widthMm }) => (
              <tr key={series} className="border-b border-hair">
                <th scope="row" className="py-0.5 pr-4 text-right font-normal">
                  {series}
                </th>
                {[boreMm, outerMm, widthMm].map((mm, i) => (
                  <td key={i} className={CELL}>
                    {mm}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="text-sm">
          Dowel pins, m6 (ISO 2338): <span className="num">{DOWEL_PINS_MM.join(' · ')}</span> mm.
        </p>
        <p className="text-sm text-soft">
          Magnets, terminals and inserts follow no reliable standard: measure yours. You can choose these
          parts as the mate in the fit dialog.
        </p>
      </div>
    </div>
  );
}
