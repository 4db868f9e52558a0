import { z } from 'zod';
import { JAWS, PART_STATES } from '@/core/metrology';
import {
  choiceField,
  idField,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/language/shared';

/** A caliper. */
export const instrumentForm = z
  .object({
    name: textField('Name', { limit: 60 }),
    mpeMm: numberField('Limit of error (MPE)', 'length', {
      low: 0.0001,
      high: 1,
      hint: 'From its datasheet, or better from a check piece.',
    }),
    resolutionMm: numberField('Resolution', 'length', { low: 0.0001, high: 1 }),
    jawFlatMm: optionalNumber('Flats of the inside jaws', 'length', {
      low: 0,
      high: 5,
      hint: 'They span a bore and read it too small. Leave it blank if unknown; then the program cannot tell hole error from jaw error.',
    }),
    body: choiceField('Its beam is made of', ['steel', 'other'], {
      hint: 'Steel grows with warmth, 11.5 µm per metre and kelvin. Carbon fibre is taken as not growing.',
    }),
    simulated: tickField('A simulated caliper, for parts of a simulated printer'),
  })
  .transform(({ body, ...values }) => ({
    ...values,
    steel: body === 'steel',
    jawFlatUnknown: values.jawFlatMm === undefined,
  }));

/** A reading of a piece of known size. */
export const checkPieceForm = z
  .object({
    jaw: choiceField('Read with the', JAWS),
    piece: textField('Piece', { limit: 60, hint: 'A gauge block, a pin, a ring: what it is marked with.' }),
    knownMm: numberField('Known size', 'length', { low: 0.1, high: 2000 }),
    uncertaintyMm: numberField('Known to, ±', 'length', {
      low: 0,
      high: 1,
      hint: 'From its certificate, as ± at 95 %. A gauge block: 0.001.',
    }),
    readingMm: numberField('The caliper shows', 'length', { low: 0.1, high: 2000 }),
    isRight: tickField('It is the right piece, and it reads so'),
  })
  .transform(({ uncertaintyMm, ...check }) => ({ ...check, u_mm: uncertaintyMm / 2 }));

/** The start of a sitting. */
export const sessionForm = z.object({
  instrumentId: idField('Caliper'),
  zeroMm: numberField('Closed jaws show', 'length', {
    low: -5,
    high: 5,
    hint: 'Wipe the jaws and close them now. This is subtracted from every reading.',
  }),
  partC: optionalNumber('Part temperature', 'temperature', {
    low: -20,
    high: 60,
    hint: 'Leave it blank if nobody measured it: ±6 K is then allowed for.',
  }),
  instrumentC: optionalNumber('Caliper temperature', 'temperature', { low: -20, high: 60 }),
  state: choiceField('The part is', PART_STATES),
  warm: tickField('still warm'),
});
