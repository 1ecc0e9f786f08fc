import fc from 'fast-check'
import { remembered, sharedCalls, sharedTail } from './tail'

/** A log that grows, and how often it was asked. */
function aLog(most = Infinity) {
  const all: number[] = []
  let asked = 0
  const read = async (after: number) => {
    asked++
    const due = all.filter(one => one > after)
    await Promise.resolve()
    return { found: due.slice(0, most), more: due.length >= most }
  }
  return { all, read, asked: () => asked }
}

it('many who ask in one turn are answered by one question, and one more for those who come while it is asked', async () => {
  const log = aLog()
  log.all.push(1, 2, 3)
  const after = sharedTail(log.read, one => one)
  const ask = () => Promise.all(Array.from({ length: 30 }, () => after(1)))
  const first = ask()
  while (!log.asked()) await Promise.resolve()
  log.all.push(4)
  expect(await ask()).toEqual(Array.from({ length: 30 }, () => ({ found: [2, 3, 4], more: false })))
  expect(await first).toEqual(Array.from({ length: 30 }, () => ({ found: [2, 3], more: false })))
  expect(log.asked()).toBe(2)
})
it('who asks is told all that was there when it asked, wherever it stands (property)', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.oneof(fc.constant('grows' as const), fc.nat(12)), { minLength: 1, maxLength: 40 }),
      fc.constantFrom(2, Infinity),
      async (course, most) => {
        const log = aLog(most)
        const after = sharedTail(log.read, one => one)
        const asked: Promise<void>[] = []
        for (const one of course) {
          if (one === 'grows') log.all.push(log.all.length + 1)
          else {
            const due = log.all.filter(number => number > one)
            // As a screen does it: from the last number it was told, until it is told that this is all.
            asked.push((async () => {
              const told: number[] = []
              for (let [last, goesOn] = [one, true]; goesOn;) {
                const { found, more } = await after(last)
                told.push(...found)
                last = found.at(-1) ?? last
                goesOn = more && found.length > 0
              }
              expect(told.slice(0, due.length)).toEqual(due)
              expect(new Set(told).size).toBe(told.length)
            })())
          }
          await Promise.resolve()
        }
        await Promise.all(asked)
      },
    ),
    // Who knows more than was read for the others so far.
    { examples: [[['grows', 'grows', 'grows', 0, 0, 'grows', 'grows', 4, 'grows'], 2]], numRuns: 300 },
  )
})
it('of a long tail the oldest is asked for anew, and no other', async () => {
  const log = aLog()
  const after = sharedTail(log.read, one => one)
  await after(0)
  for (let number = 1; number <= 2500; number++) log.all.push(number)
  expect((await after(2499)).found).toEqual([2500])
  const before = log.asked()
  expect((await after(10)).found.length).toBe(2490)
  expect(log.asked()).toBe(before + 1)
  expect((await after(2000)).found.length).toBe(500)
})
it('a question that failed is asked again by the next who asks', async () => {
  let fails = true
  const after = sharedTail(async () => {
    if (fails) throw new Error('away')
    return { found: [7], more: false }
  }, one => one)
  await expect(Promise.all([after(0), after(0)])).rejects.toThrow('away')
  fails = false
  expect((await after(0)).found).toEqual([7])
})
it('the same question at the same time is one call, each with an answer begun no earlier than it was asked', async () => {
  let [now, calls] = [0, 0]
  const ask = sharedCalls(async (add: number) => {
    calls++
    const seen = now + add
    await Promise.resolve()
    return seen
  })
  const first = ask(100)
  while (!calls) await Promise.resolve()
  now = 1
  const later = [ask(100), ask(100), ask(100)]
  expect(await first).toBeGreaterThanOrEqual(100)
  expect(await Promise.all(later)).toEqual([101, 101, 101])
  expect(calls).toBe(2)
})
it('an answer is remembered by its key, the oldest goes, a failure does not stay', async () => {
  const asked: string[] = []
  const of = remembered<string>(2)
  const ask = (key: string) => of(key, async () => {
    asked.push(key)
    if (key === 'bad' && asked.length === 1) throw new Error('bad')
    return key
  })
  await expect(ask('bad')).rejects.toThrow('bad')
  expect([await ask('bad'), await ask('a'), await ask('bad'), await ask('b'), await ask('a')]).toEqual(['bad', 'a', 'bad', 'b', 'a'])
  expect(asked).toEqual(['bad', 'bad', 'a', 'b', 'a'])
})
