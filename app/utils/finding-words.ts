import type { FindingAnswer } from '#contract'
import { counted, decimal, list, trimmed } from '#core/format'
import type { LIKE, AskedOf, Between, Difference, FigureGroup, Sureness, Trait } from '#core/findings'
import { figures, isFigure, outcomes, traits } from '#core/findings'
import { defects } from '#reference'

/** Of what one can ask, by how it is asked. */
const OF: Partial<Record<AskedOf, string>> = {
  'any defect': 'Anything goes wrong',
  'failed mend': 'A mend fails',
  'scrapped': 'A blank is lost',
  'in time': 'Ready by its day',
  'minutes': 'Minutes in all',
  'minutes of sanding': 'Minutes of sanding bare wood',
  'minutes of coats': 'Minutes of coats',
  'minutes of levelling': 'Minutes of levelling and polishing',
  'minutes of turning': 'Minutes of turning',
  'minutes of mends': 'Minutes of mends',
  'film of a coat': 'Film that a coat builds',
}
/** What is asked about, as a label. */
export const ofLabel = (of: AskedOf): string => OF[of] ?? defects.find(one => one.kind === of)?.name ?? of

const BY: Record<Trait, string> = {
  'method': 'finish',
  'wood': 'wood or resin',
  'class': 'kind of wood',
  'fitting': 'fitting',
  'first grit': 'first grit on the bare blank',
  'last grit': 'last grit on the bare blank',
  'applicator': 'applicator',
  'first coat': 'first coat',
  'product': 'what most coats are of',
  'coats': 'coats in all',
  'air': 'damp of the air at the coats',
  'warmth': 'warmth at the coats',
  'tool': 'turning tool',
  'shape': 'shape',
  'hour': 'hour of the first coat',
  'who': 'who made it',
}
/** By what is asked, as a label. */
export const byLabel = (by: Trait): string => BY[by]

/** A value of a trait, as a label. */
export function valueLabel(by: Trait, value: string): string {
  if (by === 'who') return usePeople().nameOf(value)
  return by === 'hour' ? `from ${value}:00` : by === 'coats' ? counted(Number(value), 'coat') : value
}

/** All that can be chosen of, and by. */
export const ofChoices = [...outcomes, ...defects.map(one => one.kind), ...figures].map(of => ({ label: ofLabel(of), value: of }))
/** The same for what pens are told apart by. */
export const byChoices = traits.map(by => ({ label: BY[by], value: by }))

const LIKE_WORDS: Record<(typeof LIKE)[number], string> = { class: 'kind of wood', method: 'finish' }

/** A rate in words: so many in 100. */
export const inHundred = (rate: number): string => `${decimal(100 * rate)} in 100`

/** What is told of how sure a difference is, each word in its fixed meaning; `more`: so many pens more of each would tell. */
export function sureWords(sureness: Sureness, more: number | null | undefined): string {
  if (sureness !== 'not yet') return sureness
  if (!more) return 'cannot be told yet, nor with very many more pens if it stays as it is'
  return `cannot be told yet: about ${counted(more, 'pen')} more of each would tell`
}

/** From and to, counted in the way in which it differs: what is less by 3 to 9 is not −9 to −3. */
const byWay = ({ value, low, high }: Between): [number, number] => (value < 0 ? [-high, -low] : [low, high])

/** A rate that differs from that of the others, in words. */
export function differenceWords({ by, sides, sureness, mixedWith, more }: Difference): string {
  const { one, other } = sides
  const much = `${decimal(Math.abs(100 * by.value))} in 100 ${by.value < 0 ? 'fewer' : 'more'}`
  const [low, high] = byWay(by).map(one => decimal(100 * one))
  const range = `(${low} to ${high})`
  const like = mixedWith.length ? `, like compared with like by ${list(mixedWith.map(trait => LIKE_WORDS[trait]))}` : ''
  return `${one.hits} of ${one.of}, the others ${other.hits} of ${other.of}: ${much} ${range}${like}; ${sureWords(sureness, more)}`
}

/** A figure with its unit. */
export const figureWords = (of: AskedOf, figure: number): string =>
  of === 'film of a coat' ? `${trimmed(figure, 1)} µm` : `${trimmed(figure, 0)} min`

/** By how much figures are over those of the others. */
export const overWords = (of: AskedOf, by: number): string =>
  `${figureWords(of, Math.abs(by))} ${by < 0 ? 'less' : 'more'} than the others`

/** What an answer says first. */
export function answerSays(of: AskedOf, by: Trait, answer: FindingAnswer): string {
  if (answer.kind === 'rate') {
    const first = answer.differences[0]
    if (!answer.all.of) return 'No pen that is over tells this yet.'
    if (!first) return `All of them are alike in this: ${answer.all.hits} of ${answer.all.of}. There is nothing to compare.`
    return `${valueLabel(by, first.value)}: ${differenceWords(first)}.`
  }
  if (!answer.groups.length) return 'No pen that is over tells this yet.'
  if (answer.groups.length === 1) return 'All of them are alike in this: there is nothing to compare.'
  const order: readonly Sureness[] = ['sure', 'likely', 'not yet']
  const width = ({ over }: FigureGroup) => (over ? Math.abs(over.value) / (over.high - over.low) : 0)
  const rank = (one: FigureGroup) => 1000 * order.indexOf(one.sureness) - Math.min(999, width(one))
  const [first] = [...answer.groups].sort((a, b) => rank(a) - rank(b))
  if (!first) return ''
  const { over, sureness, more, value } = first
  const much = over ? `${overWords(of, over.value)} (${byWay(over).map(one => figureWords(of, one)).join(' to ')}); ` : ''
  return `${valueLabel(by, value)}: ${much}${sureWords(sureness, more)}.`
}

/** Whether a turner can choose it, and so try it out: not what the wood, the set, the air, the clock or they themselves are. */
export const canBeChosen = (by: Trait): boolean => !(['wood', 'class', 'fitting', 'air', 'warmth', 'hour', 'who'] as Trait[]).includes(by)

/** What one can do about something that stands out; nothing where it cannot be chosen. */
export function tryWords(by: Trait, isMore: boolean): string {
  if (by === 'air' || by === 'warmth') return isMore ? 'Wait for other air, or bring it about, before the coats.' : 'Coat in such air.'
  if (by === 'class' || by === 'wood' || by === 'fitting') return isMore ? 'Take more care with these.' : ''
  if (by === 'hour') return isMore ? 'Put the first coat on at another hour.' : 'Put the first coat on at that hour.'
  return isMore ? 'Leave it out on the next pens, and see whether it stays away.' : 'Use it on the next pens, and see whether it stays so.'
}

/** Whether how much is asked. */
export const asksHowMuch = (of: AskedOf): boolean => isFigure(of)
