import { isResin, isSoft, productFor } from '../../shelf'
import type { Plan, PlanInputs, Step, StepKind, StepOf } from '../model'
import { bareLadder } from './bare-ladder'
import { cleaning, toTry } from './cleaning'
import { finishSteps } from './finish'
import { tubeGlueFor } from './glue'

/**
 * The plan of one pen, worked out from its fitting, material, method, shelf, climate and wishes. `goesOn` is the scratch depth (µm) that
 * a grit already done has left; without it sanding starts from the marks of the tool. A pure function: the same inputs give the same plan.
 */
export function makePlan(inputs: PlanInputs, goesOn?: number): Plan {
  const barrels = inputs.fitting.barrels.map(barrel => barrel.id)
  const grits = bareLadder(inputs, goesOn)
  const finish = finishSteps(inputs, barrels, grits.at(-1))
  const on = (steps: readonly Bare[]): Step[] => steps.map((step): Step => ({ ...step, barrels }))
  return {
    form: 1,
    inputs,
    steps: [
      ...on(preparation(inputs)),
      ...on(sanding(inputs, grits)),
      ...on(beforeCoats(inputs)),
      ...finish,
      ...on(assembly(finish.some(step => step.kind === 'coat'))),
    ],
  }
}

/** A step before it is said on which barrels. */
type Bare = { [K in StepKind]: Omit<StepOf<K>, 'barrels'> }[StepKind]

function preparation(inputs: PlanInputs): Bare[] {
  return [
    { id: 'parts', phase: 'blank', kind: 'parts' },
    { id: 'cut', phase: 'blank', kind: 'cut' },
    { id: 'drill', phase: 'blank', kind: 'drill' },
    ...(mustDry(inputs) ? [{ id: 'dry', phase: 'blank', kind: 'dry' } as const] : []),
    { id: 'tube', phase: 'blank', kind: 'tube', ...tubeGlueFor(inputs) },
    { id: 'square', phase: 'blank', kind: 'square', gate: { purpose: 'square', since: 'tube' } },
    { id: 'turn', phase: 'turn', kind: 'turn' },
  ]
}

/** A blank that came in damp, or is being weighed, is dried before its tube goes in; resin never. */
const mustDry = ({ blank, material }: PlanInputs): boolean => Boolean(blank && !isResin(material) && (blank.damp || blank.readings.length))

/** The ladder; soft wood is hardened before it, and so is any wood whose method asks for it. A burnish comes last. */
function sanding(inputs: PlanInputs, grits: ReturnType<typeof bareLadder>): Bare[] {
  const { method: { wood }, material } = inputs
  const isHardened = isSoft(material) || (wood?.harden && !isResin(material))
  const thin = isHardened ? productFor(inputs, 'thin CA') : undefined
  const harden: Bare[] = thin ? [{ id: 'harden', phase: 'sand', kind: 'harden', product: thin }] : []
  const ladder = grits.map((abrasive, index): Bare => ({
    id: `sand.${abrasive.id}`,
    phase: 'sand',
    kind: 'sand',
    abrasive,
    ...(index === 0 && thin ? { gate: { purpose: 'sand', since: 'harden' } } : {}),
  }))
  const burnish: Bare[] = wood?.burnish && !isResin(material) ? [{ id: 'burnish', phase: 'sand', kind: 'burnish' }] : []
  return [...harden, ...ladder, ...burnish]
}

const beforeCoats = (inputs: PlanInputs): Bare[] => [
  ...toTry(inputs).map((product): Bare => ({ id: `try.${product.id}`, phase: 'clean', kind: 'try', product })),
  { id: 'clean', phase: 'clean', kind: 'clean', how: cleaning(inputs) },
]

function assembly(coated: boolean): Bare[] {
  const waits = (purpose: 'assemble' | 'hand over') => (coated ? { gate: { purpose, since: 'coat' } as const } : {})
  return [
    { id: 'ends', phase: 'assemble', kind: 'ends' },
    { id: 'assemble', phase: 'assemble', kind: 'assemble', ...waits('assemble') },
    { id: 'check', phase: 'assemble', kind: 'check', ...waits('hand over') },
  ]
}
