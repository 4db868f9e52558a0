import { edgeAt, fitWorkingCurve, learnEdgeLaw, slopeOf, zeroRatio } from '@/core/exposure';
import { describeCsvIssue, describeJsonIssue } from '@/subjects/kit/shared';
import {
  describeStripIssue,
  describeExposureChangeIssue,
  parseStripsCsv,
  parseExposureChangeJson,
} from '@/subjects/exposure/shared';
import { type Arguments, numberOption } from './arguments';
import { readText } from './files';
import { valueOrRefuse } from './usage-error';

/** Largest error of a caliper that says nothing else, mm. */
const USUAL_MPE_MM = 0.02;

/** `light strips STRIPS.csv`: the working curve of strips read with one caliper. */
export function runLightStrips(given: Arguments): object {
  const [path] = given.positionals;
  const mpeMm = numberOption(given, 'mpe', USUAL_MPE_MM);
  const strips = valueOrRefuse(
    parseStripsCsv(readText(path)),
    (issue) => `${path}: ${describeCsvIssue(issue)}`,
  );
  const { dpMm, dpSdMm, lnEc, lnEcSd } = valueOrRefuse(
    fitWorkingCurve(strips, () => mpeMm / Math.sqrt(3)),
    (issue) => `${path}: ${describeStripIssue(issue)}`,
  );
  return { Dp_mm: dpMm, Dp_sd_mm: dpSdMm, Ec: Math.exp(lnEc), lnEc_sd: lnEcSd };
}

/** `light trim TRIM.json`: edge growth against exposure, and the ratio at which edges neither grow nor shrink. */
export function runLightExposureChange({ positionals: [path] }: Arguments): object {
  const ask = valueOrRefuse(
    parseExposureChangeJson(readText(path)),
    (issue) => `${path}: ${describeJsonIssue(issue)}`,
  );
  const law = valueOrRefuse(learnEdgeLaw(ask), (issue) => `${path}: ${describeExposureChangeIssue(issue)}`);
  return { edge_mm: edgeAt(law, ask.exposureS), slope_mm: slopeOf(law), ratio: zeroRatio(law) };
}
