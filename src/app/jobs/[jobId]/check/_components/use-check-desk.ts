import { useEffect, useMemo, useState } from 'react';
import { type Clock, liftOf } from '@/core/part/findings';
import { middleOfLayer } from '@/core/part/layers';
import type { JobPart } from '@/subjects/job/jobs';
import type { CheckAsk } from '@/workers';
import { keepFindings } from '../actions';
import { useCheck } from './use-check';
import { useSlice } from './use-slice';

type Pick = (place: [number, number, number]) => void;

/** What the desk looks at: the reading of the part, the layer and the finding that are shown, the place that is picked. */
export function useCheckDesk(jobId: number, part: JobPart, ask: CheckAsk) {
  const check = useCheck(part, ask);
  const { found, worker } = check;
  const [layer, setLayer] = useState<number | undefined>();
  const [active, setActive] = useState<number | undefined>();
  const [picking, setPicking] = useState<Pick | undefined>();
  useEffect(() => {
    if (found?.whole !== true) return;
    const { stance, limits } = ask;
    void keepFindings(jobId, { source: part.key, stance, layerMm: limits.layerMm, findings: found.findings });
    // Kept once a whole reading: the answer refreshes the page and brings a new `ask` that says the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [found]);
  const findings = useMemo(() => found?.findings ?? [], [found]);
  const callouts = useMemo(
    () =>
      findings.flatMap(({ atMm }, i) =>
        atMm === undefined ? [] : { id: i, label: String(i + 1), anchorMm: atMm },
      ),
    [findings],
  );
  const show = (index: number) => {
    setActive(index);
    const at = findings[index].layer;
    if (at !== undefined) setLayer(at);
  };
  const { limits, stance } = ask;
  const clock: Clock = {
    layerMm: limits.layerMm,
    layerSeconds: limits.layerSeconds.value,
    liftMm: liftOf(stance),
  };
  const shown = found === undefined ? 0 : Math.min(layer ?? Infinity, found.reading.count - 1);
  const contours = useSlice(worker, found?.reading, shown);
  const cut = useMemo(
    () =>
      found === undefined || layer === undefined
        ? undefined
        : { atMm: middleOfLayer(found.reading, layer), contours },
    [found, layer, contours],
  );
  return { ...check, active, callouts, show, clock, shown, setLayer, contours, cut, picking, setPicking };
}
