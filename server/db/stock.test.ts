import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { onDatabase } from '../../tests/database/suite'
import { planBlank } from '../../core/shelf'
import { fittings } from '../../reference'
import type { BlankInput, ShelfFittingInput } from '../../schemas'
import { BodyError, ConflictError, FieldsError, NotFoundError } from '../faults'
import { changeBit, listBits } from './bits'
import { appendEvents } from './append'
import { addReading, changeBlank, createBlank, dropBlank, dropReading, listBlanks, readBlank, uncutBlank } from './blanks'
import { changeFitting, createFitting, dropFitting, listFittings, readFitting } from './fittings'
import { changePen, createPen } from './pens'
import { readPlan } from './plans'
import { develop, keepPhoto, readPhoto } from './photos'
import { changeBottle, changeShelf, readShelf } from './shelf'
import { changeWorkshop } from '../../tests/database/workshop'
import { readWorkshop } from './workshop'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})

const blank = (change: Partial<BlankInput> = {}): BlankInput => ({
  name: 'Apple bough',
  material: 'apple',
  species: null,
  classes: [],
  origin: 'By the gate.\nOld.',
  width: 19,
  height: 20,
  length: 130,
  count: 2,
  damp: false,
  photo: null,
  ...change,
})
const own: ShelfFittingInput = {
  name: 'My own',
  bit: 7,
  sets: 2,
  bushings: 'there',
  parts: ['Tip'],
  barrels: [{ id: 'only', tubeLength: 50, tubeOuter: 6.9, tipEnd: 8, clipEnd: 9, bushings: undefined as never }],
}
/** After what was counted just now, which is known to the microsecond. */
const later = () => new Date(Date.now() + 1).toISOString()
const entry = (penId: string, step: string) =>
  ({ id: randomUUID(), pen: penId, kind: 'done', barrels: ['only'], device: 'test', payload: { step }, at: later() }) as const
const pen = (change = {}) =>
  createPen(knex, {
    mark: 'A1',
    name: 'Apple',
    reason: null,
    due: null,
    fitting: 'click-8',
    material: 'apple',
    method: 'ca-thin-first',
    tool: 'skew',
    film: 'gloss',
    ...change,
  })

describe('fittings', () => {
  it('a new workshop has some to begin with; own ones come beside them', async () => {
    expect((await listFittings(knex)).map(one => one.fitting.id).sort()).toEqual(fittings.map(one => one.id).sort())
    const made = await createFitting(knex, own)
    expect(await listFittings(knex)).toContainEqual(made)
  })
  it('an older version changes nothing; off the shelf it stays for its pens and can come back', async () => {
    const made = await createFitting(knex, own)
    const started = await pen({ fitting: made.fitting.id })
    const changed = await changeFitting(knex, made.fitting.id, { ...own, bit: 7.1, version: 1 })
    expect(changed).toMatchObject({ version: 2, fitting: { bit: 7.1 } })
    await expect(changeFitting(knex, made.fitting.id, { ...own, version: 1 })).rejects.toThrow(ConflictError)
    expect((await readPlan(knex, started)).inputs.fitting.bit).toBe(7)
    await dropFitting(knex, made.fitting.id)
    expect((await listFittings(knex)).some(one => one.fitting.id === made.fitting.id)).toBe(false)
    expect(await changePen(knex, started.id, { version: 1, film: 'close' })).toMatchObject({ planVersion: 2 })
    await changeFitting(knex, made.fitting.id, { ...own, version: 2 })
    expect(await readFitting(knex, made.fitting.id)).toMatchObject({ version: 3 })
    await expect(dropFitting(knex, 'none')).rejects.toThrow(NotFoundError)
  })
  it('a pen cannot have one that was never there', async () => {
    await expect(pen({ fitting: 'none' })).rejects.toThrow(FieldsError)
  })
})

describe('blanks', () => {
  it('are kept, changed, taken off and put back, with their story', async () => {
    const made = await createBlank(knex, blank())
    const unsaid = { hardness: null, density: null, caution: null, source: null }
    expect(await listBlanks(knex)).toEqual([{ ...blank(), ...unsaid, id: made.id, version: 1, readings: [] }])
    await expect(changeBlank(knex, made.id, { ...blank(), version: 7 })).rejects.toThrow(ConflictError)
    await dropBlank(knex, made.id)
    expect(await listBlanks(knex)).toEqual([])
    expect(await changeBlank(knex, made.id, { ...blank({ count: 9 }), version: 1 })).toMatchObject({ count: 9, version: 2 })
  })
  it('a weighing sent twice is kept once, and can be taken back', async () => {
    const made = await createBlank(knex, blank())
    const reading = { id: randomUUID(), at: '2026-11-20T08:00:00.000Z', grams: 41.2 }
    await addReading(knex, made.id, reading)
    expect((await addReading(knex, made.id, reading)).readings).toEqual([reading])
    await addReading(knex, made.id, { id: randomUUID(), at: '2026-11-21T08:00:00.000Z', percent: 12 })
    expect((await dropReading(knex, made.id, reading.id)).readings).toMatchObject([{ percent: 12 }])
    await expect(addReading(knex, randomUUID(), { ...reading, id: randomUUID() })).rejects.toThrow(NotFoundError)
  })
  it('give a pen its material, size and readings; a wet one gets a step to dry', async () => {
    const made = await createBlank(
      knex,
      blank({ material: null, species: 'Wild service', classes: ['open-pored'], damp: true, length: null }),
    )
    const { inputs, steps } = await readPlan(knex, await pen({ blank: made.id }))
    expect(inputs.material).toMatchObject({ name: 'Wild service', classes: ['open-pored'] })
    expect(inputs.blank).toEqual({ id: made.id, name: 'Apple bough', width: 19, height: 20, damp: true, readings: [] })
    expect(steps.some(step => step.kind === 'dry')).toBe(true)
    expect(planBlank((await readBlank(knex, made.id))!)).toEqual(inputs.blank)
    await expect(pen({ mark: 'A2', blank: randomUUID() })).rejects.toThrow(FieldsError)
  })
  it('another blank under the same pen is planned with its own size and wetness; none again takes them away', async () => {
    const [dry, wet] = [await createBlank(knex, blank()), await createBlank(knex, blank({ name: 'Wet bough', width: 22, damp: true }))]
    const made = await pen({ blank: dry.id })
    const plan = async (change: object, version: number) => readPlan(knex, await changePen(knex, made.id, { version, ...change }))
    const isDried = ({ steps }: Awaited<ReturnType<typeof plan>>) => steps.some(step => step.kind === 'dry')
    expect(isDried(await readPlan(knex, made))).toBe(false)
    const wetter = await plan({ blank: wet.id }, 1)
    expect(wetter.inputs.blank).toMatchObject({ id: wet.id, width: 22, damp: true })
    expect(isDried(wetter)).toBe(true)
    const none = await plan({ blank: null }, 2)
    expect([none.inputs.blank ?? null, isDried(none)]).toEqual([null, false])
  })
  it('a stick is counted off when a pen is cut from it, and back when that is taken back; a count anew begins from there', async () => {
    const made = await createBlank(knex, blank({ count: 5 }))
    const left = async () => (await readBlank(knex, made.id))!.count
    const [one, other] = [await pen({ blank: made.id }), await pen({ mark: 'A2', blank: made.id })]
    expect(await left()).toBe(5)
    const cut = entry(one.id, 'cut')
    await appendEvents(knex, [entry(one.id, 'parts'), cut, entry(other.id, 'cut')])
    expect(await left()).toBe(3)
    expect((await listBlanks(knex)).find(each => each.id === made.id)!.count).toBe(3)
    await appendEvents(knex, [{ ...cut, id: randomUUID(), kind: 'undo', payload: { entries: [cut.id] }, at: later() }])
    expect(await left()).toBe(4)
    // Changed without another count, it stays counted off; counted anew, what was used before is over.
    await changeBlank(knex, made.id, { ...blank({ count: 4, name: 'Bough' }), version: 1 })
    expect(await left()).toBe(4)
    await changeBlank(knex, made.id, { ...blank({ count: 7, name: 'Bough' }), version: 2 })
    expect(await left()).toBe(7)
    await appendEvents(knex, [entry(one.id, 'cut')])
    expect(await left()).toBe(6)
  })
  it('a set is counted off when its parts are looked through, once; given up it is there again, unless its tube is in', async () => {
    const made = await createFitting(knex, { ...own, sets: 3 })
    const left = async () => (await readFitting(knex, made.fitting.id))!.sets
    const [one, other] = [await pen({ fitting: made.fitting.id }), await pen({ mark: 'A2', fitting: made.fitting.id })]
    await appendEvents(knex, [entry(one.id, 'parts'), entry(one.id, 'cut'), entry(other.id, 'parts'), entry(other.id, 'tube')])
    expect(await left()).toBe(1)
    const givenUp = (id: string) => ({ ...entry(id, ''), kind: 'away', payload: { how: 'given up', why: '' }, at: later() }) as const
    await appendEvents(knex, [givenUp(one.id), givenUp(other.id)])
    expect(await left()).toBe(2)
    expect((await listFittings(knex)).find(each => each.fitting.id === made.fitting.id)!.sets).toBe(2)
  })
  it('a board is counted off by the sticks cut from it, and is there again when that is taken back', async () => {
    const board = await createBlank(knex, blank({ name: 'Board', width: 140, height: 24, length: 600, count: 2, board: true }))
    const left = async () => (await readBlank(knex, board.id))!.count
    const cut = () => createBlank(knex, blank({ count: 20, cutFrom: board.id }))
    const sticks = await cut()
    expect([sticks.cutFrom, await left()]).toEqual([board.id, 1])
    const other = await cut()
    expect(await left()).toBe(0)
    await expect(cut()).rejects.toMatchObject({ fields: { cutFrom: expect.stringMatching(/No more of it is left/) } })
    await uncutBlank(knex, other.id)
    expect([await left(), (await listBlanks(knex)).map(one => one.id).sort()]).toEqual([1, [board.id, sticks.id].sort()])
    // Put back on the shelf, its board is cut again.
    await changeBlank(knex, other.id, { ...blank({ count: 20 }), version: 1 })
    expect([await left(), (await readBlank(knex, other.id))!.cutFrom]).toEqual([0, board.id])
    // Counted anew, what was cut before is over; changed otherwise it stays counted off, and a board.
    expect(await changeBlank(knex, board.id, { ...blank({ name: 'Planks', width: 140, count: 5, board: true }), version: 1 }))
      .toMatchObject({ count: 5, board: true, version: 2 })
  })
  it('sticks that pens have cannot be a board again, unless those were given up uncut; no pen is cut from a board', async () => {
    const board = await createBlank(knex, blank({ width: 140, count: 1, board: true }))
    await expect(pen({ blank: board.id })).rejects.toMatchObject({ fields: { blank: expect.stringMatching(/cut sticks from it first/) } })
    const sticks = await createBlank(knex, blank({ cutFrom: board.id }))
    const one = await pen({ blank: sticks.id })
    await expect(uncutBlank(knex, sticks.id)).rejects.toThrow(/\(A1\): choose another blank/)
    const givenUp = { ...entry(one.id, ''), kind: 'away', payload: { how: 'given up', why: '' } } as const
    const cut = entry(one.id, 'cut')
    await appendEvents(knex, [cut, givenUp])
    await expect(uncutBlank(knex, sticks.id)).rejects.toThrow(ConflictError)
    await appendEvents(knex, [{ ...cut, id: randomUUID(), kind: 'undo', payload: { entries: [cut.id] }, at: later() }])
    await uncutBlank(knex, sticks.id)
    expect(await readBlank(knex, board.id)).toMatchObject({ count: 1 })
    await expect(uncutBlank(knex, board.id)).rejects.toThrow(NotFoundError)
    await expect(createBlank(knex, blank({ cutFrom: sticks.id }))).rejects.toMatchObject({ fields: { cutFrom: expect.any(String) } })
  })
  it('a picture that is not there is refused', async () => {
    await expect(createBlank(knex, blank({ photo: randomUUID() }))).rejects.toThrow(FieldsError)
  })
})

it('a pen keeps how it is sized; the same again makes no new plan', async () => {
  const made = await pen({ fitting: 'twist-7' })
  const sizing = {
    shapes: { lower: { kind: 'grip' as const, bulge: 2 } },
    ends: [{ barrel: 'lower' as const, end: 'tip' as const, diameter: 8.3 }],
    glue: 'epoxy' as const,
  }
  const changed = await changePen(knex, made.id, { version: 1, sizing })
  expect(changed).toMatchObject({ sizing, planVersion: 2 })
  expect((await readPlan(knex, changed)).inputs.wishes).toEqual({ tool: 'skew', film: 'gloss', ...sizing })
  expect(await changePen(knex, made.id, { version: 2, sizing })).toMatchObject({ planVersion: 2 })
})

it('the turner’s ways of cutting are kept, and stay when they are not said', async () => {
  const seen = await readWorkshop(knex)
  expect(seen).toMatchObject({ perEnd: null, kerf: null, wander: null, leastWall: null })
  await changeWorkshop(knex, { kerf: 2.2, perEnd: 3 })
  expect(await changeWorkshop(knex, { air: { celsius: 12, humidity: 50 } })).toMatchObject({ kerf: 2.2, perEnd: 3, celsius: 12 })
  expect((await readPlan(knex, await pen())).inputs.habits).toMatchObject({ kerf: 2.2, perEnd: 3 })
})

it('cautions at kinds of steps are kept, stay when they are not said, and a damaged one takes no screen down', async () => {
  const drill = { says: 'The vice slips.', source: '' }
  expect((await changeWorkshop(knex, { cautions: { drill } })).cautions).toEqual({ drill })
  expect((await changeWorkshop(knex, { kerf: 2.2 })).cautions).toEqual({ drill })
  await database.owner()('workshop').update({ cautions: { drill, turn: { says: 7 }, dance: drill } })
  expect((await readWorkshop(knex)).cautions).toEqual({ drill })
})

it('bits are counted by their diameter', async () => {
  await changeBit(knex, { diameter: 8, count: 1, there: true })
  await changeBit(knex, { diameter: 7, count: 2, there: true })
  await changeBit(knex, { diameter: 8, count: 3, there: true })
  expect(await listBits(knex)).toEqual([
    { diameter: 7, count: 2 },
    { diameter: 8, count: 3 },
  ])
  expect(await changeBit(knex, { diameter: 7, count: 0, there: false })).toEqual([{ diameter: 8, count: 3 }])
})

describe('pictures', () => {
  const picture = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#a06040' } })
  it('are made smaller, turned upright, and lose what the camera wrote', async () => {
    const sideways = await picture(3000, 1000)
      .withMetadata({ orientation: 6, exif: { IFD0: { Copyright: 'secret place' } } })
      .jpeg()
      .toBuffer()
    const kept = await keepPhoto(knex, await develop(sideways))
    expect(kept).toMatchObject({ width: 533, height: 1600 })
    const [large, small] = await Promise.all([readPhoto(knex, kept.id, 'large'), readPhoto(knex, kept.id, 'small')])
    expect(await sharp(large).metadata()).toMatchObject({ format: 'webp', width: 533, height: 1600 })
    expect((await sharp(small).metadata()).height).toBe(320)
    expect(large.toString('latin1')).not.toContain('secret')
  })
  it('small ones are not blown up', async () => {
    expect(await keepPhoto(knex, await develop(await picture(40, 30).png().toBuffer()))).toMatchObject({ width: 40, height: 30 })
  })
  it.each([
    ['text', Buffer.from('no picture')],
    ['nothing', Buffer.alloc(0)],
    ['a drawing that could carry scripts', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')],
  ])('%s is refused', async (_, bytes) => {
    await expect(develop(bytes)).rejects.toThrow(BodyError)
  })
  it('a broken one is refused, and nothing is kept', async () => {
    const whole = await picture(300, 300).jpeg().toBuffer()
    await expect(develop(whole.subarray(0, whole.length / 2))).rejects.toThrow(BodyError)
    expect(await knex('photos')).toEqual([])
  })
})

it('a bottle taken off the shelf and put back is as it was', async () => {
  await changeBottle(knex, {
    item: 'thin-ca',
    opened: '2026-10-01',
    left: 14,
    size: 28,
    sealed: 2,
    price: 680,
    label: { 'next coat': { plain: 120 } },
  })
  const before = (await readShelf(knex)).products.find(one => one.id === 'thin-ca')
  expect(before!.bottle).toMatchObject({ left: 14, price: 680 })
  const off = await changeShelf(knex, { item: 'thin-ca', there: false })
  expect(off.products.some(one => one.id === 'thin-ca')).toBe(false)
  await expect(changeBottle(knex, { item: 'thin-ca', left: 3 })).rejects.toThrow()
  expect((await changeShelf(knex, { item: 'thin-ca', there: true })).products.find(one => one.id === 'thin-ca')).toEqual(before)
})

describe('what is known of a wood of one’s own', () => {
  const wood = (change: Partial<BlankInput> = {}) => blank({ material: null, species: 'Hornbeam', ...change })
  const known = async (id: string) => {
    const { hardness, density, caution, source } = (await readBlank(knex, id))!
    return [hardness, density, caution, source]
  }
  it('is said once: a further blank of it has it, and so have those that were there', async () => {
    const first = await createBlank(knex, wood())
    const other = await createBlank(knex, wood({ species: 'Plum' }))
    const told = await createBlank(knex, wood({ hardness: 7200, caution: 'Its dust itches.', source: 'my own arms' }))
    const third = await createBlank(knex, wood({ species: 'hornbeam' }))
    for (const { id } of [first, told, third]) expect(await known(id)).toEqual([7200, null, 'Its dust itches.', 'my own arms'])
    expect(await known(other.id)).toEqual([null, null, null, null])
    // What was changed elsewhere is newer than what a screen holds.
    await expect(changeBlank(knex, first.id, wood({ version: first.version, count: 1 }))).rejects.toThrow(ConflictError)
    expect((await readBlank(knex, third.id))!.version).toBe(1)
    expect((await readBlank(knex, other.id))!.version).toBe(1)
  })
  it('what is changed or taken away at one of them is so at all; blanks of a known wood, or without a name, keep their own', async () => {
    const [first, second] = [await createBlank(knex, wood({ hardness: 7200 })), await createBlank(knex, wood())]
    const apple = await createBlank(knex, blank({ hardness: 7000 }))
    const nameless = await createBlank(knex, wood({ species: null, hardness: 900 }))
    await changeBlank(knex, second.id, wood({ version: second.version, hardness: 6900, density: 740 }))
    expect(await known(first.id)).toEqual([6900, 740, null, null])
    const now = (await readBlank(knex, first.id))!
    await changeBlank(knex, first.id, wood({ version: now.version, hardness: null, density: null }))
    expect(await known(second.id)).toEqual([null, null, null, null])
    await createBlank(knex, blank())
    await createBlank(knex, wood({ species: null }))
    expect([(await known(apple.id))[0], (await known(nameless.id))[0]]).toEqual([7000, 900])
  })
})
