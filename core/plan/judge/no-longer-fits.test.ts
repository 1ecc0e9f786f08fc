import { planFor } from '../../../tests/support/inputs'
import { noLongerFits } from './no-longer-fits'

const mm = (value: number) => `${value} mm`
const plan = planFor('apple', 'click-8')
const { fitting, material } = plan.inputs
const order = plan.steps.map(step => step.id)
const upTo = (id: string) => new Set(order.slice(0, order.indexOf(id) + 1))
const only = fitting.barrels[0]!
const other = (change: Partial<typeof only>, bit = fitting.bit) => ({ ...fitting, bit, barrels: [{ ...only, ...change }] })
const unfit = (change: Parameters<typeof noLongerFits>[1], done = upTo('turn')) => noLongerFits(plan, change, done, mm)
const ids = (change: Parameters<typeof noLongerFits>[1], done = upTo('turn')) => unfit(change, done).map(one => one.step)

it('nothing that is not done can no longer fit, and the same fitting takes nothing away', () => {
  expect(ids({ fitting: planFor('apple', 'twist-7').inputs.fitting }, new Set())).toEqual([])
  expect(unfit({ fitting, material })).toEqual([])
  expect(ids({ fitting: { ...fitting, name: 'Another name' } })).toEqual([])
})
it('one stick with a wide hole is not two narrow barrels: all from the cut on, and the parts', () => {
  const found = unfit({ fitting: planFor('apple', 'twist-7').inputs.fitting })
  expect(found.map(one => one.step)).toEqual([...upTo('turn')])
  expect(found[1]!.why).toBe('One stick was cut, for another kind of pen.')
})
it('a wider hole can be drilled into the same stick; a narrower one needs another stick', () => {
  const done = [...upTo('turn')]
  expect(ids({ fitting: other({}, fitting.bit + 0.5) })).toEqual(done.slice(done.indexOf('drill')))
  expect(ids({ fitting: other({}, fitting.bit - 0.5) })).toEqual(done.slice(done.indexOf('cut')))
  // A bit of the barrel's own stands before that of the fitting.
  expect(ids({ fitting: other({ bit: fitting.bit }, fitting.bit - 0.5) })).toEqual([])
})
it('a longer tube needs a longer stick; a shorter one only another tube', () => {
  const done = [...upTo('turn')]
  expect(ids({ fitting: other({ tubeLength: only.tubeLength + 1 }) })).toEqual(done.slice(done.indexOf('cut')))
  expect(ids({ fitting: other({ tubeLength: only.tubeLength - 1 }) })).toEqual(done.slice(done.indexOf('tube')))
})
it('thicker metal needs a new turning, and says that wood cannot be put back', () => {
  const found = unfit({ fitting: other({ tipEnd: only.tipEnd + 0.3 }) })
  expect(found).toEqual([{ step: 'turn', why: expect.stringMatching(/needs a new barrel/) }])
  expect(unfit({ fitting: other({ clipEnd: only.clipEnd - 0.3 }) })).toEqual([{ step: 'turn', why: expect.not.stringMatching(/new barrel/) }])
  expect(ids({ fitting: other({ tipEnd: only.tipEnd + 0.004 }) })).toEqual([])
})
it('another wood is another stick, and so is another blank; before the cut nothing is lost', () => {
  const pear = planFor('pear', 'click-8').inputs.material
  expect(ids({ material: pear })).toEqual([...upTo('turn')].filter(id => id !== 'parts'))
  expect(unfit({ material: pear })[0]!.why).toBe(`This stick is ${material.name}, not ${pear.name}.`)
  expect(ids({ material: pear }, new Set(['parts']))).toEqual([])
})
it('what was done later stands on what no longer fits', () => {
  const all = new Set(order)
  expect(ids({ fitting: other({}, fitting.bit + 0.5) }, all)).toEqual(order.slice(order.indexOf('drill')))
})
