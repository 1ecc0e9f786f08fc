import { abrasiveName } from '#core/abrasives'
import type { DefectKind } from '#core/defects'
import { counted, decimal, formatSpan } from '#core/format'
import type { Method } from '#core/method'
import { coatCount, leastFilm, type Plan, type PlanTrace } from '#core/plan'
import { STEPS, type Change, type Foreseen, type HazardName, type Played, type Spread, type SpreadName } from '#core/simulate'
import type { UnitWords } from '#core/units'
import type { Result } from './what-if-talk'

/** Names of what can be otherwise. */
export interface ChangeNames {
  /** The plan that is changed. */
  plan: Plan
  /** The finishes there are. */
  methods: readonly Method[]
}

/** What is otherwise, as a label. */
export function changeLabel(change: Change, { plan, methods }: ChangeNames): string {
  switch (change.kind) {
    case 'without': {
      const found = plan.inputs.shelf.abrasives.find(one => one.id === change.abrasive)
      return `Without ${found ? abrasiveName(found) : change.abrasive}`
    }
    case 'paper': {
      const called = (id: string) => {
        const found = plan.inputs.shelf.abrasives.find(one => one.id === id)
        return found ? abrasiveName(found) : id
      }
      return `${called(change.other)} in place of ${called(change.abrasive)}`
    }
    case 'coats': return `${counted(change.count, 'coat')} in place of ${coatCount(plan)}`
    case 'depth': {
      const { wishes, method } = plan.inputs
      return `Film of ${decimal(leastFilm({ wishes: { ...wishes, depth: change.um }, method }).value)} µm at the least`
    }
    case 'method': return methods.find(one => one.id === change.method)?.name ?? 'Another finish'
    case 'colder': return `${-STEPS.colder} °C colder`
    case 'warmer': return `${STEPS.warmer} °C warmer`
    case 'damper': return `Air ${STEPS.damper} % damper`
    case 'worn': return 'All paper half worn'
    case 'hurry': return 'Every wait cut in half'
    case 'beginner': return 'A beginner’s hand'
  }
}

/** How many coats stand, as a label. */
export const coatsLabel = (plan: Plan): string => counted(coatCount(plan), 'coat')

/** Results that are told by how they spread. */
export const spreadLines: { name: SpreadName, label: string, says: (value: number) => string }[] = [
  { name: 'hands', label: 'Hands on', says: formatSpan },
  { name: 'ready', label: 'May leave, worked straight through, after', says: formatSpan },
  { name: 'film', label: 'Film left', says: value => `${decimal(value, value < 10 ? 1 : 0)} µm` },
  { name: 'taken', label: 'Wood that sanding takes', says: value => `${decimal(value)} µm` },
]

/** From where to where nine of ten lie, or that it is always the same. */
export function rangeWords({ low, high }: Spread, says: (value: number) => string): string {
  const [from, to] = [says(low), says(high)]
  return from === to ? 'always' : `${from} to ${to}`
}

/** An amount of minor units in the money of the workshop. */
type InMoney = (minor: number) => string

/** What follows from a plan alone, whatever hands do. */
export const plainLines: { label: string, says: (traced: PlanTrace, units: UnitWords, inMoney: InMoney) => string }[] = [
  { label: 'Ends turned to', says: ({ ends }, units) => ends.map(end => units.length(end.own ?? end.diameter.value)).join(' · ') },
  { label: 'Cost of the finish', says: ({ needs }, _, inMoney) => costWords(needs, inMoney) },
]

function costWords(needs: PlanTrace['needs'], inMoney: InMoney): string {
  const costs = needs.flatMap(need => need.cost?.value ?? [])
  if (!needs.length) return inMoney(0)
  return costs.length === needs.length ? inMoney(costs.reduce((sum, one) => sum + one, 0)) : 'not known: say on the shelf what bottles cost'
}

/** What can go wrong, by how often it does. */
export const hazardLines: { name: HazardName, label: string }[] = [
  { name: 'through', label: 'Sanded through on the open barrel' },
  { name: 'throughEdges', label: 'Sanded through there, or at an end' },
  { name: 'soft', label: 'A coat goes on while one is still soft' },
  { name: 'shows', label: 'A scratch shows' },
]

/** How often something is so in many runs. */
export function oftenWords(rate: number, runs: number): string {
  if (rate === 0) return runs >= 1000 ? `less than 1 in ${runs}` : 'not yet'
  if (rate >= 0.1) return `${decimal(100 * rate)} in 100`
  return `1 in ${decimal(1 / rate)}`
}

/** So much more or less often is another rate, and not chance of the runs. */
const OTHER = 0.01
/** A middle that is further off than this part of the spread is another. */
const MOVED = 0.15

/** Whether a branch differs in something from what is planned, by more than runs do by chance. */
export function differs(name: SpreadName | HazardName, one: Played, other: Played): boolean {
  const [a, b] = [one[name], other[name]]
  if (typeof a === 'number' || typeof b === 'number') return Math.abs(Number(a) - Number(b)) > OTHER
  return Math.abs(a.middle - b.middle) > MOVED * Math.max(1e-9, b.high - b.low)
}

/** Results of which it can be asked what they depend on. */
export const resultLabels: Record<Result, string> = { film: 'the film', hands: 'the time of your hands', ready: 'when it may leave' }

const KNOW: Record<string, string> = {
  marks: 'how deep the tool’s marks are: look at them with a lens, and say so in the ladder',
  rate: 'how fast your paper cuts: tap “paper on” and when it is gone, and it is learnt',
  capacity: 'how much a piece takes off before it is dull: worn pieces, counted, tell it',
  overhead: 'how long a change and a look take you: the bench measures it when you tap',
  eye: 'whether the marks are all gone: look across the light, and with a wet wipe where it may be',
  coats: 'how evenly one coat follows another: the same drops, the same stroke',
  laid: 'how evenly a coat lies along the barrel',
  wood: 'how round the wood is',
  over: 'when you stop levelling: chance, and a look sooner',
  hard: 'how one coat hardens and the next: touch it',
  pace: 'how your hands take their time: chance',
}

/** What there is to be known, or to be done, of what matters. */
export function knowWords(id: string, product: (id: string) => string): string {
  const [kind, name = ''] = id.split(':')
  if (kind === 'build') return `what a coat of ${product(name)} builds: measure a diameter before and after`
  if (kind === 'wait') return `how long ${product(name)} takes to harden here: touch it while it waits`
  return KNOW[kind ?? ''] ?? id
}

/** How much of all that is unknown, in words. */
export function partWords(part: number): string {
  if (part >= 0.85) return 'nearly all'
  if (part >= 0.6) return 'most'
  if (part >= 0.4) return 'about half'
  if (part >= 0.2) return 'about a quarter'
  return part >= 0.08 ? 'a tenth' : 'hardly any'
}

/** A kind of defect that the causes speak for, in each of the plans. */
export interface ForeseenLine {
  /** The kind. */
  kind: DefectKind
  /** How many times as often as on a usual pen, plan by plan. */
  times: number[]
}

/** So many kinds are told at the most; those that differ less than this from plan to plan, or from a usual pen, say nothing [model]. */
const TOLD = { kinds: 6, differs: 1.4, stands: 1.5 }

/** What the causes speak for: the kinds in which plans differ most, then those that are likelier than usual in all of them. */
export function foreseenLines(all: readonly Foreseen[]): ForeseenLine[] {
  const kinds = Object.keys(all[0] ?? {}) as DefectKind[]
  const lines = kinds.map(kind => ({ kind, times: all.map(one => one[kind] ?? 1) }))
  const apart = ({ times }: ForeseenLine) => Math.max(...times) / Math.min(...times)
  return lines
    .filter(one => apart(one) >= TOLD.differs || Math.max(...one.times) >= TOLD.stands)
    .sort((a, b) => apart(b) - apart(a) || Math.max(...b.times) - Math.max(...a.times))
    .slice(0, TOLD.kinds)
}

/** From so many pens on a shop has a rate of its own [model]. */
const OWN_PENS = 10
/** Whether a shop has a rate of its own. */
export const tellsOwn = (pens: number): boolean => pens >= OWN_PENS

/** How often something is to be reckoned with: against a usual pen, and in figures where enough pens are over to tell. */
export function timesWords(times: number, found: number, pens: number): string {
  const much = times >= 0.9 && times <= 1.1 ? 'as often as usual' : `${decimal(times, times < 10 ? 1 : 0)} times as often as usual`
  if (!tellsOwn(pens)) return much
  // Half a pen more of each way: none so far is not never.
  const odds = times * (found + 0.5) / (pens - found + 0.5)
  return `${much}: about ${decimal(100 * odds / (1 + odds))} in 100`
}

/** Whether a plan differs in it from the first. */
export const foreseenDiffers = ({ times: [first = 1, ...others] }: ForeseenLine, index: number): boolean => {
  const one = others[index - 1]
  return one !== undefined && Math.max(one / first, first / one) >= TOLD.differs
}
