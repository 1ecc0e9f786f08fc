import { array, boolean, lazy, mixed, number, string, type ObjectShape, type Schema } from 'yup'
import { repairWays } from '../core/defects'
import { setsBys } from '../core/climate'
import { applicators } from '../core/film'
import { cleanHows, filmWishes, fixHows, gateKinds, phases, toolIds, type Plan, type StepKind } from '../core/plan'
import { materialClasses, productRoles, waitPurposes } from '../core/shelf'
import { day, exact, perhaps, word } from './common'
import { methodSettings } from './method'
import { sizing } from './pen'

const id = () => string().min(1).max(120).required()
const name = () => string().min(1).max(120).required()
const positive = () => number().moreThan(0, 'Should be above 0.').max(100_000).required()

const source = exact({ mark: word('pub', 'trade', 'mem', 'model').required(), note: string().max(300) })
const barrelId = word('lower', 'upper', 'only').required()
const scale = word('P', 'CAMI', 'pad', 'micron').required()

/** An abrasive as a plan and an entry hold it. */
export const abrasive = exact({
  id: id(),
  scale,
  mark: positive(),
  wet: boolean().required(),
  dry: boolean().required(),
  label: string().max(60),
  between: array(string().max(60).required()).length(2),
  worn: number().min(0).max(1),
  count: number().min(0),
})
const baseWait = perhaps({ plain: positive().max(1e8), accelerated: number().moreThan(0), latest: number().moreThan(0), source })
const waits = perhaps(Object.fromEntries(waitPurposes.map(purpose => [purpose, baseWait])))
const some = () => number().min(0)
/** What is the turner's own of something that the model reckons. */
const factor = () => number().min(0.1).max(10).required()
/** A figure for each of some products, by their ids. */
const byProduct = (figure: () => Schema) =>
  lazy((value: Record<string, unknown> | undefined) =>
    value === undefined ? mixed().notRequired() : exact(Object.fromEntries(Object.keys(value).map(key => [key, figure()]))),
  )
/** A product as a plan and an entry hold it. */
export const product = exact({
  id: id(),
  name: name(),
  source,
  role: word(...productRoles).required(),
  film: perhaps({
    build: positive(), unevenness: number().min(0).required(), solids: positive(), later: number().moreThan(0).max(1), source,
  }),
  setsBy: word(...setsBys),
  waits,
  label: waits,
  keeps: perhaps({ days: positive(), source }),
  alike: string().min(1).max(120),
  caution: string().max(200),
  bottle: perhaps({ opened: day(), keeps: some(), left: some(), size: some(), sealed: some(), price: some() }),
})

const inputs = exact({
  fitting: exact({
    id: id(),
    name: name(),
    bit: positive(),
    source,
    parts: array(string().max(60).required()).max(30),
    barrels: array(
      exact({
        id: barrelId,
        tubeLength: positive(),
        tubeOuter: positive(),
        bit: number().moreThan(0),
        tipEnd: positive(),
        clipEnd: positive(),
        bushings: perhaps({ tip: number().moreThan(0), clip: number().moreThan(0) }),
      }),
    )
      .min(1)
      .max(2)
      .required(),
  }),
  material: exact({
    id: id(),
    name: name(),
    colour: string()
      .matches(/^#[0-9a-f]{6}$/)
      .required(),
    source,
    classes: array(
      word(...materialClasses).required(),
    ).required(),
    hardness: perhaps({ value: positive(), source }),
    density: perhaps({ value: positive(), source }),
    caution: string().max(200),
  }),
  method: exact({ id: id(), version: number().integer().min(1).required(), source, ...methodSettings }),
  shelf: exact({ abrasives: array(abrasive).max(200).required(), products: array(product).max(100).required() }),
  climate: exact({ celsius: number().required(), humidity: number().required() }),
  wishes: exact({
    tool: word(...toolIds).required(),
    film: word(...filmWishes).required(),
    ...sizing,
  }),
  blank: perhaps({
    id: id(),
    name: name(),
    width: number().moreThan(0),
    height: number().moreThan(0),
    length: number().moreThan(0),
    damp: boolean().required(),
    readings: array(exact({ at: string().required(), grams: number().moreThan(0), percent: number().min(0) }))
      .max(500)
      .required(),
  }),
  own: perhaps({ rate: positive(), capacity: positive(), overhead: number().min(0) }),
  builds: byProduct(() => some().required()),
  waits: byProduct(factor),
  even: perhaps({ over: factor(), wood: factor() }),
  habits: perhaps({ perEnd: number().nullable(), kerf: number().nullable(), wander: number().nullable(), leastWall: number().nullable() }),
})

const repair = exact({
  defect: id(),
  kind: string().max(30).required(),
  way: word(...repairWays).required(),
  barrel: barrelId,
  fromTip: number().min(0).required(),
  size: number().moreThan(0).required(),
})

const base = {
  id: id(),
  again: string().max(120),
  mend: string().max(120),
  apart: boolean(),
  phase: word(...phases).required(),
  barrels: array(barrelId).min(1).max(2).required(),
  gate: perhaps({ purpose: word(...waitPurposes).required(), since: word(...gateKinds).required() }),
}

/** What each kind of step says besides. */
const particulars: Record<StepKind, ObjectShape> = {
  'parts': {},
  'cut': {},
  'drill': {},
  'dry': {},
  'tube': { product: product.nullable().defined(), accelerated: boolean().required() },
  'square': {},
  'turn': {},
  'fill': { product, accelerated: boolean().required(), repair },
  'flush': { repair },
  'harden': { product },
  'sand': { abrasive },
  'try': { product },
  'clean': { how: word(...cleanHows).required() },
  'coat': {
    product,
    number: number().integer().min(1).required(),
    accelerated: boolean().required(),
    soak: boolean().required(),
    speed: number().min(0).required(),
    applicator: word(...applicators).required(),
    mends: string().max(120),
  },
  'buff': {},
  'wipe off': { product },
  'take off': { product, coat: id() },
  'burnish': {},
  'cut back': { abrasive },
  'level': { abrasive },
  'smooth': { abrasive },
  'polish': { product },
  'sand back': { abrasive, whole: boolean().required() },
  'ends': {},
  'assemble': {},
  'check': {},
  'set aside': { seconds: positive() },
  'look again': {},
  'fix': { how: word(...fixHows).required(), product: product.notRequired().default(undefined) },
}

const steps = new Map<string, Schema>(
  Object.entries(particulars).map(([kind, shape]) => [kind, exact({ ...base, kind: mixed().oneOf([kind]).required(), ...shape })]),
)

const anyStep = lazy(
  (value: { kind?: string } | undefined) =>
    steps.get(value?.kind ?? '')
    ?? mixed().test('kind', `The step kind should be one of: ${[...steps.keys()].join(', ')}.`, () => false),
)

/** A plan as it is stored. */
const planSchema = exact({ form: mixed().oneOf([1]).required(), inputs, steps: array(anyStep).max(500).required() })

/** A plan from outside, checked. @throws ValidationError when the value is not a plan */
export const asPlan = (value: unknown): Plan => planSchema.validateSync(value) as unknown as Plan
