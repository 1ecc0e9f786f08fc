import { array, boolean, lazy, mixed, number, string, type Schema } from 'yup'
import { repairWays } from '../core/defects'
import { productRoles, type Plan } from '../core/plan'
import { day, exact, perhaps, word } from './common'
import { methodSettings } from './method'
import { sizing } from './pen'

const id = () => string().min(1).max(120).required()
const name = () => string().min(1).max(120).required()
const positive = () => number().moreThan(0, 'Should be above 0.').max(100_000).required()

const source = exact({ mark: word('pub', 'trade', 'mem', 'model').required(), note: string().max(300) })
const barrelId = word('lower', 'upper', 'only').required()
const scale = word('P', 'CAMI', 'pad', 'micron').required()

const abrasive = exact({
  id: id(), scale, mark: positive(), wet: boolean().required(), dry: boolean().required(), label: string().max(60), between: array(string().max(60).required()).length(2),
  worn: number().min(0).max(1), count: number().min(0),
})
const baseWait = perhaps({ plain: positive().max(1e8), accelerated: number().moreThan(0), latest: number().moreThan(0), source })
const waits = perhaps({ 'square': baseWait, 'sand': baseWait, 'next coat': baseWait, 'level': baseWait, 'wipe off': baseWait, 'assemble': baseWait, 'hand over': baseWait, 'rest': baseWait })
const some = () => number().min(0)
const product = exact({
  id: id(), name: name(), source,
  role: word(...productRoles).required(),
  film: perhaps({ build: positive(), unevenness: number().min(0).required(), solids: positive(), source }),
  setsBy: word('moisture', 'solvent', 'warmth'),
  waits, label: waits,
  keeps: perhaps({ days: positive(), source }),
  bottle: perhaps({ opened: day(), keeps: some(), left: some(), size: some(), sealed: some(), price: some() }),
})

const inputs = exact({
  fitting: exact({
    id: id(), name: name(), bit: positive(), source,
    parts: array(string().max(60).required()).max(30),
    barrels: array(exact({
      id: barrelId, tubeLength: positive(), tubeOuter: positive(), bit: number().moreThan(0), tipEnd: positive(), clipEnd: positive(),
      bushings: perhaps({ tip: number().moreThan(0), clip: number().moreThan(0) }),
    })).min(1).max(2).required(),
  }),
  material: exact({
    id: id(), name: name(), colour: string().matches(/^#[0-9a-f]{6}$/).required(), source,
    classes: array(word('close-grained', 'open-pored', 'oily', 'bleeding', 'soft', 'figured', 'hybrid', 'resin', 'laminated').required()).required(),
    hardness: perhaps({ value: positive(), source }),
    density: perhaps({ value: positive(), source }),
  }),
  method: exact({ id: id(), version: number().integer().min(1).required(), source, ...methodSettings }),
  shelf: exact({ abrasives: array(abrasive).max(200).required(), products: array(product).max(100).required() }),
  climate: exact({ celsius: number().required(), humidity: number().required() }),
  wishes: exact({ tool: word('skew', 'round carbide', 'square carbide', 'gouge').required(), film: word('gloss', 'close').required(), ...sizing }),
  blank: perhaps({
    id: id(), name: name(), width: number().moreThan(0), height: number().moreThan(0), length: number().moreThan(0), damp: boolean().required(),
    readings: array(exact({ at: string().required(), grams: number().moreThan(0), percent: number().min(0) })).max(500).required(),
  }),
  own: perhaps({ rate: positive(), capacity: positive() }),
  builds: lazy((value: Record<string, unknown> | undefined) => value === undefined ? mixed().notRequired() : exact(Object.fromEntries(Object.keys(value).map(key => [key, some().required()])))),
  habits: perhaps({ perEnd: number().nullable(), kerf: number().nullable(), wander: number().nullable(), leastWall: number().nullable() }),
})

const repair = exact({
  defect: id(), kind: string().max(30).required(), way: word(...repairWays).required(), barrel: barrelId, fromTip: number().min(0).required(), size: number().moreThan(0).required(),
})

const base = {
  id: id(),
  again: string().max(120),
  mend: string().max(120),
  apart: boolean(),
  phase: word('blank', 'turn', 'sand', 'clean', 'coat', 'level', 'assemble').required(),
  barrels: array(barrelId).min(1).max(2).required(),
  gate: perhaps({ purpose: word('square', 'sand', 'next coat', 'level', 'wipe off', 'assemble', 'hand over', 'rest').required(), since: word('tube', 'harden', 'fill', 'coat', 'set aside').required() }),
}
const plain = ['parts', 'cut', 'drill', 'dry', 'square', 'turn', 'buff', 'ends', 'assemble', 'check', 'look again'] as const
const kind = (one: string) => mixed().oneOf([one]).required()

const steps: Record<string, Schema> = {
  ...Object.fromEntries(plain.map(one => [one, exact({ ...base, kind: kind(one) })])),
  'tube': exact({ ...base, kind: kind('tube'), product: product.nullable().defined(), accelerated: boolean().required() }),
  'fill': exact({ ...base, kind: kind('fill'), product, accelerated: boolean().required(), repair }),
  'flush': exact({ ...base, kind: kind('flush'), repair }),
  'harden': exact({ ...base, kind: kind('harden'), product }),
  'sand': exact({ ...base, kind: kind('sand'), abrasive }),
  'clean': exact({ ...base, kind: kind('clean'), how: word('blow', 'alcohol', 'rinse').required() }),
  'coat': exact({
    ...base, kind: kind('coat'), product, number: number().integer().min(1).required(), accelerated: boolean().required(), soak: boolean().required(),
    speed: number().min(0).required(), applicator: word('foam', 'towel', 'spray', 'stick').required(), mends: string().max(120),
  }),
  'level': exact({ ...base, kind: kind('level'), abrasive }),
  'smooth': exact({ ...base, kind: kind('smooth'), abrasive }),
  'cut back': exact({ ...base, kind: kind('cut back'), abrasive }),
  'sand back': exact({ ...base, kind: kind('sand back'), abrasive, whole: boolean().required() }),
  'set aside': exact({ ...base, kind: kind('set aside'), seconds: positive() }),
  'fix': exact({ ...base, kind: kind('fix'), how: word('ream', 'press on', 'take apart', 'flush the end', 'ease the end', 'touch up').required() }),
  ...Object.fromEntries((['try', 'wipe off', 'polish'] as const).map(one => [one, exact({ ...base, kind: kind(one), product })])),
}

const anyStep = lazy((value: { kind?: string } | undefined) =>
  steps[value?.kind ?? ''] ?? mixed().test('kind', `The step kind should be one of: ${Object.keys(steps).join(', ')}.`, () => false))

/** A plan as it is stored. */
export const planSchema = exact({ form: mixed().oneOf([1]).required(), inputs, steps: array(anyStep).max(500).required() })

/** A plan from the store, checked on the way out. @throws ValidationError when the stored value is not a plan */
export const asPlan = (value: unknown): Plan => planSchema.validateSync(value) as unknown as Plan
