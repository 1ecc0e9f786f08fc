import fc from 'fast-check'
import { abrasiveName, grainSize, type AbrasiveMark } from '../abrasives'
import { given } from '../figures'
import type { Medium } from './medium'
import { waysOn } from './ways-on'
import { reviewLadder, type ReviewContext, type WrittenStep } from './review'
import { timeToRemove } from './work'

const wood: Medium = { kind: 'wood', hardness: given('hardness', 5000, 'N') }
const bare: ReviewContext = { from: 30, origin: 'the tool', forgives: 8, greatestJump: 2, overhead: 25, bare: true }
const step = (text: string, change: Partial<WrittenStep> = {}, medium = wood): WrittenStep => {
  const mark: AbrasiveMark = text.startsWith('pad') ? { scale: 'pad', mark: Number(text.slice(4)) } : { scale: 'P', mark: Number(text) }
  const name = abrasiveName(mark)
  return {
    id: name,
    name,
    scale: mark.scale,
    number: mark.mark,
    pass: { origin: name, grain: grainSize(mark.scale, mark.mark), medium, speed: 40, pressure: 1 },
    ...change,
  }
}
const ladder = (...marks: string[]) => marks.map(mark => step(mark))
const kinds = (steps: WrittenStep[], context = bare) => reviewLadder(steps, context).findings.map(one => one.kind)

// Common practice among turners, without source [trade].
it.each([
  ['100', '240', '320', '400', '600'],
  ['150', '240', '320', '400', '600'],
  ['150', '240', '320', '400', '600', '800'],
  ['240', '320', '400', '600', '800'],
  ['150', '220', '320', '400', '600'],
  ['120', '240', '400', '600', '1200', '1500', '2000'],
])('the usual ladder %s ... is usable', (...marks) => {
  const from = marks[0] === '240' ? 15 : 30
  const { usable, findings, left, seconds } = reviewLadder(ladder(...marks), { ...bare, from, greatestJump: 2.9 })
  expect(findings.filter(one => one.kind !== 'pointless')).toEqual([])
  expect(usable).toBe(true)
  // It gets the marks out, leaves no more than its own last grit does, and takes minutes, not hours.
  expect(left.depth).toBeLessThan(from / 2)
  expect(left.origin).not.toBe('before')
  expect(seconds).toBeGreaterThan(30)
  expect(seconds).toBeLessThan(1800)
})

describe('the three known traps are flagged', () => {
  it('from P1500 paper to the first pad goes back, and a higher number on another scale is said to be no finer', () => {
    const { findings } = reviewLadder(ladder('240', '400', '600', '1500', 'pad 1800'), bare)
    expect(findings.find(one => one.kind === 'backward')).toMatchObject({
      step: 4,
      says: expect.stringMatching(/P1500 to pad 1800 goes back, from 13 to 15 µm\. A higher number on another scale is not finer/),
    })
  })
  it('from P600 to the first pad goes back a little too', () => {
    expect(kinds(ladder('240', '400', '600', 'pad 1500', 'pad 1800'))).toContain('backward')
  })
  it('from P150 straight to the pads is a jump of three', () => {
    expect(reviewLadder(ladder('150', 'pad 1500', 'pad 1800'), bare).findings.find(one => one.kind === 'jump')!.says).toMatch(
      /jump of 3\.3 : 1, from 100 to 30 µm/,
    )
  })
})

it('tells what is pointless, wet on bare wood, too fine to begin, left behind and what will show, each with a remedy', () => {
  expect(kinds([step('150'), step('240'), step('280'), step('400'), step('600')])).toEqual(['pointless'])
  expect(kinds([step('150'), step('240'), step('400', { wet: true }), step('600')])).toContain('wet on bare wood')
  expect(kinds([step('150'), step('240'), step('400', { wet: true }), step('600')], { ...bare, bare: false })).not.toContain(
    'wet on bare wood',
  )
  expect(kinds(ladder('2000', '2500'))).toEqual(expect.arrayContaining(['too fine to begin', 'shows']))
  expect(reviewLadder(ladder('1200'), bare).findings[0]).toMatchObject({ kind: 'too fine to begin', says: expect.stringMatching(/needs 3 pieces and .* for 30 µm/) })
  const hasty = reviewLadder(
    [step('150', { seconds: 3 }), step('240', { seconds: 2 }), step('400', { seconds: 2 }), step('600', { seconds: 2 })],
    bare,
  )
  expect(hasty.findings.map(one => one.kind)).toEqual(expect.arrayContaining(['left behind', 'shows']))
  expect(hasty.usable).toBe(false)
  for (const finding of hasty.findings) expect(finding.remedy.length).toBeGreaterThan(10)
})

it('holds the wood taken off against what each end has to spare', () => {
  const off = reviewLadder(ladder('150', '240', '400', '600'), {
    ...bare,
    toSpare: [
      { end: 'tip end', depth: 20 },
      { end: 'clip end', depth: 500 },
    ],
  }).findings.filter(one => one.kind === 'too much off')
  expect(off).toHaveLength(1)
  expect(off[0]!.says).toMatch(/the tip end has 20 µm to spare/)
})

it('a ladder that goes steadily down until each scratch is gone leaves only its last scratches (property)', () => {
  const marks = ['80', '100', '120', '150', '180', '220', '240', '320', '400', '600', '800', '1200', '2000']
  fc.assert(
    fc.property(fc.subarray(marks, { minLength: 2 }), (chosen) => {
      const { steps, left, seconds } = reviewLadder(ladder(...chosen), { ...bare, from: 20 })
      const sum = steps.reduce((total, one) => total + one.seconds + one.pieces * 25, 0)
      expect(seconds).toBeCloseTo(sum, 6)
      if (steps.every(one => one.inherited < 1e-6)) expect(left.depth).toBeCloseTo(0.3 * grainSize('P', Number(chosen.at(-1))), 6)
      expect(left.depth).toBeGreaterThanOrEqual(0.3 * grainSize('P', Number(chosen.at(-1))) - 1e-9)
    }),
  )
})

it('more time at any step never leaves deeper scratches of what was before it (property)', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 40, noNaN: true }), fc.double({ min: 0, max: 40, noNaN: true }), (seconds, more) => {
      const inherited = (time: number) => reviewLadder([step('150', { seconds: time }), step('320')], bare).steps[0]!.inherited
      expect(inherited(seconds + more)).toBeLessThanOrEqual(inherited(seconds) + 1e-9)
    }),
  )
})

it('scratches are left behind at the step that was cut short, whatever was in order before it', () => {
  const short = reviewLadder([step('150'), step('240', { seconds: 1 }), step('320', { seconds: 1 })], bare)
  expect(short.findings.filter(one => one.kind === 'left behind')).toMatchObject([{ step: 1, says: expect.stringContaining('P150') }])
  // What a later one catches up with was not left behind.
  expect(kinds([step('150'), step('240', { seconds: 1 }), step('320', { seconds: 900 })])).not.toContain('left behind')
})
it('with no step at all the marks of the tool are what is left', () => {
  const { left, findings, usable } = reviewLadder([], bare)
  expect(left).toMatchObject({ origin: 'the tool', depth: 30 })
  expect([findings.map(one => one.kind), usable]).toEqual([['shows'], false])
})

describe('“not yet” gives the cheapest way on', () => {
  const [p320, p240, p150] = ['320', '240', '150'].map(mark => ({ id: mark, pass: step(mark).pass })) as [
    { id: string, pass: WrittenStep['pass'] },
    { id: string, pass: WrittenStep['pass'] },
    { id: string, pass: WrittenStep['pass'] },
  ]
  it('a little left on a fresh piece: a few seconds longer', () => {
    const [best] = waysOn(p320, 5, 2, [p240], 25)
    expect(best).toMatchObject({ how: 'longer', id: '320' })
    expect(best!.seconds).toBeLessThan(10)
  })
  it('a dull piece is changed; what one grit cannot do is sent back to a coarser', () => {
    expect(waysOn(p320, 120, 10, [p240, p150], 25)[0]).toMatchObject({ how: 'fresh piece' })
    expect(waysOn({ id: '2000', pass: step('2000').pass }, 30, 60, [p240, p150], 25).every(way => way.how === 'back a grit')).toBe(true)
  })
  it('no way back leads over a grit that cannot do it, or whose own marks cannot be taken out after it', () => {
    const worn = step('400', { pass: { ...step('400').pass, worn: 0.97 }, stock: 1 })
    const [coarse, dull] = [step('80'), worn].map(({ name, pass, ...rung }) => ({ ...rung, id: name, pass }))
    const p2000 = { id: '2000', pass: step('2000').pass }
    const back = (rung: typeof p2000) => waysOn(p2000, 30, 30, [rung], 25).filter(way => way.how === 'back a grit')
    expect([back(coarse!), back(dull!)]).toEqual([[], []])
    expect(back(p320)).toHaveLength(1)
  })
  it('the ways come in order, and “longer” is just the time that is missing (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 30, noNaN: true }), fc.double({ min: 0.5, max: 20, noNaN: true }), (spent, left) => {
        const ways = waysOn(p320, spent, left, [p240, p150], 25)
        expect([...ways].sort((a, b) => a.seconds - b.seconds)).toEqual(ways)
        const longer = ways.find(way => way.how === 'longer')
        const done = 0.75 * 46.2 * (1 - Math.exp(-spent / (15 * Math.sqrt(46.2 / 68))))
        if (longer) expect(longer.seconds).toBeCloseTo(timeToRemove(p320.pass, done + left) - spent, 6)
      }),
    )
  })
})
