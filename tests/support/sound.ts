import { randomUUID } from 'node:crypto'
import type { AnySchema } from 'yup'
import { chance } from './chance'

/**
 * Values that fields of these names take where they speak of something that is kept or must fit together: ids, steps, sizes. A name with a
 * stroke before it is only of the whole’s own fields.
 */
export type Kept = Record<string, readonly unknown[]>

/** What a schema that depends on its value is asked with, to learn what it would take. */
const PROBES: readonly unknown[] = [
  undefined, 3, 'never', {}, { scale: 'P' }, ...['straight', 'belly', 'grip', 'tapered', 'free'].map(kind => ({ kind })),
]
const MOMENTS = ['2019-03-02T19:42:00.000Z', '2026-11-23T19:42:00.000Z', '1999-12-31T23:59:59.999Z', '2400-02-29T00:00:00.000Z']
/** Texts for the checks that have a name of their own. */
const NAMED: Record<string, readonly unknown[]> = {
  moment: MOMENTS,
  day: ['2026-12-05', '2028-02-29', '1999-01-01'],
  jump: [0, 1.2, 2, 10],
  item: ['P-320', 'ca-thin', 'own-grey'],
}
const TEXTS = ['Junk', 'plum, “late”', 'x', '-', 'ß', '0', 'constructor', 'A1', 'grey', 'P-320', 'ca-thin']

interface Told {
  oneOf: unknown[]
  optional: boolean
  nullable: boolean
  tests: { name?: string, params?: Record<string, unknown> }[]
}

/**
 * A value that a schema takes, made from the schema alone: every branch of it, every word of a choice, the ends of every range; the same
 * by a seed but for ids. It is seldom refused as a whole.
 */
export function soundOf(schema: unknown, seed: number, kept: Kept = {}): unknown {
  const { uniform } = chance(seed * 2_654_435_761 % 4_294_967_296)
  for (let skip = 0; skip < 5; skip++) uniform()
  const pick = <T>(all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!

  function made(given: unknown, name: string, parent: object, own = false): unknown {
    const plain = given as AnySchema & { fields?: Record<string, AnySchema>, innerType?: AnySchema }
    if (plain instanceof Object && 'builder' in plain) return lazily(plain, name, parent)
    const schema = plain.resolve({ value: undefined, parent }) as typeof plain
    const told = schema.describe() as unknown as Told
    const [required, nullable] = [!told.optional, told.nullable]
    if (!required && uniform() < 0.4) return undefined
    if (nullable && uniform() < 0.25) return null
    const known = (own ? kept[`/${name}`] : undefined) ?? kept[name]
    if (known && uniform() < 0.8) return pick(known)
    if (told.oneOf.length) return pick(told.oneOf.filter(one => one !== null && one !== undefined))
    const limit = limitsOf(told)
    if (schema.type === 'object') {
      const value: Record<string, unknown> = {}
      for (const [field, one] of Object.entries(schema.fields ?? {})) {
        const part = made(one, field, value, !name)
        if (part !== undefined) value[field] = part
      }
      return value
    }
    if (schema.type === 'array') {
      const length = limit.length ?? Math.max(limit.min ?? 0, Math.min(limit.max ?? 3, Math.floor(uniform() * 4)))
      return Array.from({ length }, () => made(schema.innerType, `${name}[]`, {}))
    }
    if (schema.type === 'boolean') return uniform() < 0.5
    if (schema.type === 'number') return numberIn(told, limit)
    if (schema.type === 'string') return textFor(told, limit)
    return undefined
  }

  function lazily(schema: AnySchema, name: string, parent: object): unknown {
    for (let tries = 0; tries < 20; tries++) {
      const resolved = schema.resolve({ value: pick(PROBES), parent }) as AnySchema
      const value = made(resolved, name, parent)
      if (schema.isValidSync(value)) return value
    }
    return undefined
  }

  const limitsOf = ({ tests }: Told) =>
    Object.fromEntries(tests.flatMap(({ name, params }) => {
      const figure = params?.[name ?? ''] ?? params?.more ?? params?.less
      return typeof figure === 'number' ? [[params?.more === undefined ? params?.less === undefined ? name : 'less' : 'more', figure]] : []
    })) as Partial<Record<'min' | 'max' | 'more' | 'less' | 'length', number>>

  function numberIn({ tests }: Told, { min, max, more, less }: ReturnType<typeof limitsOf>): number {
    const named = tests.find(test => NAMED[test.name ?? ''])
    if (named) return pick(NAMED[named.name ?? ''] as number[])
    const low = min ?? (more === undefined ? 0 : more + 0.01)
    const high = Math.max(low, max ?? (less === undefined ? low + 60 : less - 0.01))
    const at = pick([low, high, low + (high - low) * uniform(), low + (high - low) * uniform()])
    return tests.some(test => test.name === 'integer') ? Math.floor(at) : at
  }

  function textFor({ tests }: Told, { min = 0, max = 200 }: ReturnType<typeof limitsOf>): unknown {
    const named = tests.find(test => NAMED[test.name ?? ''])
    if (named) return pick(NAMED[named.name ?? ''] ?? [])
    const pattern = String(tests.find(test => test.name === 'matches')?.params?.regex ?? '')
    if (pattern.includes('[0-9a-f]{8}')) return randomUUID()
    if (pattern.includes('[A-Z]')) return `${pick(['A', 'Q', 'Z'])}${1 + Math.floor(uniform() * 998)}`
    const text = pick([...TEXTS, 'x'.repeat(max)])
    return text.length < min ? 'x'.repeat(min) : text.slice(0, max)
  }

  let value: unknown
  // What is judged as a whole is seldom right at once.
  for (let tries = 0; tries < 15; tries++) {
    value = made(schema, '', {})
    if ((schema as AnySchema).isValidSync(value)) break
  }
  return value
}
