import { usePages, type Page } from './usePages'

/** What stands on the server: letters in their order, three at a time. Each answer is as things were when it was asked for. */
function served(...there: string[]) {
  const asked: { after: string | undefined, letGo: () => void, fail: () => void }[] = []
  const ask = ({ after, limit = 3 }: { text?: string, after?: string, limit?: number }): Promise<Page<string>> => {
    const rest = there.filter(row => !after || row > after)
    const rows = rest.slice(0, limit)
    return new Promise((tell, refuse) => asked.push({
      after,
      letGo: () => tell({ rows, next: rest.length > rows.length ? rows.at(-1) ?? null : null }),
      fail: () => refuse(new Error('away')),
    }))
  }
  /** Lets the question with this number go, and all that follows from it run. */
  const answer = async (number: number, how: 'letGo' | 'fail' = 'letGo') => {
    await new Promise(setImmediate)
    asked[number]![how]()
    await new Promise(setImmediate)
  }
  const add = (row: string) => {
    there.push(row)
    there.sort()
  }
  return { ask, answer, add, asked }
}

beforeEach(() => Object.assign(globalThis, { history: { state: null } }))
afterEach(() => Reflect.deleteProperty(globalThis, 'history'))

/** A list with its first part read. */
async function begun(...there: string[]) {
  const server = served(...there)
  const wish = { text: 'all' }
  const list = usePages(() => wish, server.ask)
  void list.load()
  await server.answer(0)
  return { ...server, list, wish }
}

it('goes on part by part to the end, and asks nothing more there', async () => {
  const { list, answer, asked } = await begun('b', 'd', 'f', 'h')
  expect(list.read.value).toEqual({ rows: ['b', 'd', 'f'], next: 'f' })
  void list.more()
  void list.more()
  await answer(1)
  expect(list.read.value).toEqual({ rows: ['b', 'd', 'f', 'h'], next: null })
  await list.more()
  expect(asked).toHaveLength(2)
})

it('a part that is overtaken by reading anew is asked for again after it', async () => {
  const { list, answer, add } = await begun('b', 'd', 'f', 'h', 'j')
  void list.more()
  await new Promise(setImmediate)
  add('a')
  void list.load()
  await answer(2)
  await answer(1)
  expect(list.read.value?.rows).toEqual(['a', 'b', 'd'])
  await answer(3)
  expect(list.read.value).toEqual({ rows: ['a', 'b', 'd', 'f', 'h', 'j'], next: null })
  expect(list.busy.value).toBe(false)
})

it('a part that is wanted while the list is read anew comes after what was read: no row between is missing', async () => {
  const { list, answer, add, asked } = await begun('b', 'd', 'f', 'h', 'j')
  add('a')
  void list.load()
  void list.more()
  await new Promise(setImmediate)
  expect(asked).toHaveLength(2)
  await answer(1)
  await answer(2)
  expect(list.read.value).toEqual({ rows: ['a', 'b', 'd', 'f', 'h', 'j'], next: null })
})

it('where reading anew fails it goes on from what was there', async () => {
  const { list, answer } = await begun('b', 'd', 'f', 'h')
  list.load().catch(() => undefined)
  void list.more()
  await answer(1, 'fail')
  await answer(2)
  expect(list.read.value?.rows).toEqual(['b', 'd', 'f', 'h'])
})

it('asked for something else meanwhile, what was on its way is not put to it', async () => {
  const { list, answer, wish, asked } = await begun('b', 'd', 'f', 'h')
  void list.more()
  await new Promise(setImmediate)
  wish.text = 'other'
  void list.load()
  await answer(2)
  await answer(1)
  expect(list.read.value?.rows).toEqual(['b', 'd', 'f'])
  expect(asked).toHaveLength(3)
  expect(list.busy.value).toBe(false)
})
