import type { Defect, RepairWay } from '../defects'
import type { ChosenRepair, ExtraCoat } from '../plan'
import type { EventOf } from './event'
import type { Held } from './held'

/** A mend that was chosen: its name in the plan, the way, and how it went. */
export interface MendState {
  key: string
  way: RepairWay
  at: string
  /** When its last step was done. */
  done?: string
  failed?: boolean
}

/** A defect with all that was said and done about it. */
export interface DefectState extends Defect {
  at: string
  /** The step under way when it was found. */
  step: string | null
  /** Open, with a mend under way, or over; a mend whose last step is done counts as mended until somebody says that it still shows. */
  status: 'open' | 'mending' | 'mended' | 'left'
  mends: MendState[]
  /** When it was over. */
  settledAt?: string
  answers: ReadonlyMap<string, 'yes' | 'no' | 'not known'>
  judged?: string
  photos: string[]
}

/** What the log changes in the plan, in the order it happened. */
export type PlanEdit = { kind: 'repair', repair: ChosenRepair, at: string } | { kind: 'coat', coat: ExtraCoat }

/**
 * The edits of the plan that are in force. A second choice for a defect takes the place of the first, unless that failed or some of it was done already: then it comes after it, so that nothing done is lost.
 */
export function editsOf({ said, steps }: Held): PlanEdit[] {
  const defects = new Map<string, EventOf<'defect'>['payload']>()
  for (const event of said) if (event.kind === 'defect') defects.set(event.id, event.payload)
  /** Whether a step of a mend was done: such a step's id ends with the name of the mend. */
  const isBegun = (key: string): boolean => steps.some(event => event.kind === 'done' && event.payload.step.endsWith(`.${key}`))
  const edits: PlanEdit[] = []
  const rounds = new Map<string, { index: number, key: string, over: boolean }>()
  for (const event of said) {
    if (event.kind === 'coat') edits.push({ kind: 'coat', coat: { key: event.id, ...event.payload } })
    if (event.kind === 'settle' && event.payload.how === 'failed') {
      const last = rounds.get(event.payload.defect)
      if (last) last.over = true
    }
    if (event.kind !== 'repair') continue
    const { defect, way, step, from } = event.payload
    const found = defects.get(defect)
    if (!found) continue
    const last = rounds.get(defect)
    const fresh = !last || last.over || isBegun(last.key)
    const key = !last ? defect : fresh ? `${defect}.${roundOf(last.key, defect) + 1}` : last.key
    const repair: ChosenRepair = { defect, key, way, step, kind: found.kind, barrel: found.barrel, fromTip: found.fromTip, size: found.size, ...(from ? { from } : {}) }
    if (fresh) rounds.set(defect, { index: edits.push({ kind: 'repair', repair, at: event.at }) - 1, key, over: false })
    else edits[last.index] = { kind: 'repair', repair, at: event.at }
  }
  return edits
}

const roundOf = (key: string, defect: string): number => key === defect ? 1 : Number(key.slice(defect.length + 1))

/** The defects in force; `endDone` tells when the last step of a mend was done. */
export function defectStates({ said }: Held, edits: readonly PlanEdit[], endDone: (key: string) => string | undefined): DefectState[] {
  const noted = said.filter((event): event is EventOf<'defect'> => event.kind === 'defect')
  const about = noted.length ? said.filter(event => 'defect' in event.payload) : []
  return noted.map((event): DefectState => {
    const of = about.filter(one => 'defect' in one.payload && one.payload.defect === event.id)
    const mends = edits.flatMap((edit): MendState[] => {
      if (edit.kind !== 'repair' || edit.repair.defect !== event.id) return []
      const done = endDone(edit.repair.key)
      return [{ key: edit.repair.key, way: edit.repair.way, at: edit.at, ...(done ? { done } : {}) }]
    })
    // Each “still shows” fails the latest mend chosen before it.
    for (const one of of) {
      if (one.kind !== 'settle' || one.payload.how !== 'failed') continue
      const last = mends.findLast(mend => mend.at <= one.at)
      if (last) last.failed = true
    }
    const settle = of.findLast(one => one.kind === 'settle')
    const last = mends.at(-1)
    const said = settle?.kind === 'settle' && !(last && last.at > settle.at) ? settle : undefined
    const how = said?.payload.how
    const status = how === 'mended' || how === 'left' ? how : last && !last.failed ? last.done ? 'mended' : 'mending' : 'open'
    const settledAt = how === 'mended' || how === 'left' ? said!.at : status === 'mended' ? last!.done : undefined
    const judged = of.findLast(one => one.kind === 'judge')
    return {
      id: event.id, at: event.at, ...event.payload, status, mends,
      ...(settledAt ? { settledAt } : {}),
      answers: new Map(of.flatMap(one => one.kind === 'answer' ? [[one.payload.question, one.payload.answer] as const] : [])),
      ...(judged?.kind === 'judge' && judged.payload.cause ? { judged: judged.payload.cause } : {}),
      photos: of.flatMap(one => one.kind === 'photo' ? [one.payload.photo] : []),
    }
  })
}

/** Whether nothing more has to be decided about it: it is over, or its mend is under way. */
export const isOpen = (defect: Pick<DefectState, 'status'>): boolean => defect.status === 'open'
