import { array, boolean, lazy, mixed, number, object, type AnySchema, type InferType } from 'yup'
import type { BenchEvent } from '../core/bench'
import { defectKinds, repairWays } from '../core/defects'
import { extraWorks } from '../core/plan'
import { abrasive, product } from './plan'
import { exact, line, minor, moment, perhaps, under, uuid, word } from './common'

const barrel = () => word('lower', 'upper', 'only')
const stepId = () => line(120).min(1)
const TRIED = 'Should lie between -20 and 60 mm.'
/** What is done beside the plan; a coat has a kind of entry of its own. */
const BESIDE = extraWorks.filter(work => work !== 'coat')

/** What something was done with, where the plan’s own shelf may not have it. */
const item = lazy((value: unknown) =>
  value === undefined ? mixed().notRequired() : typeof value === 'object' && value !== null && 'scale' in value ? abrasive : product)

/** What is known of a pen that was made before its log was kept here. */
export const madeSchema = exact({
  minutes: number().moreThan(0, 'Should be above 0.').max(60_000, 'Should be 60,000 or less.').nullable().defined(),
  coats: number().integer().min(0, 'Should lie between 0 and 100.').max(100, 'Should lie between 0 and 100.').nullable().defined(),
  defects: array(word(...defectKinds).required()).max(defectKinds.length).required(),
  words: line(300).defined(),
})

const payloads = {
  begin: exact({ step: stepId().required() }),
  done: exact({
    step: stepId().required(),
    shared: perhaps({ seconds: number().min(0).max(86_400).required(), pens: number().integer().min(2).max(500).required() }),
  }),
  skip: exact({ step: stepId().required() }),
  defect: exact({
    kind: word(...defectKinds).required(),
    barrel: barrel().required(),
    fromTip: number().min(0).max(300).required(),
    around: number().min(0, 'Should lie between 0 and 359 degrees.').max(359, 'Should lie between 0 and 359 degrees.'),
    size: number().min(0.05, 'Should be 0.05 mm or more.').max(100).required(),
    step: stepId().nullable().defined(),
  }),
  check: exact({ step: stepId().required(), check: line(40).min(1).required(), answer: word('yes', 'no').required() }),
  look: exact({ step: stepId().required(), answer: word('not yet', 'cannot tell').required() }),
  touch: exact({ step: stepId().required(), felt: word('tacky', 'hard').required() }),
  measure: exact({
    barrel: barrel().required(),
    fromTip: number().min(0).max(300).required(),
    diameter: number().moreThan(0, 'Should be above 0.').max(60, 'Should be 60 mm or less.').required(),
    step: stepId().required(),
  }),
  coat: exact({ product: line(60).min(1).required(), step: stepId().nullable().defined(), item }),
  extra: exact({ work: word(...BESIDE).required(), with: line(60).min(1).nullable().defined(), step: stepId().nullable().defined(), item }),
  wait: exact({
    step: stepId().required(),
    seconds: number().min(1, 'Should be 1 s or more.').max(2_592_000, 'Should be 30 days or less.').required(),
  }),
  press: exact({
    step: stepId().required(),
    part: line(60).min(1).required(),
    verdict: word('in', 'short', 'right', 'far').required(),
    left: number().min(-20, TRIED).max(60, TRIED).nullable().defined(),
    out: number().min(-20, TRIED).max(60, TRIED).nullable().defined(),
    back: boolean().nullable().defined(),
    as: perhaps({
      how: word('glued', 'cut', 'another').required(),
      to: number().min(0, 'Should lie between 0 and 300 mm.').max(300, 'Should lie between 0 and 300 mm.').nullable().defined(),
      what: line(60).defined(),
    }),
  }),
  remark: exact({ text: line(500).min(1).required(), step: stepId().nullable().defined(), photo: uuid() }),
  time: exact({
    step: stepId().required(),
    seconds: number().min(0, 'Should be 0 s or more.').max(86_400, 'Should be a day or less.').nullable().defined(),
  }),
  answer: exact({ defect: uuid().required(), question: line(40).min(1).required(), answer: word('yes', 'no', 'not known').required() }),
  judge: exact({ defect: uuid().required(), cause: line(40).min(1).nullable().defined() }),
  away: exact({ how: word('set aside', 'given up', 'mistake', 'back').required(), why: line(200).defined() }),
  made: madeSchema,
  leave: exact({
    how: word('sold', 'given').required(),
    price: minor().nullable().defined(),
    place: uuid().nullable().defined(),
    customer: uuid().nullable().defined(),
    order: uuid().nullable().defined(),
    with: array(line(60).min(1).required()).max(10, 'Ten things at most go with a pen.').required(),
    words: line(300).defined(),
  }),
  return: exact({ why: word('given back', 'repair').required(), paid: minor().nullable().defined(), words: line(300).defined() }),
  gate: exact({ gate: line(40).min(1).required(), how: word('agreed', 'asked', 'seen').required() }),
  photo: exact({ defect: uuid().required(), photo: uuid().required() }),
  repair: exact({ defect: uuid().required(), way: word(...repairWays).required(), step: stepId().nullable().defined(), from: stepId() }),
  settle: exact({ defect: uuid().required(), how: word('mended', 'left', 'failed').required() }),
  undo: exact({ entries: array(uuid().required()).min(1).max(50).required() }),
}

const kinds = Object.keys(payloads) as (keyof typeof payloads)[]

/** No clock is wronger than this, ms: a hundred years. */
const AGES = 3_155_760_000_000

/** One entry of the bench log, its payload checked by its kind. */
export const eventSchema = exact({
  id: uuid().required(),
  pen: uuid().required(),
  barrels: array(barrel().required()).max(2).required(),
  kind: word(...kinds).required(),
  at: moment().required(),
  device: line(60).required(),
  /** How far the device’s clock was ahead, ms, as it knew when it made the entry. */
  ahead: number().integer().min(-AGES).max(AGES),
  payload: object()
    .required()
    .when('kind', ([kind], plain) => under<AnySchema>(payloads, kind) ?? plain),
})

/** A batch of entries, as the bench sends them, and the time on the device when it does. */
export const eventBatchSchema = exact({ events: array(eventSchema).min(1).max(500).required(), sentAt: moment() })

type Checked = InferType<typeof eventSchema>

/** An entry that passed the schema, as the core knows it: `kind` and `payload` were checked together. */
export const asBenchEvent = (checked: Checked): BenchEvent => checked as unknown as BenchEvent
