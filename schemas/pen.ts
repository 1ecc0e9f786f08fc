import { array, boolean, lazy, mixed, number, type AnySchema, type InferType } from 'yup'
import { defectKinds } from '../core/defects'
import { extraWorks, filmWishes, glueWishes, toolIds, type Sizing } from '../core/plan'
import { materials } from '../reference'
import { day, exact, line, minor, perhaps, under, uuid, version, word } from './common'

const ids = (rows: readonly { id: string }[]): string[] => rows.map(row => row.id)

const mark = () => line(5).matches(/^[A-Z]\d{1,3}$/, 'Use a capital letter and a number, as across the cut: C2.')

const choices = {
  fitting: line(60).min(1),
  material: word(...ids(materials)),
  method: line(60).min(1),
  tool: word(...toolIds),
  film: word(...filmWishes),
}

const bulge = number().min(-3, 'Should lie between -3 and 8 mm.').max(8, 'Should lie between -3 and 8 mm.').required()
const shapes = {
  straight: exact({ kind: word('straight').required() }),
  belly: exact({ kind: word('belly').required(), bulge }),
  grip: exact({ kind: word('grip').required(), bulge }),
  tapered: exact({ kind: word('tapered').required(), bulge }),
  free: exact({
    kind: word('free').required(),
    points: array(
      exact({
        part: number().moreThan(0).lessThan(1).required(),
        diameter: number().moreThan(0).max(40, 'Should be 40 mm or less.').required(),
      }),
    )
      .max(12)
      .required(),
  }),
}
const shape = () =>
  lazy((value: { kind?: unknown } | null | undefined) =>
    value === undefined
      ? mixed().notRequired()
      : (under<AnySchema>(shapes, value?.kind) ?? mixed().test('kind', `Choose one of: ${Object.keys(shapes).join(', ')}.`, () => false)),
  )

/** How a pen is sized: outlines of its barrels, ends the turner rather turns to a diameter of their own, and the tube glue. */
export const sizing = {
  shapes: perhaps({ lower: shape(), upper: shape(), only: shape() }),
  ends: array(
    exact({
      barrel: word('lower', 'upper', 'only').required(),
      end: word('tip', 'clip').required(),
      diameter: number().moreThan(0, 'Should be above 0.').max(40, 'Should be 40 mm or less.').required(),
    }),
  ).max(4),
  glue: word(...glueWishes),
  ladder: array(line(60).min(1).required()).max(30),
  levelWith: line(60).min(1),
  filmLadder: array(line(60).min(1).required()).max(30),
  polishes: number().integer().min(0, 'Should lie between 0 and 2.').max(2, 'Should lie between 0 and 2.'),
  insist: array(line(60).min(1).required()).max(30),
  refuse: array(line(60).min(1).required()).max(200),
  marks: number().min(1, 'Should lie between 1 and 500 µm.').max(500, 'Should lie between 1 and 500 µm.'),
  leave: number().min(0.3, 'Should lie between 0.3 and 100 µm.').max(100, 'Should lie between 0.3 and 100 µm.'),
  sandSpeed: number().min(100, 'Should lie between 100 and 5000 rev/min.').max(5000, 'Should lie between 100 and 5000 rev/min.'),
  depth: number().min(5, 'Should lie between 5 and 150 µm.').max(150, 'Should lie between 5 and 150 µm.'),
  asItStands: boolean(),
  beforehand: array(exact({
    key: line(40).min(1).required(),
    work: word(...extraWorks).required(),
    with: line(60).min(1).nullable().defined(),
    step: line(120).min(1).nullable().defined(),
  })).max(20, 'Twenty at most are put in beforehand.'),
  jump: number().test(
    'jump',
    'Should be 0 (lifted) or lie between 1.2 and 10.',
    value => value === undefined || value === 0 || (value >= 1.2 && value <= 10),
  ),
}
const sizingSchema = perhaps(sizing)

/** What a pen is planned from. */
export const penChoices = {
  fitting: choices.fitting.required(),
  material: choices.material.required(),
  method: choices.method.required(),
  tool: choices.tool.required(),
  film: choices.film.required(),
}

/** A pen as it is started. */
export const newPenSchema = exact({
  mark: mark().required(),
  name: line(80).trim().required().min(1),
  reason: line(120).nullable().default(null),
  due: day().default(null),
  blank: uuid().nullable(),
  ...penChoices,
  /** As another pen was sized, sanded and finished, where it is made after one. */
  sizing: sizingSchema,
})
export type NewPen = Omit<InferType<typeof newPenSchema>, 'sizing'> & { sizing?: Sizing }

/** So many pens are started at once at most. */
export const MOST_AT_ONCE = 100
/** Several pens started at once: all of them, or none. */
export const newPensSchema = exact({ pens: array(newPenSchema).min(1).max(MOST_AT_ONCE).required() })
/** Which marks are free: so many, from this one on where one is said. */
export const markQuerySchema = exact({
  from: mark(),
  count: number().integer().min(1, 'Should lie between 1 and 100.').max(MOST_AT_ONCE, 'Should lie between 1 and 100.'),
})
export type MarkQuery = InferType<typeof markQuerySchema>

/** A change of a pen: the version that was seen, and the fields as they are to be. */
export const penChangeSchema = exact({
  version: version().required(),
  mark: mark(),
  name: line(80).trim().min(1),
  reason: line(120).nullable(),
  due: day(),
  fitting: choices.fitting,
  material: choices.material,
  method: choices.method,
  tool: choices.tool,
  film: choices.film,
  blank: uuid().nullable(),
  sizing: sizingSchema,
  /** What is asked for it, in minor units. */
  asked: minor().nullable(),
  /** What becomes of steps that are done and no longer fit what is chosen now. */
  begun: word('open again', 'as done'),
})
export type PenChange = Omit<InferType<typeof penChangeSchema>, 'sizing'> & { sizing?: Sizing }

/** Plan again with what is on the shelf and in the air now: the version that was seen. */
export const replanSchema = exact({ version: version().required() })

/** Which pens a list shows, and from where on. */
export const penQuerySchema = exact({
  stage: word('planned', 'in work', 'finished', 'set aside', 'given up'),
  material: line(60),
  fitting: line(60),
  method: line(60),
  due: day(),
  defects: word('open'),
  /** Whose they are. */
  maker: uuid(),
  /** Finished pens that are here, or that went to somebody. */
  at: word('here', 'gone'),
  text: line(80),
  sort: word('recent', 'marks', 'due'),
  after: line(300),
  limit: number().integer().min(1, 'Should lie between 1 and 200.').max(200, 'Should lie between 1 and 200.'),
})
export type PenQuery = InferType<typeof penQuerySchema>

/** Which defects a list shows, and from where on; of some pens alone where they are named. */
export const defectQuerySchema = exact({
  kind: word(...defectKinds),
  material: line(60),
  status: word('open', 'mending', 'mended', 'left'),
  cause: line(60),
  pens: array(uuid().required()).max(20, 'At most 20 pens at once.'),
  after: line(300),
  limit: number().integer().min(1, 'Should lie between 1 and 200.').max(200, 'Should lie between 1 and 200.'),
})
export type DefectQuery = InferType<typeof defectQuerySchema>
