import type { Knex } from 'knex'
import type { WorkshopLearnt } from '../../contract'

/** What the turner has set aside of what was learnt, by its names. */
export const listAside = (knex: Knex): Promise<string[]> => knex('learnt_aside').orderBy('what').pluck('what')

/** Without what was set aside: the usual figures then hold. `usual` is what coats build before anything is measured, µm, by product. */
export function withoutAside(learnt: WorkshopLearnt, aside: ReadonlySet<string>, usual: Readonly<Record<string, number>>): WorkshopLearnt {
  const without = <T extends object>(kind: string, of: T): T =>
    Object.fromEntries(Object.entries(of).filter(([name]) => !aside.has(`${kind}:${name}`))) as T
  const products = Object.entries(learnt.builds.products).map(([id, own]) => {
    const build = usual[id] ?? own.build
    return [id, aside.has(`builds:${id}`) ? { ...own, build, low: build, high: build, weight: 0, measurements: 0 } : own] as const
  })
  const { even, hands, presses, waits, ...rest } = learnt
  return {
    ...rest,
    sanding: without('sanding', learnt.sanding),
    builds: { ...learnt.builds, products: Object.fromEntries(products) },
    ...(waits ? { waits: without('waits', waits) } : {}),
    ...(presses ? { presses: without('presses', presses) } : {}),
    ...(hands ? { hands: { paces: without('paces', hands.paces), changes: without('changes', hands.changes) } } : {}),
    ...(even && !aside.has('even') ? { even } : {}),
  }
}
