import { mixtureMoments } from '@/core/numerics';
import {
  meanOf,
  repeatU,
  scatterOfReading,
  squaresAround,
  swapNeighbouringDigits,
  type PooledScatter,
} from '@/core/metrology';
import { estimateFromObservations, observationRows, type Signature, type SignatureOptions } from './estimate';
import { isNegligible, normaliseWeights, SCATTER_GRID, walkGrid } from './grid';
import { latentEntries, prepareData, SAYS_NOTHING, type ModelData } from './model';
import { latentSize, nodeWorkspace, solveNodeIn, type NodeWorkspace } from './node';
import { instrumentNamed, type Observation } from './observations';
import type { Instruments, SignatureReading } from './reading';

/** A reading that neither its repeats nor the law would expect. Asked about, never dropped. */
interface SuspiciousReading {
  readonly reading: SignatureReading;
  /** Signed distance from what everything else predicts, in standard deviations. */
  readonly z: number;
  /** The reading with two neighbouring digits exchanged, where that would be unremarkable. */
  readonly guessMm?: number;
}

/** What everything else says of one observation: its predicted reading, mm. */
interface LeftOut {
  readonly meanMm: number;
  readonly sdMm: number;
}

const FAR = 4;
const FAR_FOR_A_SWAP = 2.5;

/** Predicts a new reading at the place of an observation, from data in which it was changed or left out. */
function predictReading(
  { posterior: { model } }: Signature,
  data: ModelData,
  observation: Observation,
  noise: number,
  { work, heaviestNode: from }: { readonly work: NodeWorkspace; readonly heaviestNode: number },
): LeftOut {
  const feature = model.features.indexOf(observation.feature);
  const row = model.rows.find(
    (candidate) => candidate.feature === observation.feature && candidate.print === observation.print,
  )!;
  const query = { ...latentEntries(model, row), feature, print: model.prints.indexOf(observation.print) };
  const means = new Float64Array(SCATTER_GRID.length);
  const variances = new Float64Array(SCATTER_GRID.length);
  const logWeights = walkGrid(from, (at, heaviest) => {
    const { tauB, tauP, logPrior } = SCATTER_GRID[at];
    const logWeight = solveNodeIn(work, model, data, SCATTER_GRID[at]) + logPrior;
    if (isNegligible(logWeight, heaviest)) return logWeight;
    const size = latentSize(model, data, { tauB, tauP, factor: work.factor, shift: work.shift }, query);
    means[at] = observation.drawnMm + size.offsetMm;
    variances[at] = size.variance + noise;
    return logWeight;
  });
  const { mean, sd } = mixtureMoments({ weights: normaliseWeights(logWeights), means, variances });
  return { meanMm: mean, sdMm: sd };
}

/** Left-out predictions of one signature; the model keeps its shape, only data change. */
class LeaveOneOut {
  readonly work: NodeWorkspace;
  /** Where the walk over the grid starts. */
  readonly heaviestNode: number;
  private readonly rowOf: readonly number[];
  private readonly squares: readonly number[];

  constructor(
    private readonly signature: Signature,
    private readonly instruments: Instruments,
  ) {
    this.work = nodeWorkspace(signature.posterior.model);
    const { nodes, weights } = signature.posterior;
    const heaviest = nodes[weights.indexOf(weights.reduce((a, b) => Math.max(a, b)))];
    this.heaviestNode = SCATTER_GRID.findIndex(
      ({ tauB, tauP }) => tauB === heaviest.tauB && tauP === heaviest.tauP,
    );
    this.rowOf = observationRows(signature.posterior.model, signature.observations);
    this.squares = signature.observations.map((observation) => squaresAround(valuesOf(observation)));
  }

  /**
   * Everything but the reading `dropped` of observation `at` (all its readings when left out): its share of the
   * pooled scatter and of the node weights is gone too.
   */
  without(at: number, dropped?: SignatureReading): LeftOut {
    const { observations } = this.signature;
    const kept =
      dropped === undefined ? [] : observations[at].readings.filter((reading) => reading !== dropped);
    const keptValues = kept.map((reading) => reading.readingMm);
    const pooled = this.pooledWith(at, keptValues);
    const { model } = this.signature.posterior;
    const base = this.signature.posterior.dataOfNode[0].residual;
    const residual = base.slice();
    const variance = new Float64Array(base.length);
    observations.forEach((observation, i) => {
      const instrument = instrumentNamed(this.instruments, observation.instrument);
      const count = i === at ? kept.length : observation.readings.length;
      const s = scatterOfReading(count, instrument, pooled);
      variance[this.rowOf[i]] = count === 0 ? SAYS_NOTHING : repeatU(count, s, instrument.resolutionMm) ** 2;
    });
    if (kept.length > 0) residual[this.rowOf[at]] += meanOf(keptValues) - observations[at].sizeMm;
    const instrument = instrumentNamed(this.instruments, observations[at].instrument);
    const noise = repeatU(1, scatterOfReading(1, instrument, pooled), instrument.resolutionMm) ** 2;
    return predictReading(
      this.signature,
      prepareData(model, { residual, variance }),
      observations[at],
      noise,
      this,
    );
  }

  private pooledWith(at: number, keptValues: readonly number[]): PooledScatter | undefined {
    let squares = keptValues.length > 1 ? squaresAround(keptValues) : 0;
    let dof = Math.max(0, keptValues.length - 1);
    this.signature.observations.forEach((observation, i) => {
      if (i === at || observation.readings.length < 2) return;
      squares += this.squares[i];
      dof += observation.readings.length - 1;
    });
    return dof === 0 ? undefined : { sMm: Math.sqrt(squares / dof), dof };
  }
}

function valuesOf(observation: Observation): number[] {
  return observation.readings.map((reading) => reading.readingMm);
}

/** The display's digits exchanged so that the reading would be unremarkable, as the display would show it. */
function guessSwap(
  reading: SignatureReading,
  { meanMm, sdMm }: LeftOut,
  resolutionMm: number,
): number | undefined {
  const shown = reading.shownMm ?? reading.readingMm;
  const correction = reading.readingMm - shown;
  const decimals = Math.max(0, Math.ceil(-Math.log10(resolutionMm) - 1e-9));
  return swapNeighbouringDigits(shown, decimals).find(
    (value) => Math.abs(value + correction - meanMm) < sdMm,
  );
}

function judge(
  reading: SignatureReading,
  expectations: readonly LeftOut[],
  resolutionMm: number,
): SuspiciousReading | undefined {
  const judged = expectations.map((left) => ({ left, z: (reading.readingMm - left.meanMm) / left.sdMm }));
  const worst = judged.reduce((a, b) => (Math.abs(b.z) > Math.abs(a.z) ? b : a));
  for (const { z, left } of judged) {
    const guessMm = Math.abs(z) > FAR_FOR_A_SWAP ? guessSwap(reading, left, resolutionMm) : undefined;
    if (guessMm !== undefined) return { reading, z, guessMm };
  }
  return Math.abs(worst.z) > FAR ? { reading, z: worst.z } : undefined;
}

interface LeaveOneOutReport {
  readonly suspicious: readonly SuspiciousReading[];
  /** What the law and the other prints say of each observation's size without its own readings, mm. */
  readonly expected: readonly {
    readonly observation: Observation;
    readonly meanMm: number;
    readonly sdMm: number;
  }[];
}

/**
 * Leaves out every reading against its own repeats, and every observation against the law, at the full grid.
 * Suspicious: |z| > 4, or |z| > 2.5 where exchanging neighbouring digits brings it within one standard deviation.
 */
export function leaveOneOut(signature: Signature, options: SignatureOptions): LeaveOneOutReport {
  const plain = { ...options, tries: [] };
  const base = options.tries?.length ? estimateFromObservations(signature.observations, plain) : signature;
  const loo = new LeaveOneOut(base, plain.instruments);
  const suspicious: SuspiciousReading[] = [];
  const expected: { observation: Observation; meanMm: number; sdMm: number }[] = [];
  base.observations.forEach((observation, at) => {
    const law = loo.without(at);
    expected.push({ observation, ...law });
    const seen = new Map<number, LeftOut>();
    for (const reading of observation.readings) {
      const alone = observation.readings.length === 1;
      const own = alone ? law : (seen.get(reading.readingMm) ?? loo.without(at, reading));
      seen.set(reading.readingMm, own);
      const { resolutionMm } = instrumentNamed(options.instruments, observation.instrument);
      const doubt = judge(reading, [own, law], resolutionMm);
      if (doubt !== undefined) suspicious.push(doubt);
    }
  });
  return { suspicious, expected };
}
