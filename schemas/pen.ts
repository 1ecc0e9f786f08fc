import { number, type InferType } from 'yup'
import { fittings, materials, methods } from '../reference'
import { day, exact, line, word } from './common'

const ids = (rows: readonly { id: string }[]): string[] => rows.map(row => row.id)

const mark = () => line(5).matches(/^[A-Z]\d{1,3}$/, 'Use a capital letter and a number, as across the cut: C2.')

const choices = {
  fitting: word(...ids(fittings)),
  material: word(...ids(materials)),
  method: word(...ids(methods)),
  tool: word('skew', 'round carbide', 'square carbide', 'gouge'),
  film: word('gloss', 'close'),
}

/** What a pen is planned from. */
const penChoices = {
  fitting: choices.fitting.required(),
  material: choices.material.required(),
  method: choices.method.required(),
  tool: choices.tool.required(),
  film: choices.film.required(),
}

/** A pen as it is started. */
export const newPenSchema = exact({
  mark: mark().required(),
  name: line(80).trim().required().min(1),
  reason: line(120).nullable().default(null),
  due: day().default(null),
  ...penChoices,
})
export type NewPen = InferType<typeof newPenSchema>

/** A change of a pen: the version that was seen, and the fields as they are to be. */
export const penChangeSchema = exact({
  version: number().integer().min(1).required(),
  mark: mark(),
  name: line(80).trim().min(1),
  reason: line(120).nullable(),
  due: day(),
  fitting: choices.fitting,
  material: choices.material,
  method: choices.method,
  tool: choices.tool,
  film: choices.film,
})
export type PenChange = InferType<typeof penChangeSchema>

/** Plan again with what is on the shelf and in the air now: the version that was seen. */
export const replanSchema = exact({ version: number().integer().min(1).required() })
