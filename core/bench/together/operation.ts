import { abrasiveName } from '../../abrasives'
import { bitOf } from '../../barrel'
import type { GritStep, PlanInputs, Step, StepKind, StepOf } from '../../plan'

/** What stays as it is from pen to pen when one operation is done on several, and need not be changed for each. */
export type Saved = 'bit' | 'bushings' | 'glue' | 'paper' | 'bottle' | 'set-up'

/** What is done next on a pen, as far as it can be done on others with the same things in hand. */
export interface Operation {
  /** Steps of any pens with the same key are one operation. */
  key: string
  /** What is changed once for all of them. */
  saves: Saved
}

type Told = Omit<Operation, 'key'> & { with: string }
type Teller<S extends Step> = (step: S, inputs: PlanInputs) => Told | null

const setUp: Teller<Step> = (_step, { fitting }) => ({ saves: 'set-up', with: fitting.id })
const bushings: Teller<Step> = (_step, { fitting }) => ({ saves: 'bushings', with: fitting.id })
const same: Teller<Step> = () => ({ saves: 'set-up', with: '' })
const alone: Teller<Step> = () => null
const paper: Teller<GritStep> = ({ abrasive }) =>
  ({ saves: 'paper', with: abrasiveName(abrasive) })
const bottle: Teller<StepOf<'harden' | 'try' | 'wipe off' | 'polish'>> = ({ product }) => ({ saves: 'bottle', with: product.id })
const bits: Teller<Step> = (_step, { fitting }) =>
  ({ saves: 'bit', with: [...new Set(fitting.barrels.map(barrel => bitOf(fitting, barrel)))].join(' and ') })

/** What of a step makes it alike with another; null for what is done on one pen alone. */
const TELLERS: { readonly [K in StepKind]: Teller<StepOf<K>> } = {
  'parts': same,
  'cut': setUp,
  'drill': bits,
  'dry': same,
  'tube': ({ product, accelerated }) => ({ saves: 'glue', with: `${product?.id ?? ''} ${accelerated}` }),
  'square': bits,
  'turn': bushings,
  'fill': alone,
  'flush': alone,
  'harden': bottle,
  'sand': paper,
  'try': bottle,
  'clean': ({ how }) => ({ saves: 'set-up', with: how }),
  'coat': ({ product, accelerated, applicator, speed }) =>
    ({ saves: 'bottle', with: `${product.id} ${accelerated} ${applicator} ${speed}` }),
  'buff': same,
  'wipe off': bottle,
  'take off': alone,
  'burnish': same,
  'cut back': paper,
  'level': paper,
  'smooth': paper,
  'polish': bottle,
  'sand back': paper,
  'ends': setUp,
  'assemble': setUp,
  'check': same,
  'set aside': alone,
  'look again': alone,
  'fix': alone,
}

/** What is done in a step, as far as it can be done on several pens; null where it cannot: a mend is each pen's own. */
export function operationOf(step: Step, inputs: PlanInputs): Operation | null {
  if (step.mend) return null
  const told = (TELLERS[step.kind] as Teller<Step>)(step, inputs)
  return told && { key: `${step.kind} ${told.with}`.trim(), saves: told.saves }
}
