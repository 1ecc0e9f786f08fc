import type { Finding } from '../../defects'
import { decimal } from '../../format'
import { stageAt } from '../../plan'
import { bleeds, hasResin, isFigured, isOily, isSoft, openPored, type Material } from '../../shelf'
import { answerTo } from '../replay'
import { either, tells, type Case } from './case'

/** Near an end, mm. */
const AT_END = 3
/** A bushing that measures more than this under the metal is worn, mm. */
const WORN_BUSHING = 0.03

/** What the blank, its fitting, the tool and the preparation tell. */
export const blankTells = (about: Case): Finding[] => [
  ...materialTells(about),
  ...placeTells(about),
  ...cleaningTells(about),
  ...preparationTells(about),
]

/** What a material tells: whether each piece of evidence holds. */
export const usualMaterial = (material: Material) => ({
  'oily wood': isOily(material),
  'open pores': openPored(material),
  'bleeding wood': bleeds(material),
  'brittle resin': hasResin(material),
  'figured wood': isFigured(material) || isSoft(material),
})

function materialTells({ state: { plan }, coats }: Case): Finding[] {
  const { material } = plan.inputs
  const { name } = material
  const first = coats[0]?.step
  const sealed = first?.product.role === 'thin CA' && !first.accelerated
  const traits = usualMaterial(material)
  const trait = (evidence: keyof typeof traits, ifSo: string, ifNot: string) => either(evidence, traits[evidence], ifSo, ifNot)
  return [
    trait('oily wood', `Oily wood: ${name}`, `No oily wood: ${name}`),
    trait('open pores', `Open pores: ${name}`, `Close grain: ${name}`),
    trait('bleeding wood', `A wood that bleeds: ${name}`, `No wood that bleeds: ${name}`),
    trait('brittle resin', 'There is resin in it', 'It has no resin'),
    trait('figured wood', `Weak spots: ${name}`, 'Straight, sound wood'),
    ...(first && bleeds(material)
      ? [either('unsealed', !sealed, 'The first coat was no thin seal', 'A thin CA coat sealed it first')]
      : []),
  ]
}

function placeTells({ state: { plan }, defect }: Case): Finding[] {
  const { wishes, fitting } = plan.inputs
  const barrel = fitting.barrels.find(one => one.id === defect.barrel)
  const end = barrel ? Math.min(defect.fromTip, barrel.tubeLength - defect.fromTip) : Infinity
  const stage = stageAt(plan, defect.step)
  const coarse = wishes.tool === 'gouge' || wishes.tool === 'square carbide'
  const under = Math.max(
    0,
    ...[
      [barrel?.bushings?.tip, barrel?.tipEnd],
      [barrel?.bushings?.clip, barrel?.clipEnd],
    ].map(([bushing, metal]) => (bushing === undefined || metal === undefined ? 0 : metal - bushing)),
  )
  return [
    either('at an end', end <= AT_END, `It is ${decimal(end, 1)} mm from an end`, 'It is away from the ends'),
    either('while turning', stage === 'blank' || stage === 'turn', 'It came while it was turned', 'It came after turning'),
    tells('coarse tool', coarse, `It was turned with a ${wishes.tool}`),
    ...(under > WORN_BUSHING ? [tells('worn bushings', true, `A bushing measures ${decimal(under, 2)} mm under the metal`)] : []),
  ]
}

function cleaningTells({ done, skipped }: Case): Finding[] {
  const cleaned = done.find(({ step }) => step.kind === 'clean')?.step
  const leftOut = skipped.some(({ step }) => step.kind === 'clean')
  return [
    ...(cleaned || leftOut ? [either('not cleaned', !cleaned, 'Cleaning was left out', 'It was cleaned')] : []),
    ...(cleaned?.kind === 'clean' && cleaned.how === 'alcohol' ? [tells('wiped wet', true, 'It was wiped with alcohol')] : []),
    ...(cleaned?.kind === 'clean' && cleaned.how === 'blow' ? [tells('wiped wet', false, 'It was blown off, not wiped')] : []),
  ]
}

function preparationTells({ state, defect, done, skipped }: Case): Finding[] {
  const said = (evidence: string, step: string, check: string, bad: string, good: string): Finding[] => {
    const answer = answerTo(state, step, check)
    return answer ? [either(evidence, answer === 'no', `${bad}, it was said`, `${good}, it was said`)] : []
  }
  const measured = state.measured.some(one => one.barrel === defect.barrel && one.at <= defect.at)
  return [
    ...said('glue gap', 'tube', 'cover', 'The glue did not cover the tube', 'Glue all over the tube'),
    ...said('bore not clear', 'square', 'bore', 'The bore was not clear', 'The bore was clear'),
    ...said('wet blank', 'dry', 'dry', 'It was not dry yet', 'It was dry'),
    ...(skipped.some(({ step }) => step.kind === 'dry') ? [tells('wet blank', true, 'Drying was left out')] : []),
    ...(done.some(({ step }) => step.kind === 'turn')
      ? [either('not measured', !measured, 'No diameter was measured', 'It was measured')]
      : []),
  ]
}
