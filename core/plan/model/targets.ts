import { given, worked, type Figure } from '../../figures'
import type { AbrasiveMark } from '../../abrasives'
import { filmPart, hasFilm, type Method, type Sheen } from '../../method'
import { grainOf, isPad, isResin, type Material } from '../../shelf'
import type { PlanInputs } from './inputs'
import type { FilmWish, ToolId, Wishes } from './wishes'

const FORGIVES: Record<Sheen, number> = { 'glass': 0.4, 'high gloss': 1.5, 'gloss': 3, 'satin': 8 }
/** A high gloss on bare resin hides less, µm: nothing lies over it. */
const ON_RESIN = 0.8

/** Deepest scratch that does not show in a surface of this sheen, µm; in bare resin a high gloss hides less than in wood or film. */
export function forgives(sheen: Sheen, bareResin = false): Figure {
  const start = { mark: 'model' as const, note: 'starting value' }
  if (bareResin && sheen === 'high gloss') return given('deepest scratch a high gloss on bare resin hides', ON_RESIN, 'µm', start)
  return given(`deepest scratch a ${sheen === 'glass' ? 'glass-like polish' : sheen} hides`, FORGIVES[sheen], 'µm', start)
}

/** Deepest scratch in bare wood that a gloss film over it hides, µm: that of P600, where one school stops. */
const filmHides: Figure = given('deepest scratch in the wood that a film over it hides', 8, 'µm', {
  mark: 'trade',
  note: 'common practice: P600 is enough under a film; others go on to P2000',
})

/** The depth that each wish stands for, as the least film of a CA finish, µm. */
const DEPTHS: Record<FilmWish, number> = { gloss: 40, close: 20 }
/** How far the depth can be moved, µm: barely there to very deep. */
export const depthRange = { least: 10, most: 80 } as const

/** How deep the finish is wanted, as the least film of a CA finish, µm. */
export const depthOf = ({ depth, film }: Pick<Wishes, 'depth' | 'film'>): number => depth ?? DEPTHS[film]

/** Where a depth stands between barely there (0) and very deep (1): its ratio counts, as to the eye. */
export const depthPart = (um: number): number =>
  Math.min(1, Math.max(0, Math.log(um / depthRange.least) / Math.log(depthRange.most / depthRange.least)))

/**
 * Deepest scratch that bare sanding may leave, µm: as the turner chose, what a film over it hides, or what the sheen of the bare
 * surface does.
 */
export function mayLeave({ wishes, method, material }: { wishes: Pick<Wishes, 'leave'>, method: Method, material: Material }): Figure {
  if (wishes.leave !== undefined) return given('deepest scratch that may be left', wishes.leave, 'µm')
  return hasFilm(method) ? filmHides : forgives(method.sheen, isResin(material))
}

/** Least film wanted at the thinnest place once all is polished, µm; 0 for a finish without a film. */
export function leastFilm({ wishes, method }: Pick<PlanInputs, 'wishes' | 'method'>): Figure {
  const part = filmPart(method)
  const wished = wishedFilm(wishes)
  if (part === 1) return wished
  const ofIt = given('part for this finish', part ?? 0, '×', { mark: 'model', note: 'starting value' })
  const how = part === null ? 'this finish has no film' : 'what is looked for in a CA film × part for this finish'
  return worked('least film', wished.value * ofIt.value, 'µm', how, [wished, ofIt])
}

function wishedFilm(wishes: Pick<Wishes, 'depth' | 'film'>): Figure {
  if (wishes.depth !== undefined) return given('least film as chosen', wishes.depth, 'µm')
  const label = wishes.film === 'gloss' ? 'least film for a deep gloss' : 'least film, close to the wood'
  return given(label, depthOf(wishes), 'µm', { mark: 'model', note: 'starting value' })
}

/** Change of paper, with-grain pass, wipe and look, s for each piece. */
const OVERHEAD = given('change, with-grain pass, wipe, look', 25, 's', { mark: 'model', note: 'starting value' })
/** Pads of this grain and finer are changed and looked at quickly, µm, in this part of the time [model: ten seconds]. */
const FINE = 15
const FINE_PART = given('part of it for a pad at the fine end', 0.4, '×', { mark: 'model', note: 'starting value: ten seconds' })

/** Change, with-grain pass, wipe and look, s for each piece of an abrasive: the turner's own, once it is learnt; less for a fine pad. */
export function overheadOf({ own }: Pick<PlanInputs, 'own'>, abrasive: AbrasiveMark): Figure {
  const each = own?.overhead === undefined ? OVERHEAD : { ...given(OVERHEAD.label, own.overhead, 's'), ...LEARNT }
  if (!isPad(abrasive) || grainOf(abrasive) > FINE) return each
  return worked(`${OVERHEAD.label}, fine pad`, each.value * FINE_PART.value, 's', 'that of paper × part for a fine pad', [each, FINE_PART])
}
const LEARNT = { origin: 'measured' as const, note: 'learnt from the looks of your own log' }

const TOOL_DEPTH: Record<ToolId, number> = { 'skew': 15, 'round carbide': 30, 'square carbide': 40, 'gouge': 60 }

/** Spindle speed that the bare blank is sanded at: the turner's own school, or the method's. */
export function sandSpeed({ wishes, method }: Pick<PlanInputs, 'wishes' | 'method'>): Figure {
  return wishes.sandSpeed === undefined
    ? given('sanding speed', method.speeds.sand, 'rev/min', method.source)
    : given('sanding speed', wishes.sandSpeed, 'rev/min')
}

/** Depth of the marks that sanding begins with, µm: as the turner judged them, or as the tool usually leaves them. */
export const startMarks = ({ marks, tool }: Pick<PlanInputs['wishes'], 'marks' | 'tool'>): Figure =>
  marks === undefined ? toolMarks(tool) : given('marks as judged', marks, 'µm')

/** Depth of the marks a tool leaves, µm. */
const toolMarks = (tool: ToolId): Figure =>
  given(`marks left by the ${tool}`, TOOL_DEPTH[tool], 'µm', { mark: 'model', note: 'starting value' })
