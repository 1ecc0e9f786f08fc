import type { PlanInputs, Product, ShelfAbrasive } from './inputs'
import { shelfLadder } from './ladder'
import { finishSteps } from './methods/finish'
import { layersFor } from './methods/layers'
import { productFor } from './methods/products'
import type { CleanHow, Plan } from './plan'
import { sandingProblem, usableBare } from './sanding'
import { bleeds, hasJoint, isOily, isResin, isSoft } from './traits'

/**
 * The plan of one pen, worked out from its fitting, material, method, shelf, climate and wishes. `goesOn` is the scratch depth (µm) that
 * a grit already done has left; without it sanding starts from the marks of the tool. A pure function: the same inputs give the same plan.
 */
export function makePlan(inputs: PlanInputs, goesOn?: number): Plan {
  const barrels = inputs.fitting.barrels.map(barrel => barrel.id)
  const step = <const T extends object>(one: T) => ({ ...one, barrels })

  const thin = productFor(inputs, 'thin CA')
  const harden = isSoft(inputs.material) && thin ? [step({ id: 'harden', phase: 'sand', kind: 'harden', product: thin })] : []
  const grits = woodLadder(inputs, goesOn)
  const ladder = grits.map((abrasive, index) => step({
    id: `sand.${abrasive.id}`, phase: 'sand', kind: 'sand', abrasive,
    ...(index === 0 && harden.length ? { gate: { purpose: 'sand', since: 'harden' } as const } : {}),
  }))

  const finish = finishSteps(inputs, barrels, grits.at(-1))
  const waits = (purpose: 'assemble' | 'hand over') => finish.some(one => one.kind === 'coat') ? { gate: { purpose, since: 'coat' } as const } : {}

  return {
    form: 1,
    inputs,
    steps: [
      step({ id: 'parts', phase: 'blank', kind: 'parts' }),
      step({ id: 'cut', phase: 'blank', kind: 'cut' }),
      step({ id: 'drill', phase: 'blank', kind: 'drill' }),
      ...(mustDry(inputs) ? [step({ id: 'dry', phase: 'blank', kind: 'dry' } as const)] : []),
      step({ id: 'tube', phase: 'blank', kind: 'tube', ...tubeGlueFor(inputs) }),
      step({ id: 'square', phase: 'blank', kind: 'square', gate: { purpose: 'square', since: 'tube' } }),
      step({ id: 'turn', phase: 'turn', kind: 'turn' }),
      ...harden,
      ...ladder,
      ...toTry(inputs).map(product => step({ id: `try.${product.id}`, phase: 'clean', kind: 'try', product } as const)),
      step({ id: 'clean', phase: 'clean', kind: 'clean', how: cleaning(inputs) }),
      ...finish,
      step({ id: 'ends', phase: 'assemble', kind: 'ends' }),
      step({ id: 'assemble', phase: 'assemble', kind: 'assemble', ...waits('assemble') }),
      step({ id: 'check', phase: 'assemble', kind: 'check', ...waits('hand over') }),
    ],
  }
}

/** A blank that came in damp, or is being weighed, is dried before its tube goes in; resin never. */
const mustDry = ({ blank, material }: PlanInputs): boolean => Boolean(blank && !isResin(material) && (blank.damp || blank.readings.length))

/** What the tubes are glued with: as wished where the shelf has it, else epoxy, else CA with accelerator if there is some. */
export function tubeGlueFor(inputs: PlanInputs): { product: Product | null, accelerated: boolean } {
  const epoxy = productFor(inputs, 'tube epoxy')
  const ca = productFor(inputs, 'medium CA') ?? productFor(inputs, 'thin CA')
  const quick = Boolean(productFor(inputs, 'accelerator'))
  const wish = inputs.wishes.glue ?? 'by the shelf'
  if (ca && (wish === 'CA overnight' || (wish === 'CA with accelerator' && quick))) return { product: ca, accelerated: wish === 'CA with accelerator' }
  return { product: epoxy ?? ca ?? null, accelerated: !epoxy && quick }
}

/**
 * The dry ladder for the bare blank: the turner's own, or the quickest from the tool's marks to what a film over it hides, no coarser than the blank bears. The first grit is the one that
 * the tool marks need, which comes out near the usual P100-P150 after a gouge or scraper and P220-P320 after a clean shearing cut [trade].
 */
function woodLadder(inputs: PlanInputs, goesOn?: number): ShelfAbrasive[] {
  const { ladder } = inputs.wishes
  if (ladder) return [...new Set(ladder)].flatMap(id => inputs.shelf.abrasives.filter(one => one.id === id))
  const problem = sandingProblem(inputs)
  const pass = (abrasive: ShelfAbrasive) => problem.rungs.find(rung => rung.id === abrasive.id)!.pass
  return shelfLadder({
    from: goesOn ?? problem.from, target: problem.target, abrasives: usableBare(inputs), pass, greatestJump: problem.greatestJump,
    firstGrain: goesOn === undefined ? problem.firstGrain! : 0, insist: goesOn === undefined ? problem.insist! : [],
  })
}

/** Products of the method whose solvent could craze the resin of this blank: tried on an offcut first, unless the method is wanted as it stands. */
function toTry(inputs: PlanInputs): Product[] {
  const { material, wishes } = inputs
  if (wishes.asItStands || !(isResin(material) || material.classes.includes('hybrid'))) return []
  const products = layersFor(inputs).layers.flatMap(layer => productFor(inputs, layer.role) ?? []).filter(product => product.setsBy === 'solvent')
  return [...new Set(products)]
}

/** How the blank is cleaned before the first coat. A bleeding wood or a joint is never wiped wet, oil or not. */
function cleaning(inputs: PlanInputs): CleanHow {
  const { material } = inputs
  if (isResin(material)) return 'rinse'
  const mayWipe = !bleeds(material) && !hasJoint(material) && productFor(inputs, 'alcohol')
  return isOily(material) && mayWipe ? 'alcohol' : 'blow'
}
