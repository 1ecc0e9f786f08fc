import fc from 'fast-check'
import { causes, defects, evidence } from '../../reference'
import { OTHER, type Cause, type Evidence, type Finding } from './cause'
import { defectKinds } from './defect'
import { diagnose, OTHER_PRIOR, PRIOR_WEIGHT } from './diagnose'

/** A table small enough to work by hand: two causes, three pieces of evidence. */
const small: readonly Cause[] = [
  { id: 'a', kind: 'chip', says: 'A', avoid: '', prior: 2, speaks: { e: 0.9, f: 0.5 } },
  { id: 'b', kind: 'chip', says: 'B', avoid: '', prior: 1, speaks: { e: 0.3 } },
]
const pieces: readonly Evidence[] = [
  { id: 'e', base: 0.2, ask: 'E?' },
  { id: 'f', base: 0.1, ask: 'F?' },
  { id: 'g', base: 0.5, ask: 'G?' },
]
const finding = (id: string, holds: boolean): Finding => ({ evidence: id, holds, says: id, from: 'log' })
const chanceOf = (told: ReturnType<typeof diagnose>, id: string) => told.causes.find(one => one.id === id)!.chance

describe('Bayes’ rule against a table worked by hand', () => {
  // Priors 0.6, 0.3, 0.1 (something else). With e: × 0.9, 0.3, 0.2 = 0.54, 0.09, 0.02, sum 0.65.
  it('one finding', () => {
    const told = diagnose('chip', small, pieces, [finding('e', true)])
    expect(chanceOf(told, 'a')).toBeCloseTo(0.54 / 0.65, 10)
    expect(chanceOf(told, 'b')).toBeCloseTo(0.09 / 0.65, 10)
    expect(chanceOf(told, OTHER)).toBeCloseTo(0.02 / 0.65, 10)
  })
  // And without f: × 0.5, 0.9, 0.9 = 0.27, 0.081, 0.018, sum 0.369.
  it('two findings, one of them that something is not so', () => {
    const told = diagnose('chip', small, pieces, [finding('e', true), finding('f', false)])
    expect(told.causes.map(one => [one.id, Number(one.chance.toFixed(6))])).toEqual([
      ['a', Number((0.27 / 0.369).toFixed(6))],
      ['b', Number((0.081 / 0.369).toFixed(6))],
      [OTHER, Number((0.018 / 0.369).toFixed(6))],
    ])
  })
  // Four judged defects, all b: priors become (0.6 · 8, 0.3 · 8 + 4, 0.1 · 8) / 12 = 0.4, 0.5333, 0.0667.
  it('the shop’s own history moves the priors', () => {
    const told = diagnose('chip', small, pieces, [], { b: 4 })
    expect(PRIOR_WEIGHT).toBe(8)
    expect(chanceOf(told, 'a')).toBeCloseTo(0.4, 10)
    expect(chanceOf(told, 'b')).toBeCloseTo(6.4 / 12, 10)
    expect(chanceOf(told, OTHER)).toBeCloseTo(0.8 / 12, 10)
  })
  // Odds of b against the others: e holds under b 0.3 and under the others (0.6 · 0.9 + 0.1 · 0.2) / 0.7 = 0.8: against it.
  it('says what speaks for and against each cause', () => {
    const told = diagnose('chip', small, pieces, [finding('e', true)])
    expect(told.causes.find(one => one.id === 'a')!.for.map(one => one.evidence)).toEqual(['e'])
    expect(told.causes.find(one => one.id === 'b')!.against.map(one => one.evidence)).toEqual(['e'])
  })
  // Of a: f holds under it 0.5 and under the others 0.1, five times as often; e 0.9 against 0.275, a third of that.
  it('the strongest stands first, whatever came in first', () => {
    const both = [finding('e', true), finding('f', true)]
    for (const told of [diagnose('chip', small, pieces, both), diagnose('chip', small, pieces, [...both].reverse())])
      expect(told.causes.find(one => one.id === 'a')!.for.map(one => one.evidence)).toEqual(['f', 'e'])
  })
  // Gain of asking e, by hand: H(0.6, 0.3, 0.1) = 1.2955 bits; e tells 0.252, f 0.131.
  it('asks what tells the causes apart best, once; and nothing that no cause names', () => {
    expect(diagnose('chip', small, pieces, []).question?.id).toBe('e')
    expect(diagnose('chip', small, pieces, [finding('e', true)]).question?.id).toBe('f')
    expect(diagnose('chip', small, pieces, [], {}, new Set(['e', 'f'])).question).toBeUndefined()
  })
})

it('without any written cause there is only something else, and nothing to ask', () => {
  expect(diagnose('oval', small, pieces, [])).toEqual({ causes: [expect.objectContaining({ id: OTHER, chance: 1 })] })
})

it('whatever is found, chances add up to one, a later finding stands for an earlier, and what nobody names changes nothing '
  + '(property)', () => {
  const anyFinding = fc
    .record({ id: fc.constantFrom(...evidence.map(one => one.id)), holds: fc.boolean() })
    .map(({ id, holds }) => finding(id, holds))
  fc.assert(
    fc.property(fc.constantFrom(...defectKinds), fc.array(anyFinding, { maxLength: 25 }), (kind, found) => {
      const told = diagnose(kind, causes, evidence, found)
      expect(told.causes.reduce((sum, one) => sum + one.chance, 0)).toBeCloseTo(1, 9)
      for (const one of told.causes) expect(one.chance).toBeGreaterThan(0)
      const last = [...new Map(found.map(one => [one.evidence, one])).values()]
      expect(diagnose(kind, causes, evidence, last).causes.map(one => one.chance)).toEqual(told.causes.map(one => one.chance))
      expect(diagnose(kind, causes, evidence, [...found, finding('nobody names this', true)])).toEqual(told)
      if (told.question) expect(found.some(one => one.evidence === told.question!.id)).toBe(false)
    }),
    { numRuns: 200 },
  )
})

describe('the written tables', () => {
  it('every defect of the catalogue has causes, and every cause names evidence that is there', () => {
    expect(defects.map(row => row.kind)).toEqual([...defectKinds])
    const known = new Set(evidence.map(one => one.id))
    for (const kind of defectKinds) expect(causes.filter(cause => cause.kind === kind).length).toBeGreaterThanOrEqual(2)
    for (const cause of causes) {
      expect(Object.keys(cause.speaks).filter(id => !known.has(id))).toEqual([])
      expect(cause.prior).toBeGreaterThan(0)
      for (const often of Object.values(cause.speaks)) expect(often).toBeGreaterThan(0)
    }
    expect(OTHER_PRIOR).toBeLessThan(0.5)
  })
  it('each piece of evidence moves at least one cause by more than its base: none is there for nothing', () => {
    const named = new Set(
      causes.flatMap(cause =>
        Object.entries(cause.speaks)
          .filter(([id, often]) => often !== evidence.find(one => one.id === id)!.base)
          .map(([id]) => id),
      ),
    )
    expect(evidence.filter(one => !named.has(one.id)).map(one => one.id)).toEqual([])
  })
  it('a cause whose own evidence all holds becomes the likeliest of its defect', () => {
    for (const cause of causes) {
      const all = Object.entries(cause.speaks).map(([id, often]) => finding(id, often >= 0.5))
      const rest = new Set(causes.filter(other => other.kind === cause.kind).flatMap(other => Object.keys(other.speaks)))
      const others = [...rest].filter(id => !(id in cause.speaks)).map(id => finding(id, false))
      expect([cause.kind, diagnose(cause.kind, causes, evidence, [...all, ...others]).causes[0]!.id]).toEqual([cause.kind, cause.id])
    }
  })
})
