import { array, boolean, number, string, ValidationError, type InferType } from 'yup'
import { materialClasses } from '../core/shelf'
import { materials } from '../reference'
import { exact, judged, line, moment, uuid, version, word } from './common'

/** Sides of a stick and of a board, mm: a pen blank is no thicker. */
const STICK = 300

const side = (most: number) =>
  number()
    .nullable()
    .moreThan(0, 'Should be above 0, or be left empty.')
    .max(most, `Should be ${most} mm or less.`)
    .defined()

/** Text of more than one line: a story. Tabs and new lines are part of it. */
const story = (most: number) =>
  string()
    .nullable()
    .max(most)
    .test(
      'story',
      'Use letters, figures and signs.',
      value =>
        // eslint-disable-next-line no-control-regex
        value === undefined || value === null || !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/.test(value),
    )

/**
 * A kind of blank on the shelf, or of board that blanks are cut from. What is not known is null; a blank nobody can name has no species
 * and perhaps a class.
 */
export const blankSchema = judged(exact({
  name: line(80).trim().min(1).required(),
  /** One of the known materials, or null for one of the turner's own or an unknown one. */
  material: word(...materials.map(row => row.id))
    .nullable()
    .defined(),
  species: line(80).nullable().defined(),
  classes: array(word(...materialClasses).required())
    .max(9)
    .required(),
  origin: story(4000).defined(),
  /** Of a board its width, and `height` is its thickness. */
  width: side(2000),
  height: side(STICK),
  length: side(3000),
  count: number().integer().min(0).max(10_000).required(),
  damp: boolean().required(),
  photo: uuid().nullable().defined(),
  /** Side hardness, N, and density, kg/m³, of a wood that is in no table; what to mind with it, and where all that stands. */
  hardness: number().nullable().min(100, 'Should lie between 100 and 30,000 N.').max(30_000, 'Should lie between 100 and 30,000 N.'),
  density: number().nullable().min(50, 'Should lie between 50 and 2,000 kg/m³.').max(2000, 'Should lie between 50 and 2,000 kg/m³.'),
  caution: line(200).nullable(),
  source: line(200).nullable(),
  /** Whether it is a board; said when it is put on the shelf. */
  board: boolean(),
  /** The board that these sticks were cut from; said when they are put on the shelf. */
  cutFrom: uuid(),
  version: version(),
}), ({ board, cutFrom, width }) => {
  if (!board && (width ?? 0) > STICK)
    return new ValidationError(`Should be ${STICK} mm or less: a pen blank is no larger.`, width, 'width')
  return !(board && cutFrom) || new ValidationError('A board is not cut from a board.', cutFrom, 'cutFrom')
})
export type BlankInput = InferType<typeof blankSchema>

/** One weighing (g) or meter reading (%) of a blank, its id made where it happened. */
export const readingSchema = judged(exact({
  id: uuid().required(),
  at: moment().required(),
  grams: number().moreThan(0, 'Should be above 0 g.').max(20_000, 'Should be 20 kg or less.'),
  percent: number().min(0, 'Should lie between 0 and 150 %.').max(150, 'Should lie between 0 and 150 %.'),
}), value => (value.grams === undefined) !== (value.percent === undefined), 'Give either a weight or a meter reading.')
export type ReadingInput = InferType<typeof readingSchema>

/** How many bits of a diameter (mm) there are; none keeps its place, so that it can be missed. */
export const bitSchema = exact({
  diameter: number().moreThan(0, 'Should be above 0.').max(40, 'Should be 40 mm or less.').required(),
  count: number().integer().min(0).max(100).required(),
  there: boolean().required(),
})
export type BitChange = InferType<typeof bitSchema>
