import highsLoader from 'highs'
import type { EveningProblem } from '../../core/evening'

/** A piece of the model. */
interface Piece {
  name: string
  pen: number
  at: number
  hands: number
  wait: number
  latest?: number
  setUp: string
  change: number
}

/**
 * The least sum of finishing times, as a mixed-integer program that knows nothing of orders that are tried: times, windows, which piece
 * comes before which and which right before which. Undefined where no plan keeps every latest time. Every piece must have a set-up.
 */
export async function leastByProgram({ pens, hours, changes, setUp }: EveningProblem): Promise<number | undefined> {
  const pieces = pens.flatMap(({ work }, pen) => work.map(({ hands, wait, latest, setUp: own }, at): Piece => ({
    name: `p${pen}x${at}`, pen, at, hands, wait, ...(latest === undefined ? {} : { latest }),
    setUp: `${own?.kind} ${own?.which}`, change: changes[own?.kind ?? ''] ?? 0,
  })))
  // By then all is done in any case: whatever the hours do not hold comes after them, one after the other.
  const last = hours.at(-1)?.to ?? 0
  const BIG = last + pieces.reduce((sum, one) => sum + one.hands + one.wait + one.change, 0)
  const there = setUp && `${setUp.kind} ${setUp.which}`
  const windows = [...hours, { from: last, to: BIG }]
  const lines: string[] = []
  const binaries: string[] = []
  const say = (terms: readonly (readonly [number, string])[], sign: string, right: number) =>
    lines.push(`${terms.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ')} ${sign} ${right}`)
  const binary = (name: string): string => {
    binaries.push(name)
    return name
  }
  const before = (one: Piece, other: Piece) => `o_${one.name}_${other.name}`
  const right = (one: Piece, other: Piece) => `y_${one.name}_${other.name}`
  for (const one of pieces) {
    // Its change is none where the one right before it, or what is there at first, has the same set-up.
    const others = pieces.filter(other => other !== one)
    const earlier = (other: Piece) => other.pen === one.pen && other.at < one.at
    // No sooner than its pen alone comes to it.
    const alone = pieces.filter(earlier).reduce((sum, other) => sum + other.hands + other.wait, one.wait)
    say([[1, `s_${one.name}`]], '>=', alone)
    const same: [number, string][] = [
      ...others.filter(other => other.setUp === one.setUp).map((other): [number, string] => [one.change, right(other, one)]),
      ...(there === one.setUp ? [[one.change, `f_${one.name}`] as [number, string]] : []),
    ]
    say([[1, `c_${one.name}`], ...same], '=', one.change)
    say([...others.map((other): [number, string] => [1, right(other, one)]), [1, binary(`f_${one.name}`)]], '=', 1)
    say(others.map((other): [number, string] => [1, right(one, other)]), '<=', 1)
    say(windows.map((_, index): [number, string] => [1, binary(`z_${one.name}_${index}`)]), '=', 1)
    windows.forEach(({ from, to }, index) => {
      say([[1, `s_${one.name}`], [-1, `c_${one.name}`], [-BIG, `z_${one.name}_${index}`]], '>=', from - BIG)
      say([[1, `s_${one.name}`], [BIG, `z_${one.name}_${index}`]], '<=', to - one.hands + BIG)
    })
    for (const other of others) {
      binary(right(one, other))
      // Nothing comes right before what its own pen has sooner.
      if (earlier(other)) say([[1, right(one, other)]], '=', 0)
      say([[1, right(one, other)], [-1, before(one, other)]], '<=', 0)
      say([[1, `s_${other.name}`], [-1, `c_${other.name}`], [-1, `s_${one.name}`], [-BIG, before(one, other)]], '>=', one.hands - BIG)
      if (one.name < other.name) say([[1, binary(before(one, other))], [1, binary(before(other, one))]], '=', 1)
      if (one.pen === other.pen && one.at < other.at) say([[1, before(one, other)]], '=', 1)
    }
    const next = pieces.find(other => other.pen === one.pen && other.at === one.at + 1)
    if (next) {
      say([[1, `s_${next.name}`], [-1, `s_${one.name}`]], '>=', one.hands + next.wait)
      if (next.latest !== undefined) say([[1, `s_${next.name}`], [-1, `s_${one.name}`]], '<=', one.hands + next.latest)
    }
  }
  say(pieces.map((one): [number, string] => [1, `f_${one.name}`]), '=', 1)
  const ends = pieces.filter(one => !pieces.some(other => other.pen === one.pen && other.at > one.at))
  const model = [
    'Minimize', ` obj: ${ends.map(one => `s_${one.name}`).join(' + ')}`, 'Subject To', ...lines.map((line, index) => ` r${index}: ${line}`),
    'Binary', ` ${[...new Set(binaries)].join(' ')}`, 'End',
  ].join('\n')
  const highs = await highsLoader()
  const answer = highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 1e-4, output_flag: false })
  if (answer.Status !== 'Optimal') return undefined
  return answer.ObjectiveValue + ends.reduce((sum, one) => sum + one.hands, 0) + pens.reduce((sum, pen) => sum + (pen.after ?? 0), 0)
}
