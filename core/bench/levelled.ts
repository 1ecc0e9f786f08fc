import type { Levelled } from '../film'
import { evennessOf, levellingsOf, stepNature } from '../plan'
import type { Board } from './board'
import { isDone } from './replay'
import { unlearnt } from './unlearnt'

/** A levelling that is over, and when that was, ISO 8601. */
export type DatedLevelled = Levelled & { at: string }

/**
 * The levellings of a pen that are over, with what was to be taken of which film, and whether a sand-through was noted meanwhile. One
 * that is still under way tells nothing yet, unless it has gone through.
 */
export function levelledOf({ state, traced }: Board): DatedLevelled[] {
  const { wood } = evennessOf(unlearnt(state.plan).inputs)
  const done = new Map(state.steps.filter(isDone).map(({ step, at }) => [step.id, at]))
  const noted = state.defects.filter(one => one.kind === 'sand-through')
  return levellingsOf(traced.steps).flatMap(({ steps, film, takes }): DatedLevelled[] => {
    const group = steps.map(one => one.step).filter(step => stepNature[step.kind].surface === 'rubbed')
    const went = noted.find(({ step }) => group.some(one => one.id === step))
    const ends = group.flatMap(step => done.get(step.id) ?? [])
    const at = went?.at ?? (ends.length === group.length ? ends.reduce((last, one) => (one > last ? one : last), '') : '')
    return at ? [{ mean: film.mean, sd: film.sd, takes, wood, through: went !== undefined, at }] : []
  })
}
