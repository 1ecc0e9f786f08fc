import { randomUUID } from 'node:crypto'
import { formatISO, subDays } from 'date-fns'
import type { Knex } from 'knex'
import type { BlankInput, BottleChange } from '../../../schemas'
import { changeBit } from '../bits'
import { addReading, createBlank } from '../blanks'
import { changeBottle } from '../shelf'

/** A blank of the demo; weighings in g by the days before now. Invented. */
interface DemoBlank extends Pick<BlankInput, 'name' | 'material' | 'count' | 'board'> {
  key: string
  size: [width: number, height: number, length: number] | null
  species?: string
  classes?: BlankInput['classes']
  origin?: string
  damp?: boolean
  weighed?: [daysAgo: number, grams: number][]
}

const blanks: readonly DemoBlank[] = [
  {
    key: 'hawthorn',
    name: 'Hawthorn from the hedge',
    material: 'hawthorn',
    count: 3,
    size: [22, 20, 130],
    damp: true,
    origin: 'From the gap in the lower hedge, where the cart went through. Cut in September, ends waxed.',
    weighed: [
      [28, 58.4],
      [21, 55.9],
      [14, 54.2],
      [7, 53.1],
      [1, 52.5],
    ],
  },
  {
    key: 'pear',
    name: 'Pear by the well',
    material: 'pear',
    count: 4,
    size: [19, 19, 300],
    origin: 'The old pear that shaded the well; planted when the lane was still a track.',
  },
  {
    key: 'burr',
    name: 'Windfall burr in green resin',
    material: 'burr-resin',
    count: 2,
    size: [20, 20, 125],
    origin: 'Burr from the tree that the January gale took; cast in the shed.',
  },
  { key: 'damson', name: 'Damson bough', material: 'damson', count: 2, size: [18, 18, 150] },
  { key: 'plum', name: 'Plum offcut', material: 'plum', count: 5, size: [12, 12, 130] },
  { key: 'box', name: 'From the tin box, no label', material: null, classes: ['close-grained'], count: 6, size: null },
  { key: 'medlar', name: 'Medlar, south row', material: 'medlar', count: 1, size: [20, 20, 140], damp: true, weighed: [[2, 61.3]] },
  {
    key: 'board',
    name: 'Apple board from the loft',
    material: 'apple',
    count: 2,
    board: true,
    size: [140, 24, 600],
    origin: 'Sawn from the cider apple at the gate, three winters under the roof.',
  },
]

/** Sets of each fitting on the demo's shelf. */
const sets: Record<string, [number, 'there' | 'missing' | 'not known']> = {
  'twist-7': [6, 'there'],
  'click-8': [5, 'there'],
  'cap-9': [4, 'there'],
  'twist-10': [0, 'not known'],
}

/** Bottles of the demo; days since they were opened, ml, and prices in minor units. Invented. */
const bottles: readonly (Omit<BottleChange, 'opened'> & { openedDaysAgo?: number })[] = [
  { item: 'thin-ca', openedDaysAgo: 40, left: 14, size: 28, sealed: 1, price: 680 },
  { item: 'medium-ca', openedDaysAgo: 170, left: 9, size: 28, price: 720 },
  { item: 'friction-polish', openedDaysAgo: 90, left: 60, size: 125, price: 940 },
  {
    item: 'melamine-lacquer',
    closed: true,
    size: 250,
    left: 250,
    price: 1450,
    label: { 'next coat': { plain: 600 }, 'hand over': { plain: 604_800 } },
  },
]

/** Puts blanks, bits, bottles and sets of fittings on the shelf. Answers the blanks' ids by their keys. */
export async function loadStock(knex: Knex, now: Date): Promise<Map<string, string>> {
  for (const [diameter, count] of [
    [7, 2],
    [8, 1],
    [9.5, 1],
  ] as const)
    await changeBit(knex, { diameter, count, there: true })
  for (const [id, [count, bushings]] of Object.entries(sets)) await knex('fittings').where({ id }).update({ sets: count, bushings })
  for (const { openedDaysAgo, ...bottle } of bottles)
    await changeBottle(knex, {
      ...bottle,
      ...(openedDaysAgo ? { opened: formatISO(subDays(now, openedDaysAgo), { representation: 'date' }) } : {}),
    })
  const ids = new Map<string, string>()
  for (const { key, size, weighed = [], species = null, classes = [], origin = null, damp = false, ...rest } of blanks) {
    const [width, height, length] = size ?? [null, null, null]
    const { id } = await createBlank(knex, { ...rest, species, classes, origin, damp, width, height, length, photo: null })
    for (const [daysAgo, grams] of weighed) await addReading(knex, id, { id: randomUUID(), at: subDays(now, daysAgo).toISOString(), grams })
    ids.set(key, id)
  }
  return ids
}
