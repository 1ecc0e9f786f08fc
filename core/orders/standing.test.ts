import { standingOf, type OrderedPen } from './standing'

const pen = (change: Partial<OrderedPen> = {}): OrderedPen =>
  ({ name: 'C2', stage: 'in work', gone: false, planned: null, earliest: null, ...change })
const TODAY = '2026-11-27'
const SATURDAY = '2026-12-05'
const on = (pens: OrderedPen[], promised: string | null = SATURDAY, today = TODAY) =>
  standingOf({ promised, calledOff: false, pens }, today)

it('an order is on its way while nothing stands against it, with a day or without', () => {
  expect(on([pen({ planned: SATURDAY, earliest: SATURDAY }), pen({ stage: 'planned' })])).toEqual({ how: 'on its way', troubles: [] })
  expect(on([pen({ planned: '2027-01-01', earliest: '2027-01-01' })], null).how).toBe('on its way')
})
it('it cannot be kept from the day on which that is known: by its waits, by the evenings as planned, or because a pen was given up', () => {
  expect(on([pen({ earliest: '2026-12-06' })])).toEqual({
    how: 'cannot be kept', troubles: [{ pen: 'C2', what: 'cannot be ready', day: '2026-12-06' }],
  })
  expect(on([pen(), pen({ name: 'B1', planned: '2026-12-06', earliest: SATURDAY })])).toEqual({
    how: 'cannot be kept', troubles: [{ pen: 'B1', what: 'planned too late', day: '2026-12-06' }],
  })
  expect(on([pen({ stage: 'given up' })]).how).toBe('cannot be kept')
  // Without a day nothing is too late; a pen that was given up wants another all the same.
  expect(on([pen({ stage: 'given up' })], null)).toMatchObject({ how: 'in danger', troubles: [{ what: 'given up' }] })
})
it('a pen that is set aside puts it in danger, one that is not started only on the day itself', () => {
  expect(on([pen({ stage: 'set aside' })]).how).toBe('in danger')
  const none = pen({ name: 'Pen 1', stage: null })
  expect(on([none])).toEqual({ how: 'on its way', troubles: [{ pen: 'Pen 1', what: 'no pen', day: null }] })
  expect(on([none], SATURDAY, SATURDAY).how).toBe('in danger')
})
it('it is late once its day is over and not all is ready; what is ready waits for whom it is for', () => {
  expect(on([pen(), pen({ stage: 'finished' })], SATURDAY, '2026-12-06').how).toBe('late')
  expect(on([pen({ stage: 'finished' })], SATURDAY, '2026-12-06').how).toBe('ready')
  expect(on([pen({ stage: 'finished', gone: true }), pen({ stage: 'finished' })]).how).toBe('ready')
})
it('it is over once all its pens went, or it was called off; a pen that went is nobody’s trouble', () => {
  const gone = pen({ stage: 'finished', gone: true, planned: '2027-01-01' })
  expect(on([gone, gone]).how).toBe('handed over')
  expect(on([gone, pen({ earliest: '2026-12-01' })])).toEqual({ how: 'on its way', troubles: [] })
  expect(standingOf({ promised: '2026-01-01', calledOff: true, pens: [pen()] }, TODAY).how).toBe('called off')
  expect(on([]).how).toBe('on its way')
})
