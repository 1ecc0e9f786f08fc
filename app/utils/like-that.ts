import type { Method } from '#core/method'
import { isKind, type Plan, type Sizing } from '#core/plan'
import { abrasiveName } from '#core/abrasives'
import type { Shelf } from '#core/shelf'

/** What another pen’s plan has that this one can take over. */
export interface TakenOver {
  /** Its method, by its id. */
  method: string
  /** Its ladder, shapes and depth; ends of its own where the fitting is the same. */
  sizing: Sizing
  /** What cannot be had here: it is worked out without. */
  missing: string[]
}

/** Takes over ladder, method and size from the plan of another pen into this one, with what is on the shelf. */
export function likeThat(own: Plan, other: Plan, shelf: Shelf, methods: readonly Method[]): TakenOver {
  const { wishes, method, fitting } = other.inputs
  const { tool: _t, film: _f, beforehand: _b, ladder: _l, filmLadder, levelWith, ends, shapes, ...rest } = wishes
  const has = (id: string) => shelf.abrasives.some(one => one.id === id)
  const bare = other.steps.filter(isKind('sand')).filter(step => !step.mend).map(step => step.abrasive)
  const there = bare.filter(one => has(one.id))
  const hasMethod = methods.some(one => one.id === method.id)
  const isSameSet = fitting.id === own.inputs.fitting.id
  const known = new Set(own.inputs.fitting.barrels.map(one => one.id))
  const fits = Object.entries(shapes ?? {}).filter(([barrel]) => known.has(barrel as never))
  return {
    method: hasMethod ? method.id : own.inputs.method.id,
    sizing: {
      ...rest,
      ...(there.length ? { ladder: there.map(one => one.id) } : {}),
      ...(filmLadder?.every(has) ? { filmLadder } : {}),
      ...(levelWith && has(levelWith) ? { levelWith } : {}),
      ...(fits.length ? { shapes: Object.fromEntries(fits) } : {}),
      ...(isSameSet && ends ? { ends } : {}),
    },
    missing: [...bare.filter(one => !has(one.id)).map(abrasiveName), ...(hasMethod ? [] : [method.name])],
  }
}
