import { eveningCost } from './evening'
import { abrasivePrice } from './prices'

const bottles: Record<string, { price: number, size: number }>
  = { 'thin-ca': { price: 820, size: 20 }, 'medium-ca': { price: 900, size: 30 } }
const prices = { hour: 1500, [abrasivePrice('P-320')]: 60, [abrasivePrice('P-600')]: 75 }
const done = {
  seconds: 9000,
  bottles: [{ id: 'thin-ca', ml: 1.2 }, { id: 'medium-ca', ml: 0.5 }],
  sheets: [{ id: 'P-320', pieces: 0.4 }, { id: 'P-600', pieces: 1.1 }],
}

it('an evening comes to what its coats, grits and hands cost, each rounded once (worked by hand)', () => {
  // 1.2 ml × 41 + 0.5 ml × 30 = 64.2; 0.4 × 60 + 1.1 × 75 = 106.5; 2.5 h × 1500 = 3750.
  const { finish, abrasives, hands, total } = eveningCost(done, prices, id => bottles[id])
  expect([finish!.value, abrasives!.value, hands!.value, total.value]).toEqual([64, 107, 3750, 64 + 107 + 3750])
})
it('what a price of is missing is not known, and what was not done is not there', () => {
  const { finish, abrasives, hands, total } = eveningCost(done, { hour: 1500 }, id => (id === 'thin-ca' ? bottles[id] : undefined))
  expect([finish, abrasives, hands!.value, total.value]).toEqual([null, null, 3750, 3750])
  expect(eveningCost({ seconds: 0, bottles: [], sheets: [] }, prices, () => undefined).total.value).toBe(0)
})
