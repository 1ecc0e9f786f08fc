import type { LearntCourse, LearntOf } from '#contract'
import { changesWith } from '#core/bench'
import { counted, decimal, micrometres } from '#core/format'
import type { Ranged } from '#core/figures'
import type { UnitWords } from '#core/units'
import { pastDay } from './times'
import { workLabel } from './work-label'

/** Something that was learnt of a turner, as it is shown. */
export interface LearntRow {
  /** Its name, by which it is set aside. */
  what: string
  /** What it is. */
  label: string
  /** The turner’s own figure, as a number. */
  figure: number
  /** The same in words. */
  value: string
  /** Within which it lies nine times in ten; empty where that is not known. */
  range: string
  /** How many of what it was learnt from. */
  from: string
  /** What holds where nothing is learnt. */
  usual: string
}

/** Rows of one kind. */
export interface LearntGroup {
  /** What they are about. */
  title: string
  /** What they mean. */
  says: string
  /** The rows themselves. */
  rows: LearntRow[]
}

/** Names of what is on the shelf, by their ids. */
export interface LearntNames {
  /** Of a product. */
  product: (id: string) => string
  /** Of a fitting. */
  fitting: (id: string) => string
  /** The turner’s own units. */
  units: UnitWords
}

const CHANGED = {
  'bit': 'Changing the bit', 'bushings': 'Changing bushings', 'glue': 'Getting glue ready', 'paper': 'Changing paper',
  'bottle': 'Changing bottles', 'set-up': 'Any other change',
}
const times = (value: number): string => `× ${decimal(value, 2)}`
const factor = ({ likely, low, high }: Ranged) =>
  ({ figure: likely, value: times(likely), range: `${decimal(low, 2)} to ${decimal(high, 2)}` })

/** Nine of ten lie within so many standard deviations of the middle. */
const NINE_IN_TEN = 1.645

/** All that was learnt, in groups; a group of which nothing is known has no rows. */
export function learntGroups({ learnt, builds }: LearntOf, { product, fitting, units }: LearntNames): LearntGroup[] {
  const { sanding, waits = {}, presses = {}, hands, even } = learnt
  return [
    {
      title: 'Sanding', says: 'How quickly paper cuts in your hands, and how long a change and a look take.',
      rows: Object.entries(sanding).map(([name, own]) => ({
        what: `sanding:${name}`, label: `On ${name}`, ...factor(own.rate), from: counted(own.observations, 'grit'),
        usual: '× 1',
      })),
    },
    {
      title: 'Film', says: 'What one coat builds, from diameters before and after.',
      rows: Object.entries(learnt.builds.products).filter(([, own]) => own.measurements > 0).map(([id, own]) => ({
        what: `builds:${id}`, label: product(id), figure: own.build, value: `${micrometres(own.build)} µm`,
        range: `${micrometres(own.low)} to ${micrometres(own.high)}`,
        from: counted(own.measurements, 'measurement'), usual: `${micrometres(builds[id] ?? own.build)} µm`,
      })),
    },
    {
      title: 'Evenness', says: 'On how far levelling and wood are from the model.',
      rows: even
        ? [{
            what: 'even', label: 'Film that a levelling takes over what it must', ...factor(even.over),
            from: counted(even.levellings, 'levelling'), usual: '× 1',
          }]
        : [],
    },
    {
      title: 'Waits', says: 'How long coats wait in this shop, from what fingers told.',
      rows: Object.entries(waits).map(([id, own]) => ({
        what: `waits:${id}`, label: product(id), ...factor(own.factor), from: counted(own.touches, 'touch', 'touches'), usual: '× 1',
      })),
    },
    {
      title: 'Presses', says: 'How far short of its ring a mechanism was right.',
      rows: Object.entries(presses).map(([id, own]) => ({
        what: `presses:${id}`, label: fitting(id), figure: own.mean, value: units.length(own.mean),
        range: `${units.length(own.least)} to ${units.length(own.most)}`,
        from: counted(own.pens, 'pen'), usual: 'as its paper says',
      })),
    },
    {
      title: 'Pace', says: 'How long your hands take at each kind of step, against what is planned, and how often something is mended.',
      rows: Object.entries(hands?.paces ?? {}).map(([kind, own]) => ({
        what: `paces:${kind}`, label: workLabel(kind), figure: own.factor, value: times(own.factor),
        range: [-NINE_IN_TEN, NINE_IN_TEN].map(one => decimal(own.factor * Math.exp(one * own.spread), 2)).join(' to '),
        from: `${counted(own.steps, 'step')}, ${decimal(100 * own.mends, 1)} in 100 mended`, usual: '× 1',
      })),
    },
    {
      title: 'Changes', says: 'What it takes to change from one thing to the next.',
      rows: Object.entries(hands?.changes ?? {}).map(([thing, own]) => ({
        what: `changes:${thing}`, label: CHANGED[thing as keyof typeof CHANGED] ?? thing, figure: own.seconds,
        value: `${Math.round(own.seconds)} s`, range: '', from: counted(own.changes, 'change'),
        usual: `${changesWith()[thing as keyof typeof CHANGED]} s`,
      })),
    },
  ]
}

/** How a figure moved. */
export interface Moved {
  /** As it was at each moment at which it was known, the earliest first, and as it is now. */
  figures: number[]
  /** What it was first, and when; or that it is as it was, or new. */
  says: string
}

/** How each figure moved, by its name. */
export function movedOf(now: readonly LearntGroup[], { points }: LearntCourse, of: LearntOf, names: LearntNames): Map<string, Moved> {
  const then = points.map(({ at, learnt }) => ({
    at, rows: new Map(learntGroups({ ...of, learnt }, names).flatMap(({ rows }) => rows).map(row => [row.what, row])),
  }))
  return new Map(now.flatMap(({ rows }) => rows).map((row): [string, Moved] => {
    const known = then.flatMap(({ at, rows: before }) => {
      const one = before.get(row.what)
      return one ? [{ at, one }] : []
    })
    const [first] = known
    const stayed = known.every(({ one }) => one.value === row.value) ? 'as it was' : undefined
    const says = first ? stayed ?? `${first.one.value} on ${pastDay(first.at)}` : 'new'
    return [row.what, { figures: [...known.map(({ one }) => one.figure), row.figure], says }]
  }))
}
