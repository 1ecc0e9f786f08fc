import { grainSize } from '../core/abrasives'
import { makePlan, reviewOf, trace } from '../core/plan'
import { bestLadders, learnSanding } from '../core/sanding'
import { abrasives } from '../reference'
import { inputs } from '../tests/support/inputs'
import { measure } from './measure'

export function planBench(): void {
  const damson = inputs('damson', 'twist-10')
  measure('a plan from scratch', () => makePlan(damson))
  const plan = makePlan(damson)
  measure('all that follows from a plan', () => trace(plan))
  const traced = trace(plan)
  measure('review of a ladder', () => reviewOf(plan, traced))
  const looks = Array.from({ length: 100 }, (_, index) => ({ depth: 10 + index % 15, capacity: 37, tau: 15, seconds: 3 + index % 20, gone: index % 3 > 0 }))
  measure('own rates from a hundred looks', () => learnSanding(looks), 60)
  const medium = { kind: 'wood', hardness: { label: 'hardness', value: 5000, unit: 'N', origin: 'default' } } as const
  const rungs = abrasives.slice(0, 40).map(row => ({ id: row.id, pass: { origin: row.id, grain: grainSize(row.scale, row.mark), medium, speed: 40, pressure: 1 } }))
  measure('five best ladders over 40 abrasives', () => bestLadders({ from: 60, target: 1.5, rungs, overhead: 25, greatestJump: 2 }, 5))
}
