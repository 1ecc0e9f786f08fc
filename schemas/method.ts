import { array, boolean, lazy, mixed, number, ValidationError } from 'yup'
import { finishFamilies, methodFaults, sheens, type Method } from '../core/method'
import { applicators } from '../core/film'
import { coatRoles } from '../core/shelf'
import { exact, judged, line, perhaps, version, word } from './common'

const coats = () => number().integer().min(1, 'Should lie between 1 and 30.').max(30, 'Should lie between 1 and 30.').required()
const range = exact({ least: coats(), most: coats() })
const revPerMin = (least = 0) =>
  number().min(least, `Should lie between ${least} and 5000 rev/min.`).max(5000, `Should lie between ${least} and 5000 rev/min.`).required()

const layer = exact({
  role: word(...coatRoles).required(),
  count: lazy((value: unknown) => (typeof value === 'object' && value !== null ? range : coats())),
  soak: boolean().required(),
  accelerate: boolean().required(),
  applicator: word(...applicators).required(),
  speed: revPerMin(),
  after: perhaps({ do: word('buff', 'cut back', 'wipe off').required(), when: word('each', 'between', 'last').required() }).nullable(),
})

/** The settings of a method: what a turner edits, and what a plan holds beside its name and version. */
export const methodSettings = {
  family: word(...finishFamilies).required(),
  name: line(60).trim().min(1).required(),
  wood: perhaps({ harden: boolean().required(), burnish: boolean().required() }),
  layers: array(layer).max(6).required(),
  levelling: lazy((value: unknown) =>
    typeof value === 'number'
      ? number().integer().min(2, 'Should lie between 2 and 6 coats.').max(6, 'Should lie between 2 and 6 coats.').required()
      : mixed<'never' | 'at the end'>().oneOf(['never', 'at the end']).required(),
  ),
  sheen: word(...sheens).required(),
  polishes: word(0, 1, 2).required(),
  speeds: exact({ sand: revPerMin(100), level: revPerMin(100), polish: revPerMin(100) }),
  greatestJump: number().min(1.2, 'Should lie between 1.2 and 10.').max(10, 'Should lie between 1.2 and 10.').required(),
}

/** What no bench could do, at its field. */
function possible(value: object): true | ValidationError {
  const faults = methodFaults(value as Method)
  return faults.length ? new ValidationError(faults.map(fault => new ValidationError(fault.says, value, fault.field))) : true
}

/** A method as it is kept by its turner. */
export const methodSchema = judged(exact(methodSettings), possible)
export type MethodInput = Omit<Method, 'id' | 'version' | 'source'>

/** A change of a method: the version that was seen, and its settings as they are to be. */
export const methodChangeSchema = judged(exact({ version: version().required(), ...methodSettings }), possible)

/** A copy of a method under a name of its own. */
export const methodCopySchema = exact({ of: line(60).min(1).required(), name: line(60).trim().min(1).required() })

/** A method put away, or taken out again. */
export const awaySchema = exact({ gone: boolean().required() })
