import { boardOf, findingsOf, record, type DefectState } from '../bench'
import {
  asUsual, defectKinds, timesAsOften, type Cause, type CauseHistory, type DefectKind, type Evidence, type UsualEvidence,
} from '../defects'
import type { Plan } from '../plan'
import type { Hand } from './hand'
import { simulatedLog } from './log'
import { playable } from './play'

/** What is known of causes: the written tables, and what the shop's own pens and judgements add. */
export interface Causes {
  /** The causes of all kinds. */
  causes: readonly Cause[]
  /** What may speak for them. */
  evidence: readonly Evidence[]
  /** How often each was judged, by kind. */
  judged: Partial<Record<DefectKind, CauseHistory>>
  /** What is usual in the shop. */
  usual: UsualEvidence
}

/** How many times as often as on a usual pen each kind of defect is to be reckoned with. */
export type Foreseen = Partial<Record<DefectKind, number>>

/** What depends on where and when a defect would be found, and on what the turner measures: no plan knows it. */
const NOT_PLANNED: ReadonlySet<string> = new Set(['at an end', 'while turning', 'not measured'])
/** Goes through where it is levelled: played itself, and not by its causes. */
const PLAYED: ReadonlySet<DefectKind> = new Set(['sand-through'])
/** A day like any other, on which a simulated pen is made. */
const FROM = Date.UTC(2019, 10, 30, 18)

/**
 * What the causes of defects speak for in a plan: simulated pens are looked through for evidence as a turner's own would be, and each
 * kind is weighed by it; the mean over `runs` pens and their barrels. The same seed gives the same.
 */
export function foresee(plan: Plan, hand: Hand, { causes, evidence, judged, usual }: Causes, runs: number, seed = 1): Foreseen {
  const one = playable(plan, hand)
  const known = asUsual(evidence, usual)
  const kinds = defectKinds.filter(kind => !PLAYED.has(kind) && causes.some(cause => cause.kind === kind))
  const sums = new Map<DefectKind, number>()
  const { barrels } = plan.inputs.fitting
  for (let run = 0; run < runs; run++) {
    let ids = 0
    const log = simulatedLog(plan, one, { pen: 'simulated', from: FROM, device: 'simulated', id: () => `simulated-${++ids}` }, seed + run)
    const board = boardOf(plan, log)
    const made = record(board.state, board.traced)
    for (const { id, tubeLength } of barrels) {
      const found = findingsOf(probeOf(id, tubeLength), board, made, []).filter(finding => !NOT_PLANNED.has(finding.evidence))
      for (const kind of kinds)
        sums.set(kind, (sums.get(kind) ?? 0) + timesAsOften(kind, causes, known, found, judged[kind]))
    }
  }
  return Object.fromEntries([...sums].map(([kind, sum]) => [kind, sum / (runs * barrels.length)]))
}

/** Something that would be found in the middle of a barrel once all is done: all that was done before it counts. */
const probeOf = (barrel: DefectState['barrel'], tubeLength: number): DefectState => ({
  id: 'probe', kind: 'chip', barrel, fromTip: tubeLength / 2, size: 1, step: null, at: '9999-12-31T00:00:00.000Z', photos: [],
  answers: new Map(), mends: [], status: 'open',
})
