import { boolean, number, string, ValidationError, type InferType } from 'yup'
import type { Climate } from '../core/climate'
import { currencies } from '../core/format'
import type { WaitPurpose } from '../core/shelf'
import { unitSystems } from '../core/units'
import { abrasives, cautionKinds, products, type OwnCautions } from '../reference'
import { day, exact, judged, line, perhaps, version, word } from './common'

const habit = (least: number, most: number, unit = ' mm') =>
  number()
    .nullable()
    .min(least, `Should lie between ${least} and ${most}${unit}.`)
    .max(most, `Should lie between ${least} and ${most}${unit}.`)

const celsius = () => number().min(-10, 'Should lie between -10 and 50 °C.').max(50, 'Should lie between -10 and 50 °C.').required()
const humidity = () => number().min(1, 'Should lie between 1 and 100 %.').max(100, 'Should lie between 1 and 100 %.').required()

/** Spare at each end, saw kerf and least wall over a tube, mm; drill wander as a part of the depth; null: as usual. */
const habits = { perEnd: habit(0, 20), kerf: habit(0, 5), wander: habit(0, 0.1, ''), leastWall: habit(0, 5) }

/** What the turner minds at kinds of steps; what is sent takes the place of all that was there. */
const cautions = perhaps(Object.fromEntries(cautionKinds.map(kind => [
  kind, perhaps({ says: line(200).trim().min(1).required(), source: line(200).trim().defined() }),
])))

/** The air of the workshop as somebody or something read it. */
export const airReadingSchema = exact({ celsius: celsius(), humidity: humidity() })

/**
 * A change of the workshop: the units its turner reads, their own ways of cutting where they are not the usual ones, and the air only
 * where the turner says that it is another, since an instrument may have read it meanwhile.
 */
export const workshopSchema = exact({
  version: version().required(),
  units: word(...unitSystems).required(),
  /** Its money, by its code (ISO 4217); null: none is said, and money stands in hundredths. */
  currency: string().nullable()
    .test('currency', 'Choose a currency by its code, like GBP.', code => code == null || currencies().includes(code)),
  /** What whoever helps is called; null: they have no name. */
  helper: line(40).trim().min(1).nullable(),
  air: perhaps({ celsius: celsius(), humidity: humidity() }),
  ...habits,
  cautions,
})
/** The same as it comes in. */
export type WorkshopChange = Omit<InferType<typeof workshopSchema>, 'air' | 'cautions'> & { air?: Climate, cautions?: OwnCautions }
/** The workshop: its air now, the units its turner reads, their own ways of cutting and cautions, and what whoever helps is called. */
export type Workshop = Omit<WorkshopChange, 'air' | 'cautions' | 'helper'> & Climate & { cautions: OwnCautions, helper: string | null }

/** Those of kept cautions that are sound, so that one damaged row takes no screen down. */
export const soundCautions = (kept: unknown): OwnCautions =>
  Object.fromEntries(Object.entries(kept ?? {}).filter(([kind, one]) => cautions.isValidSync({ [kind]: one as unknown })))

/** The name of a workshop. */
export const workshopNameSchema = exact({ name: line(60).required() })

const seconds = () => number().min(1, 'Should lie between 1 s and 60 days.').max(5_184_000, 'Should lie between 1 s and 60 days.')
/** What a label says of a wait, s: how long, and by when at the latest. */
const labelled = perhaps({ plain: seconds().required(), latest: seconds() }).test(
  'order',
  'The latest should come after the earliest.',
  value => !value?.latest || value.latest > value.plain,
)
const ml = () => number().nullable().min(0, 'Should lie between 0 and 10 000 ml.').max(10_000, 'Should lie between 0 and 10 000 ml.')

const KEEPS = 'Should lie between 1 and 3650 days.'
const keptDays = () => number().integer().nullable().min(1, KEEPS).max(3650, KEEPS)
/** A product by its id: a known one, or one of the turner’s own. */
const productId = () => line(60).test(
  'item', 'Is not a product that Oxlip knows. Choose one of the shelf’s.',
  value => !value || value.startsWith('own-') || products.some(row => row.id === value),
)

/** The bottle of a product on the shelf, and what its own label says; null takes a figure away. */
export const bottleSchema = exact({
  item: productId().required(),
  opened: day(),
  /** It stands there sealed: not opened yet. */
  closed: boolean(),
  keeps: keptDays(),
  left: ml(),
  size: ml(),
  sealed: number().integer().min(0).max(1000),
  price: number().integer().nullable().min(0).max(10_000_000),
  label: perhaps({
    'square': labelled,
    'sand': labelled,
    'next coat': labelled,
    'level': labelled,
    'wipe off': labelled,
    'assemble': labelled,
    'hand over': labelled,
  }),
})
export type BottleChange = Omit<InferType<typeof bottleSchema>, 'label'> & {
  label?: Partial<Record<WaitPurpose, { plain: number, latest?: number }>>
}

const known = [...abrasives, ...products].map(row => row.id)

/**
 * Something put on the shelf or taken off it; of an abrasive also how worn it is (0 to 1) and how many pieces are there. Pads of the
 * turner's own have ids beginning with own-.
 */
export const shelfChangeSchema = exact({
  item: line(60)
    .required()
    .test(
      'item',
      'Is not a thing that Oxlip knows. Choose one of the shelf’s.',
      value => !value || known.includes(value) || value.startsWith('own-'),
    ),
  there: boolean().required(),
  worn: number().min(0, 'Should lie between 0 and 1.').max(1, 'Should lie between 0 and 1.'),
  count: number().integer().min(0).max(10_000),
  wet: boolean(),
  dry: boolean(),
}).test('use', 'Should be used wet, dry or both.', value => value?.wet !== false || value.dry !== false)
export type ShelfChange = InferType<typeof shelfChangeSchema>

/** An abrasive of one’s own: by its grain, as its label says, or a pad with a colour and no number, placed between two that are known. */
export const ownAbrasiveSchema = judged(exact({
  label: line(40).trim().min(1).required(),
  coarser: word(...abrasives.map(row => row.id)),
  finer: word(...abrasives.map(row => row.id)),
  /** Its grain, µm. */
  micron: number().min(0.1, 'Should lie between 0.1 and 500 µm.').max(500, 'Should lie between 0.1 and 500 µm.'),
  wet: boolean().required(),
  dry: boolean().required(),
}), ({ coarser, finer, micron }) => {
  if (micron !== undefined && (coarser ?? finer) === undefined) return true
  if (micron !== undefined) return new ValidationError('Give either its grain or two that it lies between.', micron, 'micron')
  const missing = coarser === undefined ? 'coarser' : finer === undefined ? 'finer' : undefined
  return missing === undefined || new ValidationError('Is missing: choose one.', undefined, missing)
})
export type OwnAbrasive = InferType<typeof ownAbrasiveSchema>

/**
 * A product of one’s own, or one more bottle of one: like a known one but for what is said. What its label says of waits is said at its
 * bottle.
 */
const ownProduct = {
  name: line(60).trim().min(1).required(),
  /** The known product that it is like. */
  alike: word(...products.map(row => row.id)).required(),
  /** What a coat of it adds, µm; null: as the one that it is like. */
  build: number().nullable().min(0.1, 'Should lie between 0.1 and 300 µm.').max(300, 'Should lie between 0.1 and 300 µm.').defined(),
  /** Days it keeps once opened; null: as the one that it is like. */
  keeps: keptDays().defined(),
  /** What to mind, in the words of its label. */
  caution: line(200).trim().defined(),
  /** Where that stands. */
  source: line(200).trim().defined(),
}
/** The same as it is entered. */
export const ownProductSchema = exact(ownProduct)
/** The same changed: the version that was seen. */
export const ownProductChangeSchema = exact({ version: version().required(), ...ownProduct })
/** The same as it comes in. */
export type OwnProduct = InferType<typeof ownProductSchema>

/** A bottle that is thrown away, by its product. */
export const thrownSchema = exact({ item: productId().required() })
