import { speedVerdict, speedWindows, surfaceSpeed, type Operation } from '../../barrel'
import { given, worked, type Figure, type Source } from '../../figures'
import type { CoatRole } from '../../shelf'
import { meanDiameter } from '../make'
import { sandSpeed, stepNature, type Plan, type Step } from '../model'
import type { PlanTrace } from '../trace'

/** How fast a step runs, and how that stands to what turners run it at. */
export interface StepSpeed {
  /** What is done. */
  operation: Operation
  /** Spindle speed, rev/min. */
  spindle: Figure
  /** Speed under the hand at the step's diameter, m/min. */
  surface: Figure
  /** The windows of the schools, in words: “slow school 500 to 1000, fast school 2000 to 4000”. */
  usual: string
  /** Whether the spindle speed lies in one of them. */
  within: boolean
}

const TURNING: Source = { mark: 'trade', note: 'common practice: 3000 and above' }

/** What a product's coat counts as among the operations of the lathe [trade]. */
const COATING: Record<CoatRole, Operation> = {
  'thin CA': 'CA',
  'medium CA': 'CA',
  'thick CA': 'CA',
  'sanding sealer': 'lacquer',
  'friction polish': 'friction polish',
  'carnauba wax': 'wax',
  'melamine lacquer': 'lacquer',
  'wood conditioner': 'lacquer',
  'shellac wax': 'friction polish',
  'wipe-on finish': 'lacquer',
  'finishing oil': 'lacquer',
  'hard wax': 'wax',
  'spray lacquer': 'lacquer',
}

/** The speed of a step at the lathe or drill; undefined for steps that turn nothing. */
export function stepSpeed(plan: Plan, step: Step, whole: PlanTrace): StepSpeed | undefined {
  const { fitting, method } = plan.inputs
  const own = (label: string, value: number) => given(label, value, 'rev/min', method.source)
  const mean = given('mean end diameter', meanDiameter(fitting), 'mm', fitting.source)
  switch (step.kind) {
    case 'drill': {
      const drilled = whole.size.barrels.find(one => step.barrels.includes(one.barrel.id))?.drilling
      return drilled && speed('drilling', drilled.fast, drilled.bit)
    }
    case 'turn':
      return speed('turning', given('turning speed', 3000, 'rev/min', TURNING), mean)
    case 'sand':
      return speed('sanding', sandSpeed(plan.inputs), mean)
    case 'coat':
      return step.speed > 0 ? speed(COATING[step.product.role], own('coating speed', step.speed), mean) : undefined
    case 'buff':
    case 'polish':
      return speed('polishing', own('polishing speed', method.speeds.polish), mean)
    default:
      return undefined
  }
}

function speed(operation: Operation, spindle: Figure, diameter: Figure): StepSpeed {
  const windows = speedWindows.filter(window => window.operation === operation)
  const value = surfaceSpeed(diameter.value, spindle.value)
  const surface = worked('surface speed', value, 'm/min', 'π × diameter × spindle speed', [diameter, spindle])
  const usual = windows.map(({ school, least, most }) => `${school ? `${school} school ` : ''}${least} to ${most}`).join(', ')
  // A wide bit runs slower than the window of the trade's 7 mm one on purpose.
  const within
    = operation === 'drilling'
      ? windows.every(window => spindle.value <= window.most)
      : speedVerdict(operation, spindle.value).within !== null
  return { operation, spindle, surface, usual, within }
}

/** Below this a spindle counts as standing, rev/min. */
const STANDS = 20

/**
 * What a spindle speed as read means for a step: whether it is as it should be, and what to do if not. Undefined for steps that say
 * nothing of it.
 */
export function judgeSpeed(plan: Plan, step: Step, whole: PlanTrace, revPerMin: number): { within: boolean, says: string } | undefined {
  const stands = revPerMin < STANDS
  const wanted = stepSpeed(plan, step, whole)
  if (!wanted) return wantsItOff(step) ? { within: stands, says: stands ? 'Lathe stands' : 'Lathe off for this step' } : undefined
  if (stands) return { within: true, says: 'Lathe stands' }
  const { within, nearest } = speedVerdict(wanted.operation, revPerMin)
  if (within) return { within: true, says: `within ${within.least} to ${within.most}` }
  const [off, bound]
    = revPerMin > nearest.most ? ['Too fast', `${nearest.most} at the most`] : ['Too slow', `${nearest.least} at the least`]
  return { within: false, says: `${off} for ${wanted.operation}: ${bound}. ${nearest.why}.` }
}

function wantsItOff(step: Step): boolean {
  const { lathe } = stepNature[step.kind]
  return (
    lathe === 'stands'
    || (lathe === 'as said' && ((step.kind === 'coat' && step.speed === 0) || (step.kind === 'sand back' && !step.whole)))
  )
}
