import { kinds, type Field, type FieldType, type Kind } from './kinds'

const UUID = '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$'
const MOMENT = '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d{1,6})?(Z|[+-]\\d\\d:\\d\\d)$'
const DAY = '^\\d{4}-\\d\\d-\\d\\d$'
const INTEGER = 2_147_483_647

/** What may stand in a field, as JSON Schema says it. */
const TYPES: Readonly<Record<FieldType, object>> = {
  'text': { type: 'string' },
  'id': { type: 'string', pattern: UUID },
  'moment': { type: 'string', pattern: MOMENT },
  'day': { type: 'string', pattern: DAY },
  'number': { type: 'number' },
  'integer': { type: 'integer', minimum: -INTEGER * 1000, maximum: INTEGER * 1000 },
  'yes or no': { type: 'boolean' },
  'texts': { type: 'array', items: { type: 'string' } },
  'json': { type: ['object', 'array'] },
}

const isNullable = (field: Field): boolean => field.endsWith('?')
const typeOf = (field: Field): FieldType => (isNullable(field) ? field.slice(0, -1) : field) as FieldType

/** The JSON Schema (2020-12) of one line of an archive. */
export function archiveSchema(): object {
  const lines = kinds.map(({ kind, fields, added = {} }) => ({
    type: 'object', additionalProperties: false, required: ['kind', 'row'],
    properties: {
      kind: { const: kind },
      row: {
        type: 'object', additionalProperties: false, required: Object.keys(fields).filter(name => !Object.hasOwn(added, name)),
        properties: Object.fromEntries(Object.entries(fields).map(([name, field]) =>
          [name, isNullable(field) ? { anyOf: [TYPES[typeOf(field)], { type: 'null' }] } : TYPES[typeOf(field)]])),
      },
    },
  }))
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A line of an Oxlip archive',
    description: 'Each line of rows.jsonl is a row of one kind; the last says how many rows there are. Pictures lie beside, as WebP files.',
    oneOf: [
      ...lines,
      {
        type: 'object', additionalProperties: false, required: ['kind', 'rows'],
        properties: { kind: { const: 'end' }, rows: { type: 'integer', minimum: 0 } },
      },
    ],
  }
}

const isText = (value: unknown): value is string => typeof value === 'string' && !value.includes('\u0000')
const matches = (pattern: string) => {
  const known = new RegExp(pattern)
  return (value: unknown): boolean => isText(value) && known.test(value)
}
const isMoment = matches(MOMENT)
const isDay = matches(DAY)
const isThere = (value: string): boolean => !Number.isNaN(Date.parse(value))
const IS: Readonly<Record<FieldType, (value: unknown) => boolean>> = {
  'text': isText,
  'id': matches(UUID),
  'moment': value => isMoment(value) && isThere(value as string),
  'day': value => isDay(value) && isThere(value as string),
  'number': value => typeof value === 'number' && Number.isFinite(value),
  'integer': value => Number.isInteger(value) && Math.abs(value as number) <= INTEGER * 1000,
  'yes or no': value => typeof value === 'boolean',
  'texts': value => Array.isArray(value) && value.every(isText),
  'json': value => typeof value === 'object' && value !== null && !JSON.stringify(value).includes('\\u0000'),
}

/** What is wrong with a row of a kind: the name of the first field that is not what it should be; undefined where it is sound. */
export function faultOf(row: unknown, { fields, added = {} }: Pick<Kind, 'fields' | 'added'>): string | undefined {
  if (typeof row !== 'object' || row === null || Array.isArray(row)) return 'row'
  const said = row as Record<string, unknown>
  const strange = Object.keys(said).find(name => !Object.hasOwn(fields, name))
  if (strange !== undefined) return strange
  return Object.entries(fields).find(([name, field]) => {
    if (!Object.hasOwn(said, name)) return !Object.hasOwn(added, name)
    return said[name] === null ? !isNullable(field) : !IS[typeOf(field)](said[name])
  })?.[0]
}
