import fc from 'fast-check'
import { mendedFirst, repairs, type RepairPlace } from './repairs'

const place: RepairPlace = { resin: false, hasCa: true, toTurnOff: 0, wall: 1 }
const ways = (kind: 'chip' | 'crack' | 'void', size: number, change: Partial<RepairPlace> = {}) => repairs({ kind, size }, { ...place, ...change }).map(one => one.way)

it('a chip that goes with the shavings is turned out, a small one filled, a large one means a new blank', () => {
  expect(ways('chip', 1, { toTurnOff: 2 })).toEqual(['turn it out', 'shavings and CA', 'new blank'])
  expect(ways('chip', 0.4)).toEqual(['thin CA', 'shavings and CA', 'new blank'])
  expect(ways('chip', 2)).toEqual(['shavings and CA', 'new blank'])
  expect(ways('chip', 8)).toEqual(['new blank'])
})
it('a hairline takes thin CA, resin takes clear CA, and without CA only the lathe or a new blank helps', () => {
  expect(ways('crack', 12)[0]).toBe('new blank')
  expect(ways('crack', 2)).toEqual(['thin CA', 'new blank'])
  expect(ways('void', 1, { resin: true })).toEqual(['clear CA', 'new blank'])
  expect(ways('chip', 1, { hasCa: false })).toEqual(['new blank'])
})
it('always offers a way for what is mended first, with one recommended, and none for the rest (property)', () => {
  fc.assert(fc.property(fc.constantFrom(...mendedFirst), fc.double({ min: 0.05, max: 30, noNaN: true }), fc.boolean(), fc.boolean(), fc.double({ min: -1, max: 8, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (kind, size, resin, hasCa, toTurnOff, wall) => {
    const found = repairs({ kind, size }, { resin, hasCa, toTurnOff, wall })
    expect(found.filter(one => one.recommended)).toEqual([found[0]])
  }))
  expect(repairs({ kind: 'ridges', size: 1 }, place)).toEqual([])
})
