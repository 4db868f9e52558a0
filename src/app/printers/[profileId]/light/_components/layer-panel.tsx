'use client';

import { answersForLayer, type LayerRule, thickestLayer } from '@/core/exposure';
import { DEPTH_OF_LIGHT } from '@/core/signature';
import { PlainField, Problem, useNumbers } from '@/ui';

interface LayerPanelProps {
  readonly exposureS: number;
  readonly layerMm: number;
  /** The rule in the settings. */
  readonly houseRule: LayerRule;
  /** By strips; assumed where there is none. */
  readonly curve?: {
    readonly dpMm: number;
    readonly dpSdMm: number;
    readonly lnEc?: number;
    /** By the resin's sheet, no strip read. */
    readonly isQuoted: boolean;
  };
}

const RULE_WORDS: Readonly<Record<LayerRule, string>> = {
  overcure: 'same cure depth below the layer, computed',
  tenth: '10 % less for each 0.02 mm',
  proportion: 'in proportion to the layer height',
  supplier: 'as the supplier states',
  unchanged: 'unchanged',
};

const START = { toMm: '', supplierS: '' };

const signed = (mm: number) =>
  Math.abs(mm) < 0.0005 ? '0' : `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(3)}`;

/** Another layer height: the exposure by each rule, and its effect. */
export function LayerPanel({ exposureS, layerMm, houseRule, curve }: LayerPanelProps) {
  const { field, valueOf } = useNumbers(START, { supplierS: 'time' });
  const toMm = valueOf('toMm');
  const { dpMm, dpSdMm, lnEc } = curve ?? {
    dpMm: DEPTH_OF_LIGHT.meanMm,
    dpSdMm: DEPTH_OF_LIGHT.sdMm,
    lnEc: undefined,
  };
  const thickest = thickestLayer({ fromMm: layerMm, dpMm });
  const isLayer = toMm !== undefined && toMm > 0 && toMm <= 1;
  return (
    <section aria-labelledby="layer-title">
      <h2 id="layer-title" className="text-lg">
        Another layer height
      </h2>
      <p className="text-sm text-soft">
        Now <span className="num">{layerMm} mm</span> at <span className="num">{exposureS} s</span>
        {curve === undefined && '; no strips yet, so the penetration depth is assumed'}
        {curve?.isQuoted === true && '; no strips yet, so the penetration depth comes from the datasheet'}.
      </p>
      <div className="mt-2 grid max-w-md gap-3 sm:grid-cols-2">
        <PlainField label="Layer height" unit="mm" {...field('toMm')} />
        <PlainField label="Exposure stated by the supplier, if any" unit="s" {...field('supplierS')} />
      </div>
      {isLayer && toMm > thickest && (
        <Problem>
          too thick for this light: it needs more than four times the exposure, and edge growth could no
          longer be corrected. Stay at {thickest.toFixed(2)} mm or below.
        </Problem>
      )}
      {isLayer && toMm <= thickest && (
        <Answers
          houseRule={houseRule}
          answers={answersForLayer({
            exposureS,
            fromMm: layerMm,
            toMm,
            dpMm,
            dpSdMm,
            lnEc,
            supplierS: valueOf('supplierS'),
          })}
        />
      )}
    </section>
  );
}

interface AnswersProps {
  readonly answers: ReturnType<typeof answersForLayer>;
  readonly houseRule: LayerRule;
}

function Answers({ answers, houseRule }: AnswersProps) {
  return (
    <>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Exposure by rule">
        <table className="w-full text-left text-sm">
          <thead>
            <tr className="text-soft">
              <th scope="col" className="pr-3 font-normal">
                Rule
              </th>
              <th scope="col" className="pr-3 font-normal">
                Exposure, s
              </th>
              <th scope="col" className="pr-3 font-normal">
                Extra cure depth, mm
              </th>
              <th scope="col" className="font-normal">
                Edge growth, mm
              </th>
            </tr>
          </thead>
          <tbody>
            {answers.map(({ rule, exposureS, intervalS, overcureMm, edgeMm }) => (
              <tr key={rule} className={`border-t border-hair ${rule === 'overcure' ? 'font-semibold' : ''}`}>
                <th scope="row" className={`py-1 pr-3 text-left ${rule === 'overcure' ? '' : 'font-normal'}`}>
                  {RULE_WORDS[rule]}
                  {rule === houseRule && <span className="font-normal text-soft">, shop setting</span>}
                </th>
                <td className="num pr-3">
                  {exposureS.toFixed(2)}
                  {intervalS !== undefined && ` (${intervalS[0].toFixed(2)}–${intervalS[1].toFixed(2)})`}
                </td>
                <td className="num pr-3">{overcureMm === undefined ? '–' : signed(overcureMm)}</td>
                <td className="num">
                  {signed(edgeMm.median)}
                  {edgeMm.low !== edgeMm.high && ` (${signed(edgeMm.low)} to ${signed(edgeMm.high)})`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-sm text-soft">
        Another layer height is another profile: its sizes are learned separately, with this one as a related
        profile. Edge growth is relative to the current exposure.
      </p>
    </>
  );
}
