import type { PenStage } from '../bench'

/** A pen that an order asks for, as it is now. Days are YYYY-MM-DD, by the clock on the wall. */
export interface OrderedPen {
  /** What it is called where one tells of it: its mark, or what is wanted. */
  name: string
  /** How far it is; null while no pen stands for it. */
  stage: PenStage | null
  /** Whether it went to somebody. */
  gone: boolean
  /** The day it is ready by the evenings as they are planned; null where these do not say. */
  planned: string | null
  /** The day it can be ready at the earliest, its waits and the time of hands alone; null where nothing is known of it. */
  earliest: string | null
}

/** What an order is judged by. */
export interface OrderNow {
  /** The day that was promised; null where none was. */
  promised: string | null
  /** Whether it was called off. */
  calledOff: boolean
  /** Its pens. */
  pens: readonly OrderedPen[]
}

/** Why an order is not kept, or may not be, by one of its pens. */
export interface Trouble {
  /** Which. */
  pen: string
  /** What is wrong with it. */
  what: 'planned too late' | 'cannot be ready' | 'given up' | 'set aside' | 'no pen'
  /** The day it would be ready; null where that is not known. */
  day: string | null
}

/**
 * How an order stands. `late`: its day is over and not all of it is ready. `cannot be kept`: of one pen at least it is known by now.
 * `in danger`: it may still be kept, once something is decided.
 */
export interface OrderStanding {
  /** In one word. */
  how: 'called off' | 'handed over' | 'ready' | 'late' | 'cannot be kept' | 'in danger' | 'on its way'
  /** What stands against it, pen by pen. */
  troubles: Trouble[]
}

/** How an order stands on a day (YYYY-MM-DD). */
export function standingOf({ promised, calledOff, pens }: OrderNow, today: string): OrderStanding {
  if (calledOff) return { how: 'called off', troubles: [] }
  if (pens.length && pens.every(pen => pen.gone)) return { how: 'handed over', troubles: [] }
  if (pens.length && pens.every(pen => pen.gone || pen.stage === 'finished')) return { how: 'ready', troubles: [] }
  const troubles = pens.flatMap(pen => troubleOf(pen, promised) ?? [])
  if (promised !== null && today > promised) return { how: 'late', troubles }
  if (troubles.some(({ what }) => isSure(what, promised))) return { how: 'cannot be kept', troubles }
  return { how: troubles.some(({ what }) => what !== 'no pen' || promised === today) ? 'in danger' : 'on its way', troubles }
}

/** What can only be helped by another pen or another day. Without a day nothing is too late. */
const isSure = (what: Trouble['what'], promised: string | null): boolean =>
  promised !== null && (what === 'planned too late' || what === 'cannot be ready' || what === 'given up')

function troubleOf({ name, stage, gone, planned, earliest }: OrderedPen, promised: string | null): Trouble | undefined {
  if (gone || stage === 'finished') return undefined
  if (stage === null) return { pen: name, what: 'no pen', day: null }
  if (stage === 'given up' || stage === 'set aside') return { pen: name, what: stage, day: null }
  if (promised === null) return undefined
  if (earliest !== null && earliest > promised) return { pen: name, what: 'cannot be ready', day: earliest }
  return planned !== null && planned > promised ? { pen: name, what: 'planned too late', day: planned } : undefined
}
