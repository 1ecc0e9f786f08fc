import { must } from '../core/sure'
import { grainSize } from '../core/abrasives'
import { coatsNeeded, fitBuild, type FilmStep, type Growth } from '../core/film'
import { makePlan, reviewOf, trace } from '../core/plan'
import { bestLadders, learnSanding } from '../core/sanding'
import { abrasives, methods } from '../reference'
import { inputs } from '../tests/support/inputs'
import { measure } from './measure'

const growths = Array.from({ length: 200 }, (_, index): Growth => ({
  id: String(index),
  coats: { 'thin-ca': 1 + (index % 4), 'medium-ca': index % 3 },
  growth: 8 * (1 + (index % 4)) + 25 * (index % 3) + (index % 5),
  places: 3,
}))

export function planBench(): void {
  const damson = inputs('damson', 'twist-10')
  measure('a plan from scratch', () => makePlan(damson))
  const plan = makePlan(damson)
  measure('all that follows from a plan', () => trace(plan))
  // The whole film for every number of coats tried, with spread, unevenness, levelling in stages and the polish ladder.
  const deep = inputs('oak', 'twist-10', {
    method: must(methods.find(row => row.id === 'ca-thin-staged'), 'it is in the reference'),
    wishes: { tool: 'skew', film: 'gloss', depth: 80 },
  })
  const { product, applicator } = must(makePlan(deep).steps.find(step => step.kind === 'coat'), 'a CA finish has coats')
  const coat: FilmStep = { kind: 'coat', product: must(product.film, 'CA builds a film'), onTop: 0.7, applicator }
  const staged = (count: number): FilmStep[] => [
    ...Array.from({ length: count }, (_, index): FilmStep[] => (index % 3 === 2 ? [coat, { kind: 'level', scratch: 3.9 }] : [coat])).flat(),
    { kind: 'level', scratch: 3.9 },
    { kind: 'smooth', scratchBefore: 3.9 },
  ]
  measure('coats needed, film of every count from bare', () => coatsNeeded(80, staged))
  measure('a plan from scratch, 80 µm in stages on open pores', () => makePlan(deep))
  measure('every method planned for one blank', () => methods.map(method => makePlan({ ...damson, method })), 60)
  measure('own builds from 200 growths', () => fitBuild(growths, { 'thin-ca': 8, 'medium-ca': 25 }), 30)
  const traced = trace(plan)
  measure('review of a ladder', () => reviewOf(plan, traced))
  const looks = Array.from({ length: 100 }, (_, index) => ({
    depth: 10 + (index % 15),
    capacity: 37,
    tau: 15,
    notYet: index % 3 ? [] : [25 + (index % 7)],
    gone: 30 + (index % 20),
    before: 1,
    each: 1,
  }))
  measure('own rates from a hundred looks', () => learnSanding(looks), 60)
  const medium = { kind: 'wood', hardness: { label: 'hardness', value: 5000, unit: 'N', origin: 'default' } } as const
  const rungs = abrasives
    .slice(0, 40)
    .map(row => ({ id: row.id, pass: { origin: row.id, grain: grainSize(row.scale, row.mark), medium, speed: 40, pressure: 1 } }))
  measure('five best ladders over 40 abrasives', () => bestLadders({ from: 60, target: 1.5, rungs, overhead: 25, greatestJump: 2 }, 5))
}
