import { latestIn, waitIn, type Climate, type WaitWays } from '../../climate'
import { given, type Figure, type Source } from '../../figures'
import type { WaitPurpose } from '../../shelf'
import { gateSince, type Plan, type Step, type StepId } from '../model'

/** A wait before a step. */
export interface StepWait {
  /** The step it counts from. */
  since: StepId
  /** How long, s. */
  length: Figure
  /** By when at the latest, s from the same moment, where it must not be put off. */
  latest?: Figure
}

const RESTS: Source = { mark: 'model', note: 'starting value; the label stands above it' }

/**
 * The waits before a step in this air: the label's figure where there is one, else the base wait of what it waits for. Empty where
 * nothing is waited for; of several the one that ends last counts.
 */
export function stepWaits(plan: Plan, step: Step, climate: Climate, leftOut?: ReadonlySet<StepId>): StepWait[] {
  const { gate } = step
  return gate ? gateSince(plan, step, leftOut).flatMap(since => waitAfter(plan, since, gate.purpose, climate) ?? []) : []
}

/** Whether a finger tells when such a wait is over: of what cures for a day it does not. */
export const isTouched = (purpose: WaitPurpose): boolean => purpose === 'next coat' || purpose === 'level'

function waitAfter({ inputs }: Plan, since: Step, purpose: WaitPurpose, climate: Climate): StepWait | undefined {
  if (since.kind === 'set aside') return { since: since.id, length: given('left alone in the warm', since.seconds, 's', RESTS) }
  const product = 'product' in since ? since.product : null
  const label = product?.label?.[purpose]
  const base = label ?? product?.waits?.[purpose]
  if (!product || !base) return undefined
  const said = label ? ', by the label' : ''
  const quick = 'accelerated' in since && since.accelerated ? base.accelerated : undefined
  const name = `${product.name}, ${purpose}`
  const figure = given(`${name}${quick === undefined ? '' : ', with accelerator'}${said}`, quick ?? base.plain, 's', base.source)
  const own = isTouched(purpose) ? inputs.waits?.[product.id] : undefined
  const ways: WaitWays = {
    setsBy: product.setsBy ?? 'warmth',
    accelerated: quick !== undefined,
    label: Boolean(label),
    held: purpose === 'hand over',
    ...(own === undefined ? {} : { own }),
  }
  const latest = base.latest === undefined ? undefined : given(`${name}, at the latest${said}`, base.latest, 's', base.source)
  return {
    since: since.id,
    length: waitIn(climate, figure, `wait for ${purpose}`, ways),
    ...(latest ? { latest: latestIn(climate, latest, `latest for ${purpose}`, ways) } : {}),
  }
}
