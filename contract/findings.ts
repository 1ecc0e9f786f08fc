import type { WorkshopLearnt } from './stock'
import type { Fitting } from '../core/barrel'
import type { Defect, DefectKind } from '../core/defects'
import type { StepKind } from '../core/plan'
import type { Apart, FigureGroup, Question, RateAnswer, StandsOut, Sureness, Trait } from '../core/findings'

/** What the pens that are over answer to a question: how often something is so, or how much something comes to. */
export type FindingAnswer
  = | ({ kind: 'rate' } & RateAnswer)
    | {
      kind: 'figure'
      /** By their value of the trait. */
      groups: FigureGroup[]
      /** How many pens tell it. */
      pens: number
      /** Only so many, the latest, were asked; null where all were. */
      latest: number | null
    }

/** Pens behind a number, the latest first. */
export interface FindingPens {
  /** How many there are. */
  all: number
  /** The first of them. */
  pens: {
    /** The pen’s id. */
    id: string
    /** Its mark. */
    mark: string
    /** Its name. */
    name: string
    /** When it was over, ISO 8601. */
    ended: string
    /** Whether it was so. */
    isSo: boolean
    /** The figure; null where how often is asked. */
    figure: number | null
  }[]
}

/** A pen of the log that is like one that is planned. */
export interface AlikePen {
  /** Its id. */
  id: string
  /** Its mark. */
  mark: string
  /** Its name. */
  name: string
  /** When it was over, ISO 8601. */
  ended: string
  /** In what it differs, what counts most first. */
  apart: Apart[]
  /** Its last grit on the bare blank and its coats, as far as it had any. */
  lastGrit: string | null
  /** How many coats it had. */
  coats: string | null
  /** What went wrong on it. */
  defects: DefectKind[]
  /** Mends, and those of them that failed. */
  mends: number
  /** See `mends`. */
  failed: number
  /** Whether it was given up, or a barrel made again. */
  scrapped: boolean
  /** Whether it was finished. */
  finished: boolean
  /** Minutes with hands on it; null where they were not measured. */
  minutes: number | null
}

/** A question put ready, and how far the log can answer it. */
export interface ReadyQuestion extends Question {
  /** The surest difference; null where there is nothing to compare. */
  sureness: Sureness | null
  /** So many pens more of each would tell the least of it; null where it is told, or where even very many would not. */
  more: number | null
}

/** How a figure went from pen to pen, in the order of time. */
export interface FigureCourse {
  /** The latest pens that tell it. */
  pens: {
    /** The pen’s id. */
    id: string
    /** Its mark. */
    mark: string
    /** When it was over, ISO 8601. */
    ended: string
    /** The figure. */
    figure: number
  }[]
}

/** Where defects were found on the pens of one fitting. */
export interface DefectPlaces {
  /** The fitting, as the latest of them had it. */
  fitting: Fitting
  /** The latest of them. */
  defects: (Pick<Defect, 'id' | 'kind' | 'barrel' | 'fromTip' | 'size'> & Partial<Pick<Defect, 'around'>>)[]
}

/** How long hands were on steps of one kind. */
export interface StepTimes {
  /** The kind. */
  kind: StepKind
  /** On so many steps it was measured or said. */
  steps: number
  /** So many s were not exceeded by a tenth, a quarter, half, three quarters and nine tenths of them. */
  taken: [number, number, number, number, number]
  /** The middle of what was planned for them, s. */
  planned: number
}

/** A point in a picture is of a pen, and of a moment. */
interface PenPoint {
  /** The pen’s id. */
  id: string
  /** Its mark. */
  mark: string
  /** When it was, ISO 8601. */
  at: string
}

/** Film as it was measured, the latest first. */
export interface MeasuredFilm {
  /** Coats that were measured before and after. */
  coats: (PenPoint & {
    /** The first of their products. */
    product: string
    /** What they built, µm. */
    built: number
    /** What the plan had reckoned with, µm. */
    planned: number
  })[]
}

/** Waits as they were kept, the latest first. */
export interface KeptWaits {
  /** Those for one thing. */
  waits: (PenPoint & {
    /** How long it was, s. */
    waited: number
    /** How long it had to be, s. */
    wanted: number
    /** By how much it was cut short, s. */
    shortBy: number
    /** The air half-way through it, °C. */
    celsius: number
    /** The same, % relative humidity. */
    humidity: number
  })[]
}

/** Two ways that are tried out against one another, and how far that is. */
export interface Trial {
  /** Its id. */
  id: string
  /** Of what, and by what it is asked. */
  question: Question
  /** The two ways. */
  ways: [string, string]
  /** So many pens of each it takes. */
  pens: number
  /** When it was begun, ISO 8601. */
  begun: string
  /** When it ended; null while it goes on. */
  ended: string | null
  /** The way of the next pen, as it was drawn; null once all have theirs. */
  next: string | null
  /** Pens that have theirs, in the order they got it. */
  given: {
    /** The pen’s id. */
    id: string
    /** Its mark. */
    mark: string
    /** Its name. */
    name: string
    /** As it was drawn. */
    way: string
    /** As it was made; null while it is not over. */
    made: string | null
  }[]
  /** What came of it; null until all are over, or it was ended: who looks before that finds what is not there. */
  answer: RateAnswer | null
}

/** What was learnt of a turner, with what is set aside. */
export interface LearntOf {
  /** All of it. */
  learnt: WorkshopLearnt
  /** What counts for nothing, by its names. */
  aside: string[]
  /** What coats build before anything is measured, µm, by product. */
  builds: Record<string, number>
}

/** How what was learnt of a turner moved. */
export interface LearntCourse {
  /** What was known at some moments, the earliest first. */
  points: {
    /** The moment, ISO 8601. */
    at: string
    /** What was learnt until then. */
    learnt: WorkshopLearnt
  }[]
}

/** What the place begins with. */
export interface FindingsPlace {
  /** How many pens are over and tell something. */
  pens: number
  /** What stands out. */
  noticed: StandsOut[]
  /** On how many pens each kind of defect was found. */
  often: Partial<Record<DefectKind, number>>
  /** Questions put ready, those that can be answered first. */
  ready: ReadyQuestion[]
  /** What pens have of each trait, what most have first. */
  values: Partial<Record<Trait, string[]>>
  /** Whether the pens are being counted for the first time: what stands out is not known yet. */
  isCounting: boolean
}
