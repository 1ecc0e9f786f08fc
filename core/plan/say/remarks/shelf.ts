import { day, millilitres } from '../../../format'
import { hasFilm } from '../../../method'
import { keepsUntil, productFor, type ProductRole } from '../../../shelf'
import { layersFor } from '../../make'
import type { Plan } from '../../model'
import { shortages, type PlanTrace } from '../../trace'
import type { Remark } from './remark'

/** What the method, the glue and the polish ask for and the shelf has not. */
export function shelfGaps({ inputs, steps }: Plan): Remark[] {
  const lacks = (role: ProductRole) => !productFor(inputs, role)
  const found: Remark[] = []
  const { method } = inputs
  const { missing } = layersFor(inputs)
  const coats = steps.some(step => step.kind === 'coat')
  for (const role of missing) {
    found.push(
      coats
        ? {
            weight: 'gap',
            says: `No ${role} on the shelf: its coats are left out.`,
            remedy: `Put ${role} on the shelf, or choose another finish.`,
          }
        : {
            weight: 'gap',
            says: `No ${role} on the shelf, so there are no coats in this plan.`,
            remedy: `Put ${role} on the shelf, then plan again.`,
          },
    )
  }
  if (lacks('accelerator') && method.layers.some(layer => layer.accelerate))
    found.push({
      weight: 'note',
      says: 'No accelerator on the shelf: every coat waits to set by itself.',
      remedy: 'The waits are planned for that.',
    })
  if (lacks('plastic polish') && method.polishes > 0)
    found.push({
      weight: 'note',
      says: `No plastic polish on the shelf: the ${hasFilm(method) ? 'film' : 'surface'} stays as the last grit leaves it.`,
      remedy: 'Put a plastic polish on the shelf for the last gloss.',
    })
  if (lacks('fine polish') && method.polishes > 1)
    found.push({
      weight: 'note',
      says: 'No fine polish on the shelf: the cutting polish is the last.',
      remedy: 'Put a fine polish on the shelf for the last haze.',
    })
  if (lacks('tube epoxy') && lacks('thin CA') && lacks('medium CA'))
    found.push({ weight: 'gap', says: 'Nothing on the shelf glues a tube.', remedy: 'Put epoxy or CA on the shelf, then plan again.' })
  return found.map(remark => ({ ...remark, shelf: 'finishes' }))
}

/** Bottles with too little in them, and those opened too long ago. */
export function bottleGaps({ needs }: PlanTrace, today: string | undefined): Remark[] {
  const short = shortages(needs).map(({ product, short: by, sealed }): Remark =>
    sealed > 0
      ? {
          weight: 'note',
          says: `The open bottle of ${product.name} is ${millilitres(by)} short.`,
          remedy: 'The next bottle is still sealed: have it at hand, and open it only when this one is empty.',
        }
      : {
          weight: 'gap',
          says: `Not enough ${product.name}: ${millilitres(by)} is missing.`,
          remedy: 'Get a bottle before you begin to coat, or choose a thinner finish.',
          shelf: 'finishes',
        },
  )
  const old = needs.flatMap(({ product }): Remark[] => {
    const until = keepsUntil(product)
    return today && until && today.slice(0, 10) > until
      ? [
          {
            weight: 'note',
            says: `${product.name} was opened on ${day(product.bottle?.opened ?? '')} and keeps until about ${day(until)}.`,
            remedy: 'Try a drop on scrap: thick or slow means a fresh bottle.',
          },
        ]
      : []
  })
  return [...short, ...old]
}
