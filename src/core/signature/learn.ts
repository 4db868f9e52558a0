import { estimateSize, pooledScatter } from '@/core/measure';
import {
  estimateSignature,
  evidenceOf,
  type Posterior,
  type Signature,
  type SignatureOptions,
} from './estimate';
import { lawPrior } from './law';
import { groupObservations, instrumentNamed } from './observations';
import { reportSignature, type SignatureReport } from './report';
import type { SignatureReading } from './reading';

/** A signature with its report: left-out predictions and doubts of every reading. */
export interface Learned {
  readonly signature: Signature;
  readonly report: SignatureReport;
}

/** Estimates a signature and looks at every reading that it was learned from. */
export function learnSignature(readings: readonly SignatureReading[], options: SignatureOptions): Learned {
  const signature = estimateSignature(readings, options);
  const { observations } = signature;
  const values = observations.map((each) => each.readings.map(({ readingMm }) => readingMm));
  const pooled = pooledScatter(values);
  const report = reportSignature(signature, [], options, (i) => {
    const instrument = instrumentNamed(options.instruments, observations[i].instrument);
    return estimateSize(values[i], { instrument, pooled, warmthU: observations[i].warmth?.u ?? 0 }).u_mm;
  });
  return { signature, report };
}

/** What was computed, without what it was computed from: what another thread sends back. */
export interface DetachedSignature {
  readonly signature: Omit<Signature, 'observations' | 'posterior'>;
  readonly posterior: Omit<Posterior, 'evidence' | 'frame' | 'instruments' | 'prior'>;
  readonly report: SignatureReport;
}

export function detachSignature({ signature, report }: Learned): DetachedSignature {
  const { parameters, covariance, scatter, biases, base, shifts, state, longestMm, posterior } = signature;
  const { nodes, weights, places, lookedAt, stride, heaviest } = posterior;
  return {
    signature: { parameters, covariance, scatter, biases, base, shifts, state, longestMm },
    posterior: { nodes, weights, places, lookedAt, stride, heaviest },
    report,
  };
}

/** Puts a signature that was computed elsewhere beside the same readings and options again. */
export function attachSignature(
  { signature, posterior, report }: DetachedSignature,
  readings: readonly SignatureReading[],
  options: SignatureOptions,
): Learned {
  const observations = groupObservations(readings, options.instruments);
  const { evidence, frame } = evidenceOf(observations, { ...options, kept: undefined });
  const prior = options.prior ?? lawPrior();
  return {
    signature: {
      ...signature,
      observations,
      posterior: { ...posterior, evidence, frame, instruments: options.instruments, prior },
    },
    report,
  };
}
