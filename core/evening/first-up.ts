import { nth } from '../sure'
import { wayOf } from './evenings'
import { compareCosts, SAME, usuallyWanted, type Block, type Costs, type EveningProblem, type Goal } from './problem'
import { costsOfOrder } from './kept'
import { taskOf, type Task } from './task'

/** Why a piece is taken up first. */
export type WhyFirst
  /** Nothing else is left to do. */
  = | { kind: 'only' }
  /** The turner wants it first. */
    | { kind: 'wished' }
  /** With any other first that was tried, a plan comes to so much more of this: the first goal in which they differ. */
    | { kind: 'else', goal: Goal, by: number }
    | { kind: 'as good as any' }

/** What the turner’s own hands take up first. */
export interface FirstUp {
  /** On which pen. */
  pen: string
  /** When hands turn to it, s: to the change before it, if there is one. */
  begins: number
  /** Why. */
  why: WhyFirst
  /** All pens in the order in which they are taken up. */
  order: string[]
}

/** So many other pens, those that come soonest, are tried first, each with so many of its pieces. */
const OTHERS = 8
const TRIED = [1, 2, 4, 8]

/**
 * What a plan has first for the turner’s own hands, and why: what the same order would come to with another pen first. Undefined when
 * nothing is left for them.
 */
export function firstUp(problem: EveningProblem, blocks: readonly Block[]): FirstUp | undefined {
  const first = blocks.find(one => one.crew === 0)
  if (!first) return undefined
  const { pen, begins, change } = first
  return { pen, begins: begins - change, why: whyOf(problem, blocks, first), order: [...new Set(blocks.map(one => one.pen))] }
}

function whyOf(problem: EveningProblem, blocks: readonly Block[], { pen }: Block): WhyFirst {
  if (problem.first?.[0]?.pen === pen) return { kind: 'wished' }
  const task = taskOf(problem)
  const way = wayOf(task, blocks)
  const others = [...new Set(way?.order)].filter(one => task.pens[one]?.id !== pen).slice(0, OTHERS)
  if (!way || !others.length) return { kind: 'only' }
  const best = leastOfAll(others.flatMap(other => TRIED.flatMap(count => costsWithFirst(task, way.order, other, count) ?? [])))
  const goal = best && usuallyWanted.find(one => Math.abs(best[one] - way.costs[one]) > SAME)
  if (!best || !goal || best[goal] < way.costs[goal]) return { kind: 'as good as any' }
  return { kind: 'else', goal, by: best[goal] - way.costs[goal] }
}

/** What an order comes to with so many pieces of a pen before all else; undefined where a wish bars it. */
function costsWithFirst(task: Task, order: readonly number[], pen: number, most: number): Costs | undefined {
  const count = Math.min(most, nth(task.pens, pen).count)
  let left = count
  const rest = order.filter(one => one !== pen || --left < 0)
  return costsOfOrder(task, [...Array.from({ length: count }, () => pen), ...rest])
}

const leastOfAll = (all: readonly Costs[]): Costs | undefined =>
  all.reduce<Costs | undefined>((least, one) => (least && compareCosts(least, one) <= 0 ? least : one), undefined)
