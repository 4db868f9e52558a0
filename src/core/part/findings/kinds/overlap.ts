import { type FindingDefinition, PLAIN } from '../finding';
import { place, volume } from './texts';

/** Supports that stand in the file overlap the part on purpose. */
export const BODIES_OVERLAP: FindingDefinition = {
  ...PLAIN,
  unit: 'mm³',
  find: ({ reading: { overlaps, fromMm, heightMm }, setup }) =>
    setup.kind === 'inFile'
      ? []
      : overlaps.map(({ volumeMm3, middleMm }) => ({
          risk: 'printLost',
          chance: 'possible',
          measured: volumeMm3,
          volumeMm3,
          layer: Math.max(0, Math.floor((middleMm[2] - fromMm) / heightMm)),
          atMm: middleMm,
        })),
  words: ({ measured, atMm }) => ({
    title: `Two bodies overlap by ${volume(measured)}`,
    does: 'The two bodies overlap in the file, so they print as one piece.',
    mend: `Move them apart${place(atMm)}. If they belong together, join them in your CAD program.`,
    changes:
      'If you separate them, use the gap from Fit. If you join them, the check treats them as one body.',
  }),
};
