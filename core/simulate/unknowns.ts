import type { Compiled } from './compiled'

/** Something that is not known for sure, or that chance decides; `build:` and `wait:` are followed by a product. */
export interface Unknown {
  /** Its name. */
  id: string
  /** Where its numbers begin in those of a run. */
  from: number
  /** How many numbers it takes: chance decides anew for each coat, grit or step. */
  count: number
}

/** What a run takes. */
interface Unknowns {
  /** All that is unknown. */
  unknowns: Unknown[]
  /** How many numbers a run takes. */
  size: number
  /** Where those of each begin. */
  at: ReadonlyMap<string, number>
}

/** All that is unknown when a plan is played, with how many numbers a run takes and where those of each begin. */
export function unknownsOf({ steps, grits, coats, builds, waits }: Compiled): Unknowns {
  const levellings = steps.filter(one => one.kind === 'level' && one.grit).length
  const counts: [string, number][] = [
    ['marks', 1], ['rate', 1], ['capacity', 1], ['overhead', 1], ['eye', grits],
    ...builds.map((id): [string, number] => [`build:${id}`, 1]),
    ['coats', coats], ['laid', 1], ['wood', 1], ['over', levellings],
    ...waits.map((id): [string, number] => [`wait:${id}`, 1]),
    ['hard', coats], ['pace', steps.length],
  ]
  let size = 0
  const unknowns = counts.filter(([, count]) => count > 0).map(([id, count]): Unknown => {
    const from = size
    size += count
    return { id, from, count }
  })
  return { unknowns, size, at: new Map(unknowns.map(one => [one.id, one.from])) }
}
