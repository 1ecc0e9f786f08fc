import { array, number, object, type InferType } from 'yup'
import type { BenchEvent } from '../core/bench'
import { repairWays, type DefectKind } from '../core/defects'
import { defects } from '../reference'
import { exact, line, moment, uuid, word } from './common'

const barrel = () => word('lower', 'upper', 'only')
const stepId = () => line(60).min(1)
const defectKinds = defects.map(entry => entry.kind)

const payloads = {
  begin: exact({ step: stepId().required() }),
  done: exact({ step: stepId().required() }),
  skip: exact({ step: stepId().required() }),
  defect: exact({
    kind: word<DefectKind>(...defectKinds).required(),
    barrel: barrel().required(),
    fromTip: number().min(0).max(300).required(),
    size: number().min(0.05, 'Should be 0.05 mm or more.').max(100).required(),
    step: stepId().nullable().defined(),
  }),
  check: exact({ step: stepId().required(), check: line(40).min(1).required(), answer: word('yes', 'no').required() }),
  look: exact({ step: stepId().required(), answer: word('not yet', 'cannot tell').required() }),
  measure: exact({
    barrel: barrel().required(),
    fromTip: number().min(0).max(300).required(),
    diameter: number().moreThan(0, 'Should be above 0.').max(60, 'Should be 60 mm or less.').required(),
    step: stepId().required(),
  }),
  repair: exact({ defect: uuid().required(), way: word(...repairWays).required(), step: stepId().nullable().defined() }),
  settle: exact({ defect: uuid().required(), how: word('mended', 'left').required() }),
  undo: exact({ entries: array(uuid().required()).min(1).max(50).required() }),
}

const kinds = Object.keys(payloads) as (keyof typeof payloads)[]

/** One entry of the bench log, its payload checked by its kind. */
export const eventSchema = exact({
  id: uuid().required(),
  pen: uuid().required(),
  barrels: array(barrel().required()).max(2).required(),
  kind: word(...kinds).required(),
  at: moment().required(),
  device: line(60).required(),
  payload: object().required().when('kind', ([kind], plain) => payloads[kind as keyof typeof payloads] ?? plain),
})

/** A batch of entries, as the bench sends them. */
export const eventBatchSchema = exact({ events: array(eventSchema).min(1).max(500).required() })

type Checked = InferType<typeof eventSchema>

/** An entry that passed the schema, as the core knows it: `kind` and `payload` were checked together. */
export const asBenchEvent = (checked: Checked): BenchEvent => checked as unknown as BenchEvent
