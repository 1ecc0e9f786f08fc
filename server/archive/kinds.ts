/** What stands in a field of an archive’s row; with a question mark it may be null. */
export type FieldType = 'text' | 'id' | 'moment' | 'day' | 'number' | 'integer' | 'yes or no' | 'texts' | 'json'
/** A field: what stands in it, and whether it may be null. */
export type Field = FieldType | `${FieldType}?`

/** One kind of rows in an archive: a table without what follows from others, and without what names a device. */
export interface Kind {
  /** The table. */
  kind: string
  /** Its fields, and what stands in each. */
  fields: Readonly<Record<string, Field>>
  /** By what a row is the same as one that is there. */
  key: readonly string[]
  /** In which order they are written, so that none comes before what it refers to. */
  order: string
  /** Whether rows are never changed: those that are there stand. */
  fixed?: true
  /** What older archives do not say, and what holds then. */
  added?: Readonly<Record<string, unknown>>
}

const id = 'id' as const
const version = 'integer' as const

/** Every kind, each after those it refers to. Pictures come before them all, as files. */
export const kinds: readonly Kind[] = [
  {
    kind: 'workshop', key: [], order: 'version',
    fields: {
      version, celsius: 'number', humidity: 'number', units: 'text', currency: 'text?', per_end: 'number?', kerf: 'number?',
      wander: 'number?', least_wall: 'number?', cautions: 'json', helper: 'text?',
    },
    added: { cautions: {}, helper: null },
  },
  { kind: 'air_readings', key: ['at'], order: 'at', fixed: true, fields: { at: 'moment', celsius: 'number', humidity: 'number' } },
  {
    kind: 'own_abrasives', key: ['id'], order: 'created_at, id', fixed: true, added: { micron: null },
    fields: {
      id: 'text', label: 'text', coarser: 'text?', finer: 'text?', micron: 'number?', wet: 'yes or no', dry: 'yes or no',
      created_at: 'moment',
    },
  },
  {
    kind: 'own_products', key: ['id'], order: 'created_at, id',
    fields: {
      id: 'text', version, name: 'text', alike: 'text', build: 'number?', keeps: 'integer?', caution: 'text', source: 'text',
      created_at: 'moment',
    },
  },
  {
    kind: 'shelf_items', key: ['item'], order: 'item',
    fields: {
      item: 'text', put_at: 'moment', worn: 'number', count: 'integer?', wet: 'yes or no?', dry: 'yes or no?', opened: 'day?',
      closed: 'yes or no', keeps: 'integer?', price: 'integer?', sealed: 'integer', left_ml: 'number?', size_ml: 'number?',
      left_at: 'moment?', label: 'json', gone: 'yes or no', counted_at: 'moment',
    },
  },
  { kind: 'bits', key: ['diameter'], order: 'diameter', fields: { diameter: 'number', count: 'integer' } },
  {
    kind: 'fittings', key: ['id'], order: 'created_at, id',
    fields: {
      id: 'text', version, body: 'json', sets: 'integer', bushings: 'text', gone: 'yes or no', created_at: 'moment', counted_at: 'moment',
    },
  },
  { kind: 'methods', key: ['id'], order: 'created_at, id', fields: { id: 'text', gone: 'yes or no', created_at: 'moment' } },
  {
    kind: 'method_versions', key: ['method_id', 'version'], order: 'method_id, version', fixed: true,
    fields: { method_id: 'text', version, body: 'json', made_at: 'moment' },
  },
  {
    kind: 'blanks', key: ['id'], order: 'cut_from is not null, created_at, id',
    fields: {
      id, version, name: 'text', material: 'text?', species: 'text?', classes: 'texts', origin: 'text?', width: 'number?',
      height: 'number?', length: 'number?', count: 'integer', damp: 'yes or no', photo: 'id?', gone: 'yes or no',
      created_at: 'moment', counted_at: 'moment', board: 'yes or no', cut_from: 'id?', uncut: 'yes or no', hardness: 'number?',
      density: 'number?', caution: 'text?', source: 'text?',
    },
    added: { hardness: null, density: null, caution: null, source: null },
  },
  {
    kind: 'readings', key: ['id'], order: 'at, id', fixed: true,
    fields: { id, blank_id: id, at: 'moment', grams: 'number?', percent: 'number?' },
  },
  {
    kind: 'pens', key: ['id'], order: 'created_at, id',
    fields: {
      id, mark: 'text', name: 'text', reason: 'text?', due: 'day?', fitting: 'text', material: 'text', method: 'text', tool: 'text',
      film: 'text', plan_version: 'integer', version, created_at: 'moment', blank: 'id?', sizing: 'json', asked: 'integer?',
    },
  },
  {
    kind: 'plans', key: ['pen_id', 'version'], order: 'pen_id, whole is not null, version', fixed: true,
    fields: { pen_id: id, version, body: 'json?', made_at: 'moment', mends_base: 'integer?', patch: 'json?', whole: 'integer?' },
  },
  {
    kind: 'events', key: ['id'], order: 'seq', fixed: true,
    fields: { id, pen_id: id, kind: 'text', barrels: 'texts', at: 'moment', payload: 'json', ahead_ms: 'integer?' },
  },
  { kind: 'learnt_aside', key: ['what'], order: 'what', fixed: true, fields: { what: 'text', since: 'moment' } },
  {
    kind: 'trials', key: ['id'], order: 'begun, id', fields: { id, begun: 'moment', ended: 'moment?', seed: 'integer', body: 'json' },
  },
  {
    kind: 'trial_pens', key: ['trial_id', 'place'], order: 'trial_id, place', fixed: true,
    fields: { trial_id: id, place: 'integer', pen_id: id, way: 'text' },
  },
  { kind: 'prices', key: ['what'], order: 'what', fields: { what: 'text', minor: 'integer' } },
  { kind: 'supplies', key: ['what'], order: 'what', fields: { what: 'text', source: 'text', pack: 'integer' } },
  {
    kind: 'stock_log', key: ['id'], order: 'at, id', fixed: true,
    fields: { id, what: 'text', how: 'text', at: 'moment', was: 'number?', now: 'number?', pieces: 'integer?', each: 'integer?' },
  },
  { kind: 'customers', key: ['id'], order: 'id', fields: { id, name: 'text', reach: 'text', remark: 'text', version } },
  {
    kind: 'places', key: ['id'], order: 'made, id',
    fields: { id, name: 'text', kind: 'text', day: 'day?', cost: 'integer?', gone: 'yes or no', version, made: 'moment' },
  },
  {
    kind: 'orders', key: ['id'], order: 'number',
    fields: {
      id, number: 'integer', kind: 'text', customer_id: 'id?', promised: 'day?', deposit: 'integer?', remark: 'text',
      called_off: 'yes or no', handed: 'yes or no', version, made: 'moment',
    },
  },
  {
    kind: 'order_lines', key: ['id'], order: 'order_id, place', fixed: true,
    fields: { id, order_id: id, place: 'integer', pen_id: 'id?', body: 'json' },
  },
  { kind: 'evening_hours', key: ['who', 'day'], order: 'who, day', fields: { who: 'text', day: 'text', spans: 'json' } },
  { kind: 'evening_pins', key: ['id'], order: 'id', fields: { id, pen_id: id, body: 'json' } },
  { kind: 'evening_plans', key: ['day'], order: 'day', fields: { day: 'day', first: 'json', latest: 'json' } },
]

/** The file of the rows, the schema beside it, and the folder of the pictures. */
export const FILES = { about: 'about.json', rows: 'rows.jsonl', schema: 'rows.schema.json', photos: 'photos/' } as const
