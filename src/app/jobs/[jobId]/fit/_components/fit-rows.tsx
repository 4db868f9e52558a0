'use client';

import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { useState } from 'react';
import { type DrawnFit, MATERIAL_FACTS } from '@/core/fit/mating';
import { describeMaterial, describeRuin, describeWish } from '@/subjects/kit/shared';
import { Button, Caution, Note, RuleStrip } from '@/ui';
import { ChanceBar } from './chance-bar';
import type { FitRow } from './fit-types';
import { WishDialog } from './wish-dialog';

interface FitRowsProps {
  readonly jobId: number;
  readonly rows: readonly FitRow[];
  readonly fitC: number | null;
}

/** Every size that can meet a mate, with its fit and the expected result. */
export function FitRows({ jobId, rows, fitC }: FitRowsProps) {
  const [editing, setEditing] = useState<number | undefined>();
  const [said, setSaid] = useState<string | undefined>();
  const edited = rows.find(({ id }) => id === editing);
  if (rows.length === 0)
    return (
      <p className="mt-2 max-w-prose text-soft">
        No size with a mate yet. Enter sizes in Need, or use a measuring sheet. You can design a joint printed
        in place below.
      </p>
    );
  return (
    <>
      {said !== undefined && <Note>{said}</Note>}
      <ul className="mt-1 border-t border-ink">
        {rows.map((row) => (
          <FitLine key={row.id} row={row} onWish={() => setEditing(row.id)} />
        ))}
      </ul>
      {fitC !== null && (
        <p className="mt-1 text-sm text-soft">
          Clearances apply at <span className="num">{fitC}</span> °C; targets apply at 20 °C. Each material
          expands with its own coefficient.
        </p>
      )}
      {edited !== undefined && (
        <WishDialog
          key={edited.id}
          jobId={jobId}
          row={edited}
          onClose={(told) => {
            setEditing(undefined);
            setSaid(told);
          }}
        />
      )}
    </>
  );
}

function wishText({ wish, isoFit, ownBand }: FitRow): string {
  if (wish === null) return 'limits entered by hand';
  if (isoFit !== null) return isoFit;
  return ownBand ? `${describeWish(wish).name}, custom clearance` : describeWish(wish).name;
}

function FitLine({ row, onWish }: { row: FitRow; onWish: () => void }) {
  const { name, mate, wish, ruin, drawn, unheld, coatMm } = row;
  const fragile = mate !== undefined && (mate.irreplaceable || MATERIAL_FACTS[mate.material].brittle);
  return (
    <li className="border-b border-hair py-2.5">
      <div className="grid items-center gap-x-5 gap-y-1 lg:grid-cols-[minmax(0,13rem)_minmax(0,1fr)_minmax(0,15rem)_auto]">
        <div>
          <p className="font-semibold">{name}</p>
          <p className="text-sm text-soft">
            {mate === undefined ? (
              'no mate yet'
            ) : (
              <>
                on {mate.name}, {mate.material !== 'other' && `${describeMaterial(mate.material)}, `}
                {mate.sizeMm === null ? (
                  <span className="text-plum">not measured</span>
                ) : (
                  <span className="num">{formatMm(mate.sizeMm)}</span>
                )}
              </>
            )}
          </p>
          <p className="text-sm">
            <span className="font-semibold text-juniper">{wishText(row)}</span>
            {wish !== null && ruin !== 'none' && <span className="text-soft">; {describeRuin(ruin)}</span>}
            {coatMm > 0 && (
              <span className="text-soft">
                ; coat <span className="num">{formatMm(coatMm, 3)}</span>
              </span>
            )}
          </p>
        </div>
        <ClearanceStrip row={row} />
        <div>
          {drawn !== undefined && (
            <>
              <p>
                draw{' '}
                <span className="num text-xl font-semibold text-juniper">{formatMm(drawn.drawMm, 3)}</span>
              </p>
              <ChanceBar tight={drawn.tight} right={drawn.inTolerance} loose={drawn.loose} />
            </>
          )}
        </div>
        <Button onClick={onWish} aria-label={`${wish === null ? 'Set fit' : 'Change fit'} for ${name}`}>
          {wish === null ? 'Set fit' : 'Change'}
        </Button>
      </div>
      {wish !== null && mate?.sizeMm === null && (
        <p className="mt-1 text-plum">
          {mate.name} has no size, so no clearance can be calculated. Measure it and type its size, or use a
          measuring sheet.
        </p>
      )}
      {unheld && drawn !== undefined && <Unheld row={row} drawn={drawn} />}
      {fragile && wish === 'grip' && (
        <Caution>
          {mate.name} is {describeMaterial(mate.material)}: pressing it in can shatter it or split it later.
          Cover eyes and hands, press slowly in a vice with soft jaws, and try a loose one first.
        </Caution>
      )}
      {fragile && wish !== 'grip' && wish !== null && ruin === 'none' && (
        <p className="mt-1 text-sm text-soft">
          {mate.name} may break when forced. If too tight is not acceptable, set the cost of a wrong fit; the
          drawn size then moves away from it.
        </p>
      )}
    </li>
  );
}

/** The fit class is narrower than the process: the best possible chance, and which fits it could hold. */
function Unheld({ row: { wish, offers, isoFit }, drawn }: { row: FitRow; drawn: DrawnFit }) {
  const held = offers.filter((offer) => offer.held);
  return (
    <p className="mt-1 border-l-4 border-honey py-0.5 pl-3 text-sm">
      This printer scatters more than {isoFit ?? (wish === null ? 'this' : `a ${describeWish(wish).name}`)}{' '}
      allows. The best possible chance is <span className="num">{formatChance(drawn.inTolerance)}</span>
      {held.length > 0 && (
        <>
          ; it can hold{' '}
          {held.map((offer) => `${describeWish(offer.wish).name} (${formatChance(offer.right)})`).join(', ')}
        </>
      )}
      . Print two or three sizes in steps and use the one that fits, or finish it by hand.
    </p>
  );
}

function ClearanceStrip({
  row: { name, band, clearance, drawn, targetMm, lowerDeviationMm, upperDeviationMm },
}: {
  row: FitRow;
}) {
  if (band === undefined || clearance === undefined)
    return (
      <p className="num text-soft">
        {formatMm(targetMm)} {formatSigned(lowerDeviationMm)} {formatSigned(upperDeviationMm)}
      </p>
    );
  const words = `${name}: expected clearance ${formatSigned(clearance.meanMm, 3)} ± ${formatMm(clearance.halfMm, 3)}, wanted ${formatSigned(band.lowMm, 3)} to ${formatSigned(band.highMm, 3)} mm`;
  return (
    <div>
      <RuleStrip
        lowerDeviationMm={band.lowMm}
        upperDeviationMm={band.highMm}
        resolutionMm={0.01}
        predictedMm={clearance.meanMm}
        predictedHalfMm={clearance.halfMm}
        words={words}
        tone="none"
        showWords={false}
      />
      <p className="text-sm text-soft">
        clearance <span className="num">{formatSigned(clearance.meanMm, 3)}</span> ±{' '}
        <span className="num">{formatMm(clearance.halfMm, 3)}</span> expected
        {drawn?.reachesBeyond === true && ', more than 1.5 × the longest size measured'}
      </p>
    </div>
  );
}
