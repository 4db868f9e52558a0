import { z } from 'zod';
import { JAWS, PART_STATES } from '@/core/measure';
import {
  choiceField,
  idField,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/kit/shared';

/** A caliper. */
export const instrumentForm = z
  .object({
    name: textField('Name', { limit: 60 }),
    mpeMm: numberField('Limit of error (MPE)', 'length', {
      low: 0.0001,
      high: 1,
      hint: 'Use the value from the datasheet, or better, check the caliper on a reference piece.',
    }),
    resolutionMm: numberField('Resolution', 'length', { low: 0.0001, high: 1 }),
    jawFlatMm: optionalNumber('Flat width of the inside jaws', 'length', {
      low: 0,
      high: 5,
      hint: 'The flats make a bore read too small. Leave this blank if the width is unknown; the program then cannot separate hole error from jaw error.',
    }),
    body: choiceField('Beam material', ['steel', 'other'], {
      hint: 'Steel expands by 11.5 µm per metre and kelvin. Carbon fibre is assumed not to expand.',
    }),
    simulated: tickField('Simulated caliper, for parts from a simulated printer'),
  })
  .transform(({ body, ...values }) => ({
    ...values,
    steel: body === 'steel',
    jawFlatUnknown: values.jawFlatMm === undefined,
  }));

/** A reading of a piece of known size. */
export const checkPieceForm = z
  .object({
    jaw: choiceField('Jaws used', JAWS),
    piece: textField('Piece', { limit: 60, hint: 'The marked name of the gauge block, pin or ring.' }),
    knownMm: numberField('Known size', 'length', { low: 0.1, high: 2000 }),
    uncertaintyMm: numberField('Uncertainty of the known size, ±', 'length', {
      low: 0,
      high: 1,
      hint: 'From its certificate, as ± at 95 %. For a gauge block: 0.001.',
    }),
    readingMm: numberField('Caliper reading', 'length', { low: 0.1, high: 2000 }),
    isRight: tickField('This is the right piece and the reading is correct'),
  })
  .transform(({ uncertaintyMm, ...check }) => ({ ...check, u_mm: uncertaintyMm / 2 }));

/** The start of a sitting. */
export const sessionForm = z.object({
  instrumentId: idField('Caliper'),
  zeroMm: numberField('Reading with closed jaws', 'length', {
    low: -5,
    high: 5,
    hint: 'Wipe the jaws and close them now. This value is subtracted from every reading.',
  }),
  partC: optionalNumber('Part temperature', 'temperature', {
    low: -20,
    high: 60,
    hint: 'Leave blank if not measured. The program then allows ±6 K.',
  }),
  instrumentC: optionalNumber('Caliper temperature', 'temperature', { low: -20, high: 60 }),
  state: choiceField('State of the part', PART_STATES),
  warm: tickField('Still warm'),
});
