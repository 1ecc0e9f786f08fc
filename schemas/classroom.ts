import { array, boolean, number, type InferType } from 'yup'
import { freedoms, type ClassWork } from '../core/classroom'
import { cautionKinds } from '../reference'
import { exact, line, uuid, version, word } from './common'
import { penChoices } from './pen'

/** So many lines of anything. */
const lines = () => array(line(120).trim().min(1).required()).max(30, 'Thirty at most.').required()
const workSchema = exact({
  looks: array(word(...cautionKinds).required()).max(30, 'Thirty at most.').required(),
  cautions: lines(),
  tools: lines(),
  clearing: lines(),
  free: array(word(...freedoms).required()).max(freedoms.length).required(),
  criteria: array(line(60).trim().min(1).required()).max(12, 'Twelve at most.').required(),
})

/** So many pupils are in a class at most. */
export const MOST_PUPILS = 60
const pupils = () => array(uuid().required()).max(MOST_PUPILS, `${MOST_PUPILS} at most.`).required()

/** A class: what everybody makes, how they work, and who. */
export const newClassSchema = exact({
  id: uuid().required(),
  name: line(80).trim().min(1).required(),
  ...penChoices,
  work: workSchema,
  people: pupils(),
})
/** The same as it comes in. */
export type NewClass = Omit<InferType<typeof newClassSchema>, 'work'> & { work: ClassWork }

/** A class changed: its name, how it works, and whether it is over. */
export const classChangeSchema = exact({
  version: version().required(), name: line(80).trim().min(1).required(), work: workSchema, ended: boolean().required(),
})
/** The same as it comes in. */
export type ClassChange = Omit<InferType<typeof classChangeSchema>, 'work'> & { work: ClassWork }

/** More pupils for a class. */
export const morePupilsSchema = exact({ people: pupils() })

const POINTS = 'Should lie between 0 and 10.'
/** What a teacher gives a pen, in the order of the criteria: points of ten, null where none are given yet; and words. */
export const marksSchema = exact({
  pen: uuid().required(),
  points: array(number().min(0, POINTS).max(10, POINTS).nullable().defined()).max(12, 'Twelve at most.').required(),
  words: line(500).defined(),
})
/** The same as it comes in. */
export type Marks = InferType<typeof marksSchema>
