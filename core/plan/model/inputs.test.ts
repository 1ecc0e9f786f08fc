import { inputs } from '../../../tests/support/inputs'
import { planInputs, type Ingredients } from './inputs'

const { fitting, material, method, shelf, wishes } = inputs()
const workshop = { celsius: 18.5, humidity: 62, perEnd: null, kerf: 1.4, wander: null, leastWall: 0.5 }
const given = (change: Partial<Ingredients> = {}) => planInputs({ fitting, material, method, shelf, wishes, workshop, ...change })

it('a plan is put together from what the workshop has: its air, its ways, and nothing learnt where nothing is', () => {
  expect(given()).toEqual({
    fitting, material, method, shelf, wishes,
    climate: { celsius: 18.5, humidity: 62 },
    habits: { perEnd: null, kerf: 1.4, wander: null, leastWall: 0.5 },
  })
})
it('takes the blank where there is one', () => {
  const blank = { id: 'b', name: 'Bough', width: 19, damp: false, readings: [] }
  expect(given({ blank }).blank).toEqual(blank)
  expect('blank' in given()).toBe(false)
})
it('takes what was learnt for this class of wood, and builds only of what was measured', () => {
  const [rate, capacity] = [{ likely: 1.3, low: 1.1, high: 1.5 }, { likely: 0.9, low: 0.8, high: 1 }]
  const learnt = { rate, capacity, overhead: { likely: 18, low: 15, high: 22 }, observations: 12 }
  const own = (build: number, measurements: number) => ({ build, low: build - 1, high: build + 1, weight: 0.5, measurements })
  const taught = {
    sanding: { 'close-grained': learnt },
    builds: { products: { 'thin-ca': own(9.2, 3), 'medium-ca': own(25, 0) }, setAside: [] },
  }
  expect(given({ taught })).toMatchObject({ own: { rate: 1.3, capacity: 0.9, overhead: 18 }, builds: { 'thin-ca': 9.2 } })
  expect(Object.keys(given({ taught }).builds!)).toEqual(['thin-ca'])
  expect('own' in given({ taught, material: inputs('oak').material })).toBe(false)
  expect('builds' in given({ taught: { ...taught, builds: { products: {}, setAside: [] } } })).toBe(false)
})
