import { array, number, ValidationError, type InferType } from 'yup'
import { fittingFaults } from '../core/barrel'
import { exact, judged, line, perhaps, version, word } from './common'

/** A length that somebody typed; how large it may be is judged with the rest of the fitting. */
const millimetres = () => number().typeError('Should be a length.').required()

const barrel = exact({
  id: word('lower', 'upper', 'only').required(),
  tubeLength: millimetres(),
  tubeOuter: millimetres(),
  bit: number().typeError('Should be a length.'),
  tipEnd: millimetres(),
  clipEnd: millimetres(),
  bushings: perhaps({ tip: number(), clip: number() }),
})

const body = {
  name: line(80).trim().min(1).required(),
  bit: millimetres(),
  barrels: array(barrel).min(1).max(2).required(),
  parts: array(line(60).min(1).required()).max(30),
}

/** One barrel is `only`; two are `lower` and `upper`, tip first. */
const rightIds = (barrels: readonly { id: string }[]): boolean => ['only', 'lower upper'].includes(barrels.map(one => one.id).join(' '))

/**
 * A fitting as it is kept on the shelf: its sizes, how many sets are there, and whether its bushings are. What no lathe could make is
 * told at its field.
 */
export const shelfFittingSchema = judged(exact({
  ...body,
  sets: number().integer().min(0).max(10_000).required(),
  bushings: word('there', 'missing', 'not known').required(),
  version: version(),
}), (value) => {
  if (!rightIds(value.barrels))
    return new ValidationError('One barrel is called only; two are lower and upper, tip first.', value, 'barrels')
  const faults = fittingFaults(value)
  return faults.length ? new ValidationError(faults.map(fault => new ValidationError(fault.says, value, fault.field))) : true
})
export type ShelfFittingInput = InferType<typeof shelfFittingSchema>
