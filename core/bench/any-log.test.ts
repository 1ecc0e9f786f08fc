import fc from 'fast-check'
import { idOf, PEN, planFor } from '../../tests/support/inputs'
import { defectKinds, repairWays, type RepairWay } from '../defects'
import { endOfRepair, extraWorks, withExtra, withRepairs, withReturned, type ChosenRepair, type Extra, type Plan } from '../plan'
import type { BenchEvent, Entry } from './event'
import { replay } from './replay'

/**
 * The whole log against a slow plain model: whatever two devices enter, in whatever order it comes in, what the bench shows is what
 * somebody would read who goes through the entries one after the other with a pencil. Only what a mend or a coat more does to the plan
 * is taken from the core, and tested there.
 */
const plan = planFor('damson', 'twist-7')
const START = Date.parse('2026-11-23T18:00:00.000Z')

type Choice = { kind: Entry['kind'], a: number, b: number, seconds: number, device: 'bench' | 'phone' }

const KINDS: Entry['kind'][] = [
  ...(['begin', 'done', 'done', 'done', 'skip', 'check', 'look', 'measure', 'coat', 'time', 'undo', 'undo'] as const),
  ...(['extra', 'extra', 'wait', 'remark', 'press', 'leave', 'return', 'made', 'gate'] as const),
  ...(['defect', 'repair', 'repair', 'repair', 'repair', 'settle', 'settle', 'settle', 'answer', 'judge', 'photo'] as const),
]
const anyChoice: fc.Arbitrary<Choice> = fc.record({
  kind: fc.constantFrom(...KINDS),
  a: fc.nat(999),
  b: fc.nat(999),
  // Times may be equal, and go back: two devices do not press in turns.
  seconds: fc.nat(900),
  device: fc.constantFrom('bench', 'phone'),
})

/** Long enough that much happens to each defect. */
const anyEvening = fc.array(anyChoice, { minLength: 25, maxLength: 60, size: 'max' })

const pick = <T>(list: readonly T[], by: number): T | undefined => list[by % list.length]

/** Entries that could really be made: they name steps, defects and entries that are there by then. */
function logOf(choices: readonly Choice[]): BenchEvent[] {
  const log: BenchEvent[] = []
  for (const [number, { kind, a, b, seconds, device }] of choices.entries()) {
    const now = replay(plan, log).plan
    const step = pick(now.steps, a)!.id
    const defects = log.filter(one => one.kind === 'defect')
    const defect = pick(defects, a)?.id
    const entry = entryOf(kind, { now, log, step, defect, b })
    if (!entry) continue
    const at = new Date(START + seconds * 1000).toISOString()
    log.push({ ...entry, id: idOf(number), pen: PEN, barrels: ['lower'], device, at })
  }
  return log
}

interface Scene {
  now: Plan
  log: readonly BenchEvent[]
  step: string
  defect?: string
  b: number
}

function entryOf(kind: Entry['kind'], { now, log, step, defect, b }: Scene): Entry | undefined {
  switch (kind) {
    case 'begin':
    case 'done':
    case 'skip': return { kind, payload: { step } }
    case 'defect':
      // Few defects, so that much happens to each.
      if (defect !== undefined && b % 3) return undefined
      return { kind, payload: { kind: pick(defectKinds, b)!, barrel: 'lower', fromTip: b % 50, size: 0.4, step } }
    case 'check': return { kind, payload: { step, check: `c${b % 3}`, answer: b % 2 ? 'yes' : 'no' } }
    case 'look': return { kind, payload: { step, answer: 'not yet' } }
    case 'measure': return { kind, payload: { barrel: 'lower', fromTip: b % 50, diameter: 9 + (b % 10) / 10, step } }
    case 'coat': return { kind, payload: { product: now.inputs.shelf.products.find(one => one.role === 'thin CA')!.id, step } }
    case 'extra': {
      const work = pick(extraWorks.filter(one => one !== 'coat'), b)!
      const { abrasives, products } = now.inputs.shelf
      const what = work === 'polish' ? pick(products.filter(one => one.role === 'plastic polish'), b)?.id : pick(abrasives, b * 7)?.id
      return { kind, payload: { work, with: what ?? null, step } }
    }
    case 'wait': return { kind, payload: { step, seconds: 10 + b } }
    case 'press': return { kind, payload: { step, part: 'Tip', verdict: 'in', left: null, out: null, back: null } }
    case 'remark': return { kind, payload: { text: `remark ${b}`, step, ...(b % 2 ? { photo: `photo ${b}` } : {}) } }
    case 'leave': {
      const said = { place: null, customer: null, order: null, with: [], words: '' }
      return { kind, payload: { how: b % 3 ? 'sold' : 'given', price: b, ...said } }
    }
    // Seldom, since it is the end of what is open.
    case 'made': return b % 5 ? undefined : { kind, payload: { minutes: null, coats: b, defects: [], words: '' } }
    case 'gate': return { kind, payload: { gate: pick(['sand', 'turn'], b)!, how: pick(['agreed', 'asked', 'seen'] as const, b)! } }
    case 'return': return { kind, payload: { why: b % 3 ? 'repair' : 'given back', paid: null, words: '' } }
    case 'time': return { kind, payload: { step, seconds: b % 4 ? b : null } }
    case 'undo': return log.length ? { kind, payload: { entries: [pick(log, b)!.id] } } : undefined
    case 'repair': return defect === undefined ? undefined : { kind, payload: { defect, way: pick(repairWays, b)!, step } }
    case 'settle':
      return defect === undefined ? undefined : { kind, payload: { defect, how: pick(['mended', 'left', 'failed'] as const, b)! } }
    case 'answer':
      return defect === undefined ? undefined : { kind, payload: { defect, question: `q${b % 3}`, answer: b % 2 ? 'yes' : 'not known' } }
    case 'judge': return defect === undefined ? undefined : { kind, payload: { defect, cause: b % 3 ? `cause ${b % 3}` : null } }
    case 'photo': return defect === undefined ? undefined : { kind, payload: { defect, photo: `photo ${b}` } }
  }
}

interface PlainDefect {
  id: string
  mends: { key: string, way: RepairWay, failed: boolean, at: string }[]
  settled?: { how: 'mended' | 'left', at: string }
  answers: Record<string, string>
  judged?: string
  photos: string[]
  noted: Extract<BenchEvent, { kind: 'defect' }>['payload']
}

/** The pencil. */
function read(log: readonly BenchEvent[]) {
  const once = log.filter((one, index) => log.findIndex(other => other.id === one.id) === index)
  const ordered = [...once].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1))
  const isIn = (one: BenchEvent, below: readonly string[] = []): boolean =>
    !below.includes(one.id)
    && !ordered.some(undo => undo.kind === 'undo' && undo.payload.entries.includes(one.id) && isIn(undo, [...below, one.id]))
  const inForce = ordered.filter(one => isIn(one))

  const defects: PlainDefect[] = []
  const edits: ({ repair: ChosenRepair } | { extra: Extra } | { back: string })[] = []
  for (const one of inForce)
    if (one.kind === 'defect') defects.push({ id: one.id, mends: [], answers: {}, photos: [], noted: one.payload })
  let checks: Record<string, Record<string, string>> = {}
  for (const one of inForce) {
    if (one.kind === 'coat') edits.push({ extra: { key: one.id, work: 'coat', with: one.payload.product, step: one.payload.step } })
    if (one.kind === 'extra') edits.push({ extra: { key: one.id, ...one.payload } })
    if (one.kind === 'return' && one.payload.why === 'repair') edits.push({ back: one.id })
    if (one.kind === 'check') checks[one.payload.step] = { ...checks[one.payload.step], [one.payload.check]: one.payload.answer }
    if (!('defect' in one.payload)) continue
    const { defect: of } = one.payload
    const found = defects.find(each => each.id === of)
    if (one.kind === 'repair') checks = Object.fromEntries(Object.entries(checks).filter(([step]) => step !== one.payload.step))
    if (!found) continue
    const last = found.mends.at(-1)
    if (one.kind === 'answer') found.answers[one.payload.question] = one.payload.answer
    if (one.kind === 'judge') found.judged = one.payload.cause ?? undefined
    if (one.kind === 'photo') found.photos.push(one.payload.photo)
    if (one.kind === 'settle') {
      found.settled = undefined
      if (one.payload.how !== 'failed') found.settled = { how: one.payload.how, at: one.at }
      else if (last) last.failed = true
    }
    if (one.kind !== 'repair') continue
    found.settled = undefined
    const begun = last && inForce.some(each => each.kind === 'done' && each.payload.step.endsWith(`.${last.key}`))
    const stays = !last || last.failed || begun
    const key = stays ? (found.mends.length ? `${found.id}.${found.mends.length + 1}` : found.id) : last.key
    const { kind, barrel, fromTip, size } = found.noted
    const repair = { defect: found.id, key, way: one.payload.way, step: one.payload.step, kind, barrel, fromTip, size }
    if (stays) {
      found.mends.push({ key, way: repair.way, failed: false, at: one.at })
      edits.push({ repair })
    } else {
      Object.assign(last, { way: repair.way, at: one.at })
      edits.splice(edits.findIndex(edit => 'repair' in edit && edit.repair.key === key), 1, { repair })
    }
  }
  const first = new Map<string, 'done' | 'skip' | 'made'>()
  for (const one of inForce)
    if ((one.kind === 'done' || one.kind === 'skip') && !first.has(one.payload.step)) first.set(one.payload.step, one.kind)
  const made = inForce.findLast(one => one.kind === 'made')
  if (made) for (const { id } of plan.steps) if (!first.has(id)) first.set(id, 'made')
  const beside = { settled: new Set(first.keys()), leftOut: new Set([...first].filter(([, how]) => how !== 'done').map(([id]) => id)) }
  const mended = edits.reduce((now, edit) => {
    if ('back' in edit) return withReturned(now, edit.back)
    return 'extra' in edit ? withExtra(now, edit.extra, beside) : withRepairs(now, [edit.repair])
  }, plan)
  const moved = inForce.filter(one => one.kind === 'leave' || one.kind === 'return')
  // What was done beside the plan is done when it was entered, whatever else names its step.
  const by = (step: string) =>
    inForce.find(one => (one.kind === 'coat' || one.kind === 'extra') && /^more(~\d+)?\./.test(step) && step.endsWith(one.id))
    ?? inForce.find(one => (one.kind === 'done' || one.kind === 'skip') && one.payload.step === step)
  const steps = mended.steps.map(({ id }) => {
    const entry = by(id) ?? (plan.steps.some(one => one.id === id) ? made : undefined)
    return { id, status: !entry ? 'open' : entry.kind === 'skip' || entry.kind === 'made' ? 'skipped' : 'done', at: entry?.at }
  })
  const doneAt = (key: string) => {
    const end = endOfRepair(mended, key)
    return end && steps.find(one => one.id === end.id && one.status === 'done')?.at
  }
  return {
    steps,
    next: steps.find(one => one.status === 'open')?.id,
    checks,
    measured: inForce.filter(one => one.kind === 'measure').map(one => one.id),
    remarks: inForce.flatMap((one) => {
      if (one.kind !== 'remark') return []
      const { text, step, photo } = one.payload
      return [`${one.at} ${text} ${step} ${photo}`]
    }),
    gone: moved.at(-1)?.kind === 'leave' ? moved.at(-1)!.at : undefined,
    returns: moved.flatMap((one, index) => (one.kind === 'return' ? [{ at: one.at, from: wentBefore(moved, index) }] : [])),
    times: Object.fromEntries(inForce.flatMap(one => (one.kind === 'time' ? [[one.payload.step, one.payload.seconds]] : []))),
    inForce: ordered.map(one => inForce.includes(one)),
    defects: defects.map(({ noted: _, settled, mends, ...rest }) => {
      const last = mends.at(-1)
      const done = last && doneAt(last.key)
      const over = settled ?? (done && !last.failed ? { how: 'mended', at: done } : undefined)
      return {
        ...rest,
        status: over?.how ?? (last && !last.failed ? 'mending' : 'open'),
        settledAt: over?.at,
        mends: mends.map(({ key, way, failed, at }) => ({ key, way, failed, at, done: doneAt(key) })),
      }
    }),
  }
}

/** When it had gone before it came back; undefined where it had come back already. */
const wentBefore = (moved: readonly BenchEvent[], index: number) => {
  const before = moved[index - 1]
  return before?.kind === 'leave' ? before.at : undefined
}

/** What the bench shows, in the pencil’s words. */
function shown(log: readonly BenchEvent[]): ReturnType<typeof read> {
  const state = replay(plan, log)
  return {
    steps: state.steps.map(one => ({ id: one.step.id, status: one.status, at: one.status === 'open' ? undefined : one.at })),
    next: state.next?.id,
    checks: Object.fromEntries([...state.checks].map(([step, answers]) => [step, Object.fromEntries(answers)])),
    measured: state.measured.map(one => one.id),
    remarks: state.remarks.map(one => `${one.at} ${one.text} ${one.step} ${one.photo}`),
    gone: state.gone?.at,
    returns: state.returns.map(({ at, from }) => ({ at, from: from?.at })),
    times: Object.fromEntries(state.times),
    inForce: state.log.map(one => one.inForce),
    defects: state.defects.map(one => ({
      id: one.id,
      answers: Object.fromEntries(one.answers),
      judged: one.judged,
      photos: [...one.photos],
      status: one.status,
      settledAt: one.settledAt,
      mends: one.mends.map(({ key, way, failed, at, done }) => ({ key, way, failed: failed ?? false, at, done })),
    })),
  }
}

it('whatever two devices enter, in any order and however often, the bench shows what a plain reading of the log does (property)', () => {
  fc.assert(
    fc.property(anyEvening, fc.array(fc.nat(), { minLength: 20, maxLength: 60 }), (choices, mixed) => {
      const log = logOf(choices)
      const expected = read(log)
      expect(shown(log)).toEqual(expected)
      const shuffled = log.map((one, index) => ({ one, by: mixed[index] ?? 0 })).sort((a, b) => a.by - b.by).map(({ one }) => one)
      expect(shown([...shuffled, ...shuffled.slice(0, 5)])).toEqual(expected)
    }),
    { numRuns: 60 },
  )
})
