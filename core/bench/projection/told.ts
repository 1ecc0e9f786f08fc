import { abrasiveName } from '../../abrasives'
import { shapeNames, usualShape, type Fitting } from '../../barrel'
import { airAt, type AirReading } from '../../climate'
import type { FigureName, ToldPen, Traits } from '../../findings'
import { isGrit, type CoatStep, type Plan, type PlanInputs, type Step } from '../../plan'
import type { Material } from '../../shelf'
import { must } from '../../sure'
import type { Board } from '../board'
import { buildGrowths } from '../growths'
import type { PenRecord, RecordRow } from '../record'
import { isDone, type BenchState, type SettledStep } from '../replay'

/**
 * What questions ask of a pen; undefined until it is over: what is still in work may yet go wrong. One that was never meant tells
 * nothing.
 */
export function toldOf(board: Board, record: PenRecord, air: readonly AirReading[]): ToldPen | undefined {
  const { state } = board
  const ended = overAt(state, record)
  if (ended === undefined) return undefined
  const coats = state.steps.filter(isDone).filter((one): one is SettledStep & { step: CoatStep } => one.step.kind === 'coat')
  const mends = state.defects.flatMap(({ mends }) => mends).filter(one => one.done || one.failed)
  const coated = coats[0]?.at
  return {
    ended,
    ...(coated === undefined ? {} : { coated }),
    traits: traitsOf(state, coats, air),
    defects: [...new Set([...state.defects.map(one => one.kind), ...state.made?.defects ?? []])].sort(),
    mends: mends.length,
    failed: mends.filter(one => one.failed).length,
    scrapped: !state.finished || state.defects.some(one => one.mends.some(({ way }) => ANEW.includes(way))),
    finished: state.finished,
    figures: figuresOf(board, record),
  }
}

/** Ways of mending that begin a barrel again. */
const ANEW: readonly string[] = ['new blank', 'new pair']

/** When it was finished or given up. */
const overAt = ({ away, begun }: BenchState, { ended }: PenRecord): string | undefined =>
  ended ?? (away?.how === 'given up' && begun ? away.at : undefined)

function traitsOf(state: BenchState, coats: readonly (SettledStep & { step: CoatStep })[], air: readonly AirReading[]): Traits {
  const { fitting, material, method, wishes, climate } = state.plan.inputs
  const bare = state.steps.filter(isDone).flatMap(({ step }) => (step.kind === 'sand' && !step.mend ? [step] : []))
  const names = coats.map(one => one.step.product.name)
  const airs = coats.map(one => airAt(one.at, climate, air))
  return present({
    'method': method.name,
    'wood': material.name,
    'class': classWords(material),
    'fitting': fitting.name,
    'first grit': bare[0] && abrasiveName(bare[0].abrasive),
    'last grit': bare.at(-1) && abrasiveName(must(bare.at(-1), 'there is a last one').abrasive),
    'applicator': mostOf(coats.map(one => one.step.applicator)),
    'first coat': names[0],
    'product': mostOf(names),
    'coats': state.made?.coats === null ? undefined : String(state.coats.on),
    'air': airs.length ? humidityBand(meanOf(airs.map(one => one.humidity))) : undefined,
    'warmth': airs.length ? warmthBand(meanOf(airs.map(one => one.celsius))) : undefined,
    // Of a pen that was made before its log was kept here nobody said these.
    ...(state.made ? {} : { tool: wishes.tool, shape: shapeWords(fitting, wishes) }),
  })
}

/** How a pen is going to be made, as far as pens are told apart by what a plan says of it. */
export function plannedTraits({ inputs: { fitting, material, method, wishes, climate } }: Plan): Traits {
  return {
    method: method.name, wood: material.name, class: classWords(material), fitting: fitting.name, tool: wishes.tool,
    shape: shapeWords(fitting, wishes), air: humidityBand(climate.humidity), warmth: warmthBand(climate.celsius),
  }
}

const classWords = ({ classes }: Material): string => classes.join(', ') || 'of no known kind'

function shapeWords({ barrels }: Fitting, { shapes }: PlanInputs['wishes']): string {
  const kinds = new Set(barrels.map(({ id }) => (shapes?.[id] ?? usualShape).kind))
  return [...kinds].map(kind => shapeNames[kind]).sort().join(' and ')
}

/** Humidity while coats went on, in words; the bounds of 40 and 60 % are ours [model]. */
const humidityBand = (percent: number): string => (percent < 40 ? 'under 40 %' : percent <= 60 ? '40 to 60 %' : 'over 60 %')
/** Warmth while coats went on, in words; the bounds of 18 and 24 °C are ours [model]. */
const warmthBand = (celsius: number): string => (celsius < 18 ? 'under 18 °C' : celsius <= 24 ? '18 to 24 °C' : 'over 24 °C')

const meanOf = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length

/** What there is most of; of as many the first. */
function mostOf(values: readonly string[]): string | undefined {
  const counts = new Map<string, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].reduce<readonly [string, number] | undefined>((most, one) => (most && most[1] >= one[1] ? most : one), undefined)?.[0]
}

const present = <T extends object>(all: T): { [K in keyof T]?: NonNullable<T[K]> } =>
  Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as { [K in keyof T]?: NonNullable<T[K]> }

/** Which steps the minutes of a kind of work are made of. */
const WORK: Readonly<Partial<Record<FigureName, (step: Step) => boolean>>> = {
  'minutes': () => true,
  'minutes of sanding': step => step.kind === 'sand' && !step.mend,
  'minutes of coats': step => step.kind === 'coat' && !step.mend,
  'minutes of levelling': step => !step.mend && (step.kind === 'polish' || (isGrit(step) && step.phase === 'level')),
  'minutes of turning': step => step.kind === 'turn' && !step.mend,
  'minutes of mends': step => step.mend !== undefined,
}

/** So much of a time has to be measured or said for it to be told, as a part of what was planned [model]. */
const KNOWN = 2 / 3

function figuresOf(board: Board, { rows }: PenRecord): ToldPen['figures'] {
  const minutes = Object.entries(WORK).flatMap(([name, counts]) => {
    const time = knownMinutes(rows.filter(row => counts(row.step)))
    return time === undefined ? [] : [[name, time] as const]
  })
  const growths = buildGrowths(board, '')
  const coats = growths.flatMap(one => Object.values(one.coats)).reduce((sum, one) => sum + one, 0)
  const build = growths.reduce((sum, one) => sum + one.growth, 0) / coats
  const said = board.state.made?.minutes
  const film = coats > 0 && Number.isFinite(build) ? { 'film of a coat': build } : {}
  return { ...Object.fromEntries(minutes), ...(said ? { minutes: said } : {}), ...film }
}

/** Minutes with hands on some steps; undefined where too little of them was measured or said. */
function knownMinutes(rows: readonly RecordRow[]): number | undefined {
  const done = rows.filter(row => row.handsOn !== null)
  const known = done.filter(row => row.timing !== 'planned')
  const planned = (of: readonly RecordRow[]) => of.reduce((sum, row) => sum + row.planned, 0)
  if (!known.length || planned(known) < KNOWN * planned(done)) return undefined
  return done.reduce((sum, row) => sum + (row.handsOn ?? 0), 0) / 60
}
