import type { DefectKind } from '../defects'
import { figures, traits, type FigureName, type Trait } from './pens'

/** What can be so on a pen, beside each kind of defect. */
export const outcomes = ['any defect', 'failed mend', 'scrapped', 'in time'] as const
/** One of them. */
export type Outcome = (typeof outcomes)[number]

/** Of what one can ask. */
export type AskedOf = DefectKind | Outcome | FigureName

/** What is asked: of what (an outcome, a kind of defect or a figure), and by what. */
export interface Question {
  /** Of what. */
  of: AskedOf
  /** By what. */
  by: Trait
}

/** Only pens that have a value of a trait are asked. */
export interface Condition {
  /** The trait. */
  trait: Trait
  /** The value. */
  value: string
}

/** So many conditions can be put at once: more leave next to nothing to count. */
export const MOST_CONDITIONS = 3

/** A condition as one text, for addresses: the trait, a colon, the value. */
export const conditionText = ({ trait, value }: Condition): string => `${trait}:${value}`

/** The condition of a text; undefined where it is none. */
export function conditionOf(text: string): Condition | undefined {
  const [name, ...value] = text.split(':')
  const trait = traits.find(one => one === name)
  return trait && value.join(':') ? { trait, value: value.join(':') } : undefined
}

/** Whether how much is asked, and not how often. */
export const isFigure = (of: string): of is FigureName => (figures as readonly string[]).includes(of)

/** What turners argue about, put ready to be asked: of common practice, in no order. */
export const readyQuestions: readonly Question[] = [
  { of: 'bleed', by: 'first coat' },
  { of: 'ring scratches', by: 'last grit' },
  { of: 'minutes of sanding', by: 'last grit' },
  { of: 'minutes', by: 'wood' },
  { of: 'white dots', by: 'applicator' },
  { of: 'sand-through', by: 'coats' },
  { of: 'blush', by: 'air' },
  { of: 'chip', by: 'tool' },
  { of: 'any defect', by: 'method' },
  { of: 'failed mend', by: 'class' },
  { of: 'scrapped', by: 'wood' },
  { of: 'in time', by: 'fitting' },
  { of: 'film of a coat', by: 'applicator' },
  { of: 'any defect', by: 'hour' },
]
