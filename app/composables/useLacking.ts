import { runsOut, takesOf } from '#core/bench'
import type { Shown } from '~/utils/evening-view'

/** What does not last for all that is planned, at which piece; by what the shelf has. */
export function useLacking(blocks: ComputedRef<readonly Shown[]>) {
  const store = useEveningsKept()
  const stock = useStock()
  const workshop = useWorkshop()

  const takes = computed(() => store.boards.flatMap((board) => {
    const stick = stock.blank(board.pen.blank)
    return takesOf(board.pen.id, board, stick && { id: stick.id, name: stick.name })
  }))
  /** How much there is of something; undefined where nobody counts it. */
  function left(of: string, id: string): number | undefined {
    if (of === 'set') return stock.fitting(id)?.sets
    if (of === 'stick') return stock.blank(id)?.count
    if (of === 'sheet') {
      const paper = workshop.shelf?.abrasives.find(one => one.id === id)
      return paper?.count === undefined ? undefined : paper.count - (paper.worn ?? 0)
    }
    const bottle = workshop.shelf?.products.find(one => one.id === id)?.bottle
    return bottle?.left === undefined ? undefined : bottle.left + (bottle.sealed ?? 0) * (bottle.size ?? 0)
  }
  const lacking = computed(() => {
    const order = blocks.value.map(({ pen, is }) => ({ pen, step: is.id }))
    return runsOut(order, takes.value, ({ of, id }) => left(of, id))
  })
  return { lacking }
}
