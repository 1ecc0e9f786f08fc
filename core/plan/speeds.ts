import { speedVerdict, speedWindows, surfaceSpeed, type Operation } from '../barrel'
import { given, worked, type Figure, type Source } from '../figures'
import { meanDiameter } from './ladder'
import type { ProductRole } from './inputs'
import type { Plan, Step } from './plan'
import type { PlanTrace } from './trace'
import { sandSpeed } from './traits'

/** How fast a step runs, and how that stands to what turners run it at. */
export interface StepSpeed {
  operation: Operation
  spindle: Figure
  /** Speed under the hand at the step's diameter, m/min. */
  surface: Figure
  /** The windows of the schools, in words: “slow school 500 to 1000, fast school 2000 to 4000”. */
  usual: string
  /** Whether the spindle speed lies in one of them. */
  within: boolean
}

const TURNING: Source = { mark: 'trade', note: 'common practice: 3000 and above' }

/** What a product's coat counts as among the operations; CA where nothing is said. */
const COATING: Partial<Record<ProductRole, Operation>> = {
  'friction polish': 'friction polish', 'shellac wax': 'friction polish', 'sanding sealer': 'lacquer', 'melamine lacquer': 'lacquer', 'carnauba wax': 'wax', 'hard wax': 'wax', 'wipe-on finish': 'lacquer', 'finishing oil': 'lacquer',
  'wood conditioner': 'lacquer', 'spray lacquer': 'lacquer',
}

/** The speed of a step at the lathe or drill; undefined for steps that turn nothing. */
export function stepSpeed(plan: Plan, step: Step, whole: PlanTrace): StepSpeed | undefined {
  const { fitting, method } = plan.inputs
  const own = (label: string, value: number) => given(label, value, 'rev/min', method.source)
  const mean = given('mean end diameter', meanDiameter(fitting), 'mm', fitting.source)
  switch (step.kind) {
    case 'drill': {
      const { fast, bit } = whole.size.barrels.find(one => step.barrels.includes(one.barrel.id))!.drilling
      return speed('drilling', fast, bit)
    }
    case 'turn': return speed('turning', given('turning speed', 3000, 'rev/min', TURNING), mean)
    case 'sand': return speed('sanding', sandSpeed(plan.inputs), mean)
    case 'coat': return step.speed > 0 ? speed(COATING[step.product.role] ?? 'CA', own('coating speed', step.speed), mean) : undefined
    case 'buff': case 'polish': return speed('polishing', own('polishing speed', method.speeds.polish), mean)
    default: return undefined
  }
}

function speed(operation: Operation, spindle: Figure, diameter: Figure): StepSpeed {
  const windows = speedWindows.filter(window => window.operation === operation)
  const surface = worked('surface speed', surfaceSpeed(diameter.value, spindle.value), 'm/min', 'π × diameter × spindle speed', [diameter, spindle])
  const usual = windows.map(({ school, least, most }) => `${school ? `${school} school ` : ''}${least} to ${most}`).join(', ')
  // A wide bit runs slower than the window of the trade's 7 mm one on purpose.
  const within = operation === 'drilling' ? spindle.value <= windows[0]!.most : speedVerdict(operation, spindle.value).within !== null
  return { operation, spindle, surface, usual, within }
}

/** What a spindle speed as read means for a step: whether it is as it should be, and what to do if not. Undefined for steps that say nothing of it. */
export function judgeSpeed(plan: Plan, step: Step, whole: PlanTrace, revPerMin: number): { within: boolean, says: string } | undefined {
  const wanted = stepSpeed(plan, step, whole)
  if (!wanted) return LATHE_OFF.includes(step.kind) || (step.kind === 'coat' && step.speed === 0) ? { within: revPerMin < STANDS, says: revPerMin < STANDS ? 'Lathe stands' : 'Lathe off for this step' } : undefined
  const { within, nearest } = speedVerdict(wanted.operation, revPerMin)
  if (within || revPerMin < STANDS) return { within: true, says: revPerMin < STANDS ? 'Lathe stands' : `within ${within!.least} to ${within!.most}` }
  const slower = revPerMin > nearest.most
  return { within: false, says: `${slower ? 'Too fast' : 'Too slow'} for ${wanted.operation}: ${slower ? `${nearest.most} at the most` : `${nearest.least} at the least`}. ${nearest.why}.` }
}

/** Below this a spindle counts as standing, rev/min. */
const STANDS = 20
/** Steps that are done with the lathe stopped. */
const LATHE_OFF: readonly Step['kind'][] = ['level', 'cut back', 'clean', 'ends', 'wipe off', 'flush', 'fill']
