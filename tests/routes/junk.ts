import { chance } from '../support/chance'

/** What nobody should send: of every kind of JSON, and what databases, prototypes and arithmetic stumble over. */
const JUNK: readonly unknown[] = [
  null, true, false, 0, -1, 1.5, 1e308, -1e308, 2 ** 31, 2 ** 53, 1e-320, '', ' ', 'x', '1', '0', 'Infinity', 'NaN', '-', 'null',
  'constructor', 'hasOwnProperty', '__proto__', 'toString',
  '\u0000', '\ud800', 'a\udfff', '\u202e', '𝕏'.repeat(70), 'x'.repeat(5000), [], [null], ['x'], [[]],
  [{}], {}, { kind: 'constructor' }, { kind: null }, { kind: 'hasOwnProperty' }, { length: 3 }, { then: 1 }, { toString: 1 },
  '2026-02-30', '9999-12-31', '2026-11-23T19:42:00.000Z', '0001-01-01T00:00:00.000Z', '00000000-0000-0000-0000-000000000000',
  [1, 2, 3], Array.from({ length: 600 }, () => 0), { lower: null }, { lower: [] }, { constructor: null },
]

type Json = Record<string, unknown> | unknown[]

/** Every place in a value, as the container and the name in it. */
function placesIn(value: unknown): { at: Json, name: string }[] {
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([name, one]) => [{ at: value as Json, name }, ...placesIn(one)])
}

/** A sound body with one to three things made wrong: by junk in their place, by leaving out, by more than there is; the same by a seed. */
export function junkOf(sound: unknown, seed: number): unknown {
  const { uniform } = chance(seed)
  for (let skip = 0; skip < 5; skip++) uniform()
  const pick = <T>(all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!
  if (uniform() < 0.03) return pick(JUNK)
  const wrong = structuredClone(sound)
  for (let times = 1 + Math.floor(uniform() * 3); times > 0; times--) {
    const places = placesIn(wrong)
    if (!places.length) return pick(JUNK)
    const { at, name } = pick(places)
    const kind = uniform()
    if (kind < 0.7) Object.assign(at, { [name]: structuredClone(pick(JUNK)) })
    else if (kind < 0.8) Reflect.deleteProperty(at, name)
    else Object.assign(at, { [pick(['constructor', 'kind', 'version', 'x', ''])]: structuredClone(pick(JUNK)) })
  }
  return wrong
}
