import type { LocationQuery } from 'vue-router'
import type { OrderLine } from '#schemas'

/** What a day is asked for. */
export interface PromiseAsked {
  /** The fitting. */
  fitting: string
  /** The material. */
  material: string
  /** The finish. */
  method: string
  /** How many. */
  count: number
}

/** What an address asks a day for, of lines that no pen stands for: those that are like the first whose fitting is chosen. */
export function promiseQuery(lines: readonly OrderLine[]): Record<string, string> {
  const open = lines.filter(line => !line.pen && line.fitting)
  const [first] = open
  if (!first?.fitting) return {}
  const alike = open.filter(line => (['fitting', 'material', 'method'] as const).every(field => line[field] === first[field]))
  return {
    fitting: first.fitting, count: String(alike.length),
    ...(first.material ? { material: first.material } : {}), ...(first.method ? { method: first.method } : {}),
  }
}

/** What an address asks a day for; what it does not say is absent. */
export function promiseOf(query: LocationQuery): Partial<PromiseAsked> {
  const said = (name: string) => (typeof query[name] === 'string' && query[name] ? { [name]: query[name] } : {})
  const count = Number(query.count)
  const isCount = Number.isInteger(count) && count >= 1 && count <= 100
  return { ...said('fitting'), ...said('material'), ...said('method'), ...(isCount ? { count } : {}) }
}
