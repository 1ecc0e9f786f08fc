import { abrasiveName, grainSize } from '../abrasives'
import { airAt, BLOOM_HUMIDITY, BLUSH_HUMIDITY, COLD, DEW_MARGIN, dewPoint, type AirReading } from '../climate'
import type { Evidence, Finding } from '../defects'
import { bleeds, coatPlaceOf, gritAtWork, hasResin, isOily, isSoft, keepsUntil, openPored, stageAt, trace, type Plan, type Step, type StepOf } from '../plan'
import { formatSpan } from '../units'
import type { DefectState } from './defects'
import type { PenRecord } from './record'
import { checkKey, leftOut, type BenchState, type StepState } from './replay'
import { buildGrowths } from './growths'
import type { BenchEvent } from './event'

/** Near an end, mm. */
const AT_END = 3
/** A coat that grew by more than this many times what was reckoned was thick [model]. */
const THICK = 1.6
/** A grit worked for less than this part of its planned time was cut short, for more than that it was long [model]. */
const SHORT = 0.5
const LONG = 2
/** A piece this far gone is worn. */
const WORN = 0.6
/** A levelling is a risk from this chance of going through on [model]. */
const RISKY = 0.02

/**
 * What a pen's own log and plan tell about the cause of a defect: only from what was done before it was found, in words with the figures. What the log cannot know is not among them.
 */
export function findingsOf(defect: DefectState, state: BenchState, record: PenRecord, events: readonly BenchEvent[], air: readonly AirReading[]): Finding[] {
  const done = state.steps.filter(one => one.status === 'done' && one.at! <= defect.at && concerns(one.step, defect))
  const skipped = state.steps.filter(one => one.status === 'skipped' && one.at! <= defect.at && concerns(one.step, defect))
  const found: Finding[] = []
  const say = (evidence: string, holds: boolean, says: string) => found.push({ evidence, holds, says, from: 'log' })
  const { plan } = state
  const coats = done.filter((one): one is StepState & { step: StepOf<'coat'> } => one.step.kind === 'coat')

  offTimes(state, done, say)
  grits(plan, state, record, done, skipped, say)
  if (coats.length) {
    airOf(plan, coats, air, say)
    coatsOf(plan, coats, skipped, say)
    thickness(state, events, defect, say)
  }
  levelling(state, defect, say)
  blankAndTool(plan, state, defect, done, skipped, coats.length > 0, say)
  return found
}

type Say = (evidence: string, holds: boolean, says: string) => void
type CoatState = StepState & { step: StepOf<'coat'> }

/** Steps of a barrel that catches up, or of another barrel, tell nothing of this one. */
const concerns = (step: Step, defect: DefectState): boolean => step.barrels.includes(defect.barrel)
const coatName = (plan: Plan, step: Step): string => step.kind === 'coat' ? `Coat ${coatPlaceOf(plan, step).number}` : step.kind === 'level' ? 'Levelling' : 'It'

function offTimes(state: BenchState, done: readonly StepState[], say: Say): void {
  const off = (purpose: string, when: 'early' | 'late') => state.offTime.filter(one => one.purpose === purpose && one.when === when && done.some(each => each.step.id === one.step))
  const gated = (purpose: string) => done.some(one => one.step.gate?.purpose === purpose)
  const name = (id: string) => coatName(state.plan, state.plan.steps.find(step => step.id === id)!)
  const [early, levelEarly, late] = [off('next coat', 'early').at(-1), off('level', 'early').at(-1), off('next coat', 'late').at(-1)]
  if (early) say('coat early', true, `${name(early.step)} went on ${formatSpan(early.by)} early`)
  else if (gated('next coat')) say('coat early', false, 'Every coat kept its wait')
  if (levelEarly) say('level early', true, `Levelled ${formatSpan(levelEarly.by)} before it was hard`)
  if (late) say('coat late', true, `${name(late.step)} came ${formatSpan(late.by)} after its latest time`)
  else if (gated('next coat')) say('coat late', false, 'No coat came too late')
}

function grits(plan: Plan, state: BenchState, record: PenRecord, done: readonly StepState[], skipped: readonly StepState[], say: Say): void {
  const used = done.flatMap(one => one.step.kind === 'sand' ? [one.step] : [])
  if (!used.length) return
  const left = skipped.flatMap(one => one.step.kind === 'sand' ? [abrasiveName(one.step.abrasive)] : [])
  if (left.length) say('grit skipped', true, `${left.join(' and ')} ${left.length > 1 ? 'were' : 'was'} skipped`)
  else say('grit skipped', false, 'No grit was skipped')

  const grain = (step: StepOf<'sand'>) => grainSize(step.abrasive.scale, step.abrasive.mark)
  const jumps = used.slice(1).map((step, index) => ({ from: used[index]!, to: step, jump: grain(used[index]!) / grain(step) })).sort((a, b) => b.jump - a.jump)
  const [worst] = jumps
  if (worst) {
    const great = worst.jump > plan.inputs.method.greatestJump + 1e-6
    say('great jump', great, great ? `${abrasiveName(worst.from.abrasive)} to ${abrasiveName(worst.to.abrasive)} is a jump of ${worst.jump.toFixed(1)}` : `The greatest jump was ${worst.jump.toFixed(1)}`)
  }

  const timed = record.rows.flatMap(row => row.step.kind === 'sand' && row.timing === 'measured' && used.some(step => step.id === row.step.id) ? [{ row, part: row.handsOn! / Math.max(1, row.planned), name: abrasiveName(row.step.abrasive) }] : [])
  if (timed.length) {
    const [shortest, longest] = [timed.reduce((a, b) => b.part < a.part ? b : a), timed.reduce((a, b) => b.part > a.part ? b : a)]
    const words = ({ row, name }: typeof shortest) => `${name} had ${formatSpan(row.handsOn!)} where about ${formatSpan(row.planned)} is planned`
    if (shortest.part < SHORT) say('grit cut short', true, words(shortest))
    else say('grit cut short', false, 'Every grit had its time')
    if (longest.part > LONG) say('grit long', true, words(longest))
    else say('grit long', false, 'No grit ran long')
  }

  const traced = trace(plan, leftOut(state.steps))
  const hot = used.find(step => gritAtWork(plan, traced, step)?.heat.level === 'hot')
  if (hot) say('runs hot', true, `${abrasiveName(hot.abrasive)} runs hot at this speed`)
  else say('runs hot', false, 'No grit runs hot at this speed')
  const worn = used.find(step => (step.abrasive.worn ?? 0) >= WORN)
  if (worn) say('worn paper', true, `${abrasiveName(worn.abrasive)} on the shelf has ${Math.round(100 * (1 - worn.abrasive.worn!))} % of its life left`)
}

function airOf(plan: Plan, coats: readonly CoatState[], air: readonly AirReading[], say: Say): void {
  const each = coats.map(one => ({ name: coatName(plan, one.step), ...airAt(one.at!, plan.inputs.climate, air) }))
  const dampest = each.reduce((a, b) => b.humidity > a.humidity ? b : a)
  const damp = dampest.humidity > BLOOM_HUMIDITY
  say('damp air', damp, damp ? `Humidity was ${dampest.humidity.toFixed(0)} % at ${dampest.name.toLowerCase()}` : `Humidity was never over ${dampest.humidity.toFixed(0)} %`)
  const margin = (one: (typeof each)[number]) => one.celsius - dewPoint(one.celsius, Math.min(100, Math.max(1, one.humidity)))
  const nearest = each.reduce((a, b) => margin(b) < margin(a) ? b : a)
  const near = margin(nearest) < DEW_MARGIN || nearest.humidity > BLUSH_HUMIDITY
  say('near dew point', near, near ? `${nearest.name}: ${margin(nearest).toFixed(1)} degrees from the dew point` : `Never nearer than ${margin(nearest).toFixed(1)} degrees to the dew point`)
  const coldest = each.reduce((a, b) => b.celsius < a.celsius ? b : a)
  const cold = coldest.celsius < COLD + 2
  say('cold air', cold, `${cold ? 'It was' : 'Never under'} ${coldest.celsius.toFixed(0)} °C${cold ? ` at ${coldest.name.toLowerCase()}` : ''}`)
}

function coatsOf(plan: Plan, coats: readonly CoatState[], skipped: readonly StepState[], say: Say): void {
  const medium = coats.find(one => one.step.product.role === 'medium CA' || one.step.product.role === 'thick CA')
  say('medium CA', Boolean(medium), medium ? `${coatName(plan, medium.step)} was ${medium.step.product.name.toLowerCase()}` : 'No medium or thick CA so far')
  const quick = coats.filter(one => one.step.accelerated).length
  say('accelerated', quick > 0, quick ? `${quick} of ${coats.length} coats with accelerator` : 'No accelerator so far')
  const towel = coats.some(one => one.step.applicator === 'towel')
  say('towel', towel, towel ? 'Put on with towel' : 'Put on with foam')
  const left = skipped.filter(one => one.step.kind === 'coat').length
  say('coats left out', left > 0, left ? `${left} ${left === 1 ? 'coat was' : 'coats were'} left out` : 'No coat was left out')
  const old = coats.find(one => (keepsUntil(one.step.product) ?? '9') < one.at!.slice(0, 10))
  if (old) say('old bottle', true, `${old.step.product.name} was past its time`)
  else if (coats.some(one => keepsUntil(one.step.product))) say('old bottle', false, 'The bottle was within its time')
}

/** What was measured between coats, against what the model reckons for them. */
function thickness(state: BenchState, events: readonly BenchEvent[], defect: DefectState, say: Say): void {
  const builds = new Map(state.plan.steps.flatMap(step => step.kind === 'coat' && step.product.film ? [[step.product.id, step.product.film.build] as const] : []))
  const grown = buildGrowths(state.plan, events.filter(event => event.at <= defect.at), '').map(({ coats, growth }) => {
    const reckoned = Object.entries(coats).reduce((sum, [id, count]) => sum + count * (builds.get(id) ?? 0), 0)
    return { growth, reckoned }
  }).filter(one => one.reckoned > 0)
  if (!grown.length) return
  const most = grown.reduce((a, b) => b.growth / b.reckoned > a.growth / a.reckoned ? b : a)
  const thick = most.growth > THICK * most.reckoned
  say('thick coats', thick, `The coats grew ${most.growth.toFixed(0)} µm where ${most.reckoned.toFixed(0)} is reckoned`)
}

function levelling(state: BenchState, defect: DefectState, say: Say): void {
  const traced = trace(state.plan, leftOut(state.steps)).steps
  const at = traced.findIndex(one => one.step.id === defect.step)
  const level = traced.slice(0, at + 1).findLast(one => one.step.kind === 'level')
  if (!level?.risk) return
  const takes = level.before.film.mean - level.after.film.mean
  const thin = level.risk.open > RISKY || level.risk.edges > 5 * RISKY
  say('thin film', thin, `Levelling was to take ${takes.toFixed(0)} of ${level.before.film.mean.toFixed(0)} µm`)
}

function blankAndTool(plan: Plan, state: BenchState, defect: DefectState, done: readonly StepState[], skipped: readonly StepState[], coated: boolean, say: Say): void {
  const { material, wishes, fitting } = plan.inputs
  say('oily wood', isOily(material), `${material.name} is ${isOily(material) ? '' : 'not '}oily`)
  say('open pores', openPored(material), `${material.name} has ${openPored(material) ? 'open pores' : 'close grain'}`)
  say('bleeding wood', bleeds(material), `${material.name} ${bleeds(material) ? 'bleeds' : 'does not bleed'}`)
  say('brittle resin', hasResin(material), hasResin(material) ? 'There is resin in it' : 'It has no resin')
  const figured = material.classes.includes('figured') || isSoft(material)
  say('figured wood', figured, figured ? `${material.name} has weak spots` : 'Straight, sound wood')
  if (coated && bleeds(material)) {
    const first = done.find(one => one.step.kind === 'coat')?.step
    const sealed = first?.kind === 'coat' && first.product.role === 'thin CA' && !first.accelerated
    say('unsealed', !sealed, sealed ? 'A thin CA coat sealed it first' : 'The first coat was no thin seal')
  }
  const barrel = fitting.barrels.find(one => one.id === defect.barrel)!
  const end = Math.min(defect.fromTip, barrel.tubeLength - defect.fromTip)
  say('at an end', end <= AT_END, end <= AT_END ? `It is ${end.toFixed(1)} mm from an end` : 'It is away from the ends')
  const turning = ['blank', 'turn'].includes(stageAt(plan, defect.step))
  say('while turning', turning, turning ? 'It came while it was turned' : 'It came after turning')
  const coarse = wishes.tool === 'gouge' || wishes.tool === 'square carbide'
  say('coarse tool', coarse, `It was turned with a ${wishes.tool}`)

  const clean = [...done, ...skipped].find(one => one.step.kind === 'clean')
  if (clean) say('not cleaned', clean.status === 'skipped', clean.status === 'skipped' ? 'Cleaning was left out' : 'It was cleaned')
  if (clean?.status === 'done' && clean.step.kind === 'clean' && clean.step.how === 'alcohol') say('wiped wet', true, 'It was wiped with alcohol')
  const answer = (step: string, check: string) => state.checks.get(checkKey(step, check))
  const told = (evidence: string, said: 'yes' | 'no' | undefined, bad: string, good: string) => said && say(evidence, said === 'no', said === 'no' ? bad : good)
  told('glue gap', answer('tube', 'cover'), 'The glue did not cover the tube, it was said', 'Glue all over the tube, it was said')
  told('bore not clear', answer('square', 'bore'), 'The bore was not clear, it was said', 'The bore was clear, it was said')
  told('wet blank', answer('dry', 'dry'), 'It was not dry yet, it was said', 'It was dry, it was said')
  if (skipped.some(one => one.step.kind === 'dry')) say('wet blank', true, 'Drying was left out')
  if (done.some(one => one.step.kind === 'turn')) {
    const measured = state.measured.some(one => one.barrel === defect.barrel && one.at <= defect.at)
    say('not measured', !measured, measured ? 'It was measured' : 'No diameter was measured')
  }
  const worn = barrel.bushings && [[barrel.bushings.tip, barrel.tipEnd], [barrel.bushings.clip, barrel.clipEnd]].find(([bushing, metal]) => bushing !== undefined && metal! - bushing > 0.03)
  if (worn) say('worn bushings', true, `A bushing measures ${(worn[1]! - worn[0]!).toFixed(2)} mm under the metal`)
}

/** The answers that were given, as findings; and the questions that were put at all. */
export function answersOf(defect: DefectState, evidence: readonly Evidence[]): { findings: Finding[], asked: Set<string> } {
  const findings = [...defect.answers].flatMap(([id, answer]): Finding[] => {
    const ask = evidence.find(one => one.id === id)?.ask
    return ask && answer !== 'not known' ? [{ evidence: id, holds: answer === 'yes', says: `${ask} ${answer === 'yes' ? 'Yes' : 'No'}`, from: 'answer' }] : []
  })
  return { findings, asked: new Set(defect.answers.keys()) }
}
