import type { DayHours } from '../../contract'
import { changesWith, openWork, standsSetUp, type Board, type OwnHands } from '../../core/bench'
import type { EveningPen, EveningProblem, PieceId } from '../../core/evening'
import type { Pin } from '../../schemas'
import { asHours, promisedBy, secondsTo, stretchesFrom, type Stretch } from './evening-hours'

/** A pen that is planned for the evenings. */
export interface EveningBoard extends Board {
  /** Its row. */
  pen: { id: string, due: string | null }
}

/** What evenings are planned from. */
export interface EveningsGiven {
  /** The pens. */
  boards: readonly EveningBoard[]
  /** When hands are there. */
  hours: readonly DayHours[]
  /** What the turner wants. */
  pins: readonly Pin[]
  /** How long this turner’s hands take; unsaid: as usual. */
  hands?: Readonly<OwnHands> | undefined
}

/** A problem with the evenings it is about. */
export interface Posed {
  /** What there is to do, in s from `now`. */
  problem: EveningProblem
  /** From when on. */
  now: Date
  /** The turner’s evenings. */
  evenings: Stretch[]
  /** When somebody helps. */
  helps: Stretch[]
}

/** Half an hour sooner is worth a change of bits, a minute is not, s [model]. */
const GRAIN = 1800
/** So many days are looked at, at the least and at the most. */
const DAYS = { least: 14, most: 120 }

/** What there is to do in the coming evenings, put together at a moment. */
export function pose({ boards, hours, pins, hands }: EveningsGiven, now: Date): Posed {
  const at = now.toISOString()
  const weights = new Map(pins.flatMap(pin => (pin.kind === 'weight' && pin.weight ? [[pin.pen, pin.weight] as const] : [])))
  const pens = boards
    .map(board => openWork(board.pen.id, board, at, {
      ...(hands ? { paces: hands.paces } : {}),
      ...(board.pen.due === null ? {} : { due: promisedBy(board.pen.due).toISOString() }),
      weight: weights.get(board.pen.id) ?? 1,
    }))
    .filter(pen => pen.work.length)
    .map(pen => wished(pen, pins, now))
  const needed = pens.flatMap(pen => pen.work).reduce((sum, one) => sum + one.hands, 0)
  const evenings = enough(hours, now, needed)
  const setUp = standsSetUp(boards, at)
  const helps = stretchesFrom(hours, 'helper', now, DAYS.least)
  return {
    now, evenings, helps,
    problem: {
      pens, grain: GRAIN, changes: changesWith(hands), hours: asHours(evenings, now),
      ...(helps.length ? { helpers: [asHours(helps, now)] } : {}),
      ...(setUp ? { setUp } : {}),
      first: pins.filter(pin => pin.kind === 'first').flatMap(pin => pieceOf(pin, pens)),
      together: groupsOf(pins).map(group => group.flatMap(pin => pieceOf(pin, pens))),
    },
  }
}

/** Evenings for a fortnight, and more where the work asks for it: as many as hold twice the work. */
function enough(hours: readonly DayHours[], now: Date, needed: number): Stretch[] {
  for (let days = DAYS.least; ; days *= 2) {
    const evenings = stretchesFrom(hours, 'turner', now, Math.min(days, DAYS.most))
    const there = evenings.reduce((sum, { from, to }) => sum + secondsTo(from, to), 0)
    if (there >= 2 * needed || days >= DAYS.most) return evenings
  }
}

/** The piece a wish speaks of: the step it names, or the next one; none where that was done. */
function pieceOf({ pen, step }: Pin, pens: readonly EveningPen[]): PieceId[] {
  const work = pens.find(one => one.id === pen)?.work ?? []
  const found = step === null ? work[0] : work.find(one => one.step === step)
  return found ? [{ pen, step: found.step }] : []
}

function groupsOf(pins: readonly Pin[]): Pin[][] {
  const groups = new Map<string, Pin[]>()
  for (const pin of pins)
    if (pin.kind === 'together' && pin.group !== null) groups.set(pin.group, [...(groups.get(pin.group) ?? []), pin])
  return [...groups.values()]
}

/** A pen with what the turner wants of its times. */
function wished(pen: EveningPen, pins: readonly Pin[], now: Date): EveningPen {
  const own = pins.filter(pin => pin.pen === pen.id && pin.at !== null && (pin.kind === 'not before' || pin.kind === 'by'))
  if (!own.length) return pen
  const work = pen.work.map((one, index) => {
    const meant = own.filter(pin => (pin.step === null ? index === 0 : pin.step === one.step))
    return meant.reduce((piece, { kind, at }) => {
      const when = Math.max(0, secondsTo(now, new Date(at ?? now)))
      return kind === 'by' ? { ...piece, by: when } : { ...piece, from: Math.max(piece.from ?? 0, when) }
    }, one)
  })
  return { ...pen, work }
}
