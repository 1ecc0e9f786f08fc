import type { BenchEvent } from '#core/bench'

/** What each kind of entry is called where one is told of. */
const KINDS: Record<BenchEvent['kind'], string> = {
  begin: 'A pen begun',
  done: 'A step done',
  skip: 'A step left out',
  defect: 'A defect',
  check: 'A check answered',
  look: 'A look at a grit',
  touch: 'A coat touched',
  measure: 'A diameter',
  coat: 'A coat more',
  extra: 'Something done beside the plan',
  wait: 'A wait made longer',
  press: 'A part in the press',
  remark: 'A remark',
  time: 'A time put right',
  answer: 'A question answered',
  judge: 'A cause judged',
  away: 'A pen set aside or taken up again',
  made: 'A pen made before',
  leave: 'A pen handed over',
  return: 'A pen that came back',
  gate: 'A look of the teacher',
  photo: 'A photo',
  repair: 'A mend chosen',
  settle: 'A mend judged',
  undo: 'Something taken back',
}

/** An entry in a few words. */
export const entryWords = ({ kind }: Pick<BenchEvent, 'kind'>): string => KINDS[kind]

type Values = Record<string, unknown>
const isValues = (value: unknown): value is Values => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Ids that nobody types. */
const IDS = ['id', 'pen']

/** What stands in a field of an entry, `payload.diameter`; undefined where it is not a figure or a text that somebody could put right. */
export function fieldOf(event: BenchEvent, field: string): string | number | undefined {
  if (IDS.includes(field)) return undefined
  const found = field.split('.').reduce<unknown>((value, part) => (isValues(value) ? value[part] : undefined), event)
  return typeof found === 'string' || typeof found === 'number' ? found : undefined
}

/** The entry with another text or figure in a field. What was a figure stays one; undefined where the text is none. */
export function withField(event: BenchEvent, field: string, text: string): BenchEvent | undefined {
  const value = typeof fieldOf(event, field) === 'number' ? Number(text.trim().replace(',', '.') || 'none') : text.trim()
  if (Number.isNaN(value)) return undefined
  const put = (whole: unknown, parts: readonly string[]): unknown => {
    const [first, ...rest] = parts
    return first === undefined
      ? value
      : { ...(isValues(whole) ? whole : {}), [first]: put(isValues(whole) ? whole[first] : undefined, rest) }
  }
  return put(event, field.split('.')) as BenchEvent
}
