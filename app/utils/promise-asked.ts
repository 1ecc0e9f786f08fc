import type { LocationQuery } from 'vue-router'
import type { OrderLine } from '#schemas'

/** Pens of one kind that a day is asked for; what is not said is empty. */
export interface PensAsked {
  /** The fitting. */
  fitting: string
  /** The material. */
  material: string
  /** The finish. */
  method: string
  /** How many. */
  count: number
}
/** What a day is asked for. */
export interface PromiseAsked extends PensAsked {
  /** Pens of other kinds that must be there by the same day. */
  more?: readonly PensAsked[]
}

/** An order has no more kinds of pens than this. */
const KINDS = 20

/** What an address asks a day for, of lines that no pen stands for, by their kinds; one whose fitting is not chosen asks for nothing. */
export function promiseQuery(lines: readonly OrderLine[]): Record<string, string | string[]> {
  const kinds = new Map<string, PensAsked>()
  for (const { pen, fitting, material, method } of lines) {
    if (pen || !fitting) continue
    const key = JSON.stringify([fitting, material, method])
    const one = kinds.get(key) ?? { fitting, material: material ?? '', method: method ?? '', count: 0 }
    kinds.set(key, { ...one, count: one.count + 1 })
  }
  const [first, ...more] = [...kinds.values()].slice(0, KINDS)
  if (!first) return {}
  return {
    fitting: first.fitting, count: String(first.count),
    ...(first.material ? { material: first.material } : {}), ...(first.method ? { method: first.method } : {}),
    ...(more.length ? { more: more.map(one => [one.count, one.fitting, one.material, one.method].join('~')) } : {}),
  }
}

const isCount = (count: number): boolean => Number.isInteger(count) && count >= 1 && count <= 100

/** What an address asks a day for; what it does not say is absent. */
export function promiseOf(query: LocationQuery): Partial<PromiseAsked> {
  const said = (name: string) => (typeof query[name] === 'string' && query[name] ? { [name]: query[name] } : {})
  const count = Number(query.count)
  const more = [query.more ?? []].flat().slice(0, KINDS).flatMap((text): PensAsked[] => {
    const [count = '', fitting = '', material = '', method = ''] = (text ?? '').split('~')
    return fitting && isCount(Number(count)) ? [{ count: Number(count), fitting, material, method }] : []
  })
  return {
    ...said('fitting'), ...said('material'), ...said('method'), ...(isCount(count) ? { count } : {}), ...(more.length ? { more } : {}),
  }
}
